import type { UnsettledLine } from '@winter-jar/contracts';
import { pumpIdsOf, type Correction, type HouseSetUp } from '@winter-jar/core';
import { ChevronLeft } from 'lucide-react';
import { Link } from 'react-router';
import { v7 as newId } from 'uuid';
import { useSetUpQuery, useUnsettledQuery } from '../api/house-api.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { usePrint } from '../device/use-print.js';
import { setAsideOf } from '../entry/set-aside.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import { Button, LinkButton } from '../ui/button.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { momentWords } from '../words/dates.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import { correctPath } from '../words/pump-actions.js';
import type { Words } from '../words/words.js';
import { AskedEntry } from './asked-entry.js';
import { issueAt, saidWords, whyWords } from './unsettled-words.js';

/** What was kept and does not count yet: what each waits for, and what ends it. */
export function UnsettledPage() {
  const { data, isError, refetch } = useUnsettledQuery();
  const setUp = useSetUpQuery();
  const print = usePrint();
  if (isError && !data)
    return (
      <Trouble title="What is to settle could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data || !setUp.data) return <Loading what="what is to settle" />;
  const { house } = setUp.data;
  const shown = data.lines.length + data.asked.reduce((sum, line) => sum + line.entries.length, 0);
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title="To settle" />
      <div className="flex items-center gap-3">
        <Link to="/" aria-label="Back to the Round" className="flex size-11 items-center justify-center text-ink">
          <ChevronLeft aria-hidden="true" />
        </Link>
        <h1 className="text-[26px]">To settle</h1>
      </div>
      {data.total === 0 ? (
        <Empty inside title="Nothing to settle">
          Everything that was written counts.
        </Empty>
      ) : (
        <p className="mt-1 text-[15px]">
          What stands here was written and is kept. No verdict takes it in until you have decided.
          {data.total > shown && ` The oldest ${shown} of ${data.total} stand here.`}
        </p>
      )}
      <ul className="mt-3">
        {data.asked.map((line) => (
          <AskedEntry
            key={line.entries[0]?.id}
            line={line}
            house={house}
            words={{ print, zone: line.entries[0]?.zone ?? 'UTC', now: data.at }}
          />
        ))}
        {data.lines.map((line) => (
          <Line
            key={line.correction.id}
            line={line}
            house={house}
            words={{ print, zone: line.correction.zone, now: data.at }}
          />
        ))}
      </ul>
    </main>
  );
}

function Line({ line, house, words }: { line: UnsettledLine; house: HouseSetUp; words: Words }) {
  const { correction, unsettled, original, counts } = line;
  const [pumpId] = pumpIdsOf(correction);
  const name = pumpId === undefined ? 'No pump' : (house.pump[pumpId]?.name ?? pumpId);
  const at = original?.happenedAt ?? null;
  return (
    <li className="border-b border-rule-soft py-4">
      <h2 className="text-[18px] wrap-anywhere">
        {name}
        {original && ` · ${KIND_WORDS[original.kind]} of ${momentWords(at ?? '', words.zone, words.now)}`}
      </h2>
      {original && (
        <p className="text-[15px] wrap-anywhere">
          {counts ? 'Counts now: ' : 'Taken back, was: '}
          {entryWords(original, house, words)}
        </p>
      )}
      <p className="mt-1 text-[15px] wrap-anywhere">
        {writtenBy(correction, house, words)} {saidWords(correction)}
      </p>
      <p className="mt-1 font-semibold">{whyWords(unsettled)}</p>
      {unsettled.state === 'toSettle' && (
        <ul className="list-disc pl-5 text-[15px]">
          {unsettled.issues.map((issue) => (
            <li key={issue.field} className="wrap-anywhere">
              {issueAt(issue)}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        {original && counts && pumpId !== undefined && (
          <LinkButton to={correctPath(pumpId, original)} look="solid">
            Correct the entry
          </LinkButton>
        )}
        <SetAside correction={correction} words={original ? 'Leave the entry as it is' : 'Leave this correction out'} />
      </div>
    </li>
  );
}

const writtenBy = ({ who, device, recordedAt }: Correction, house: HouseSetUp, words: Words): string => {
  const person = who ? (house.person[who]?.name ?? who) : 'Somebody';
  return `${person}${device ? `, ${device},` : ''} wrote ${momentWords(recordedAt, words.zone, words.now)}:`;
};

function SetAside({ correction, words }: { correction: Correction; words: string }) {
  const { write, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const shared = useEnvelope();

  async function setAside() {
    const result = await write([setAsideOf(correction, { now: new Date().toISOString(), shared })]);
    const said = result.kind === 'written' ? 'Left out. It stays in the journal.' : 'Not saved: try again.';
    dispatch(toastsSlice.actions.shown({ id: newId(), words: said, undo: null }));
  }
  return (
    <Button needs="write" disabled={busy} onClick={() => void setAside()}>
      {words}
    </Button>
  );
}
