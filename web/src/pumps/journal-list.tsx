import type { JournalLine, PumpPage } from '@winter-jar/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJournalQuery, useLazyJournalQuery } from '../api/house-api.js';
import { momentWords, dayWords } from '../words/dates.js';
import type { Words } from '../words/words.js';
import { entryWords } from '../words/entry-words.js';
import { KIND_WORDS, TOLD_KINDS } from '../words/kind-words.js';
import { NoteField } from '../entry/note-field.js';
import { isStillRunning } from '../entry/still-running.js';
import { useMayCorrect } from '../entry/use-may-correct.js';
import { useWaitingEntries } from '../sending/use-waiting.js';
import { correctPath } from '../words/pump-actions.js';
import { Button, LinkButton } from '../ui/button.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { TakenBack } from './taken-back.js';

const SHOWN_FIRST = 6;

/** What the journal can be narrowed to. */
const SHOWN_KINDS = {
  all: TOLD_KINDS.join(','),
  runs: 'run,meter',
  looks: 'look,labSample,labResult,test',
  oil: 'change,topUp,bleed,takeOver',
  others: 'done,jobStarted,note,caseOpened,caseClosed,caseChecked',
} as const;
type ShownKinds = keyof typeof SHOWN_KINDS;
const SHOWN_WORDS: Readonly<Record<ShownKinds, string>> = {
  all: 'everything',
  runs: 'runs',
  looks: 'looks and tests',
  oil: 'oil work',
  others: 'service and notes',
};

/** Everything that was written about the pump, newest first; each entry can be corrected or taken back. */
export function JournalList({ page, words }: { page: PumpPage; words: Words }) {
  const { pumpId } = page.row;
  const mayCorrect = useMayCorrect();
  const waiting = useWaitingEntries();
  const [shown, setShown] = useState<ShownKinds>('all');
  const [all, setAll] = useState(false);
  const kinds = SHOWN_KINDS[shown];
  const first = useJournalQuery({ pumpId, kinds });
  const [more, older] = useLazyJournalQuery();
  const [pages, setPages] = useState<{ of: unknown; lines: readonly JournalLine[]; before: string | null } | null>(
    null,
  );

  if (first.isError && !first.data) {
    return (
      <Trouble inside title="The journal could not be fetched" onRetry={() => void first.refetch()}>
        The server does not answer.
      </Trouble>
    );
  }
  // Older pages belong to the first page they were asked after; a write brings a new first page and they are fetched anew.
  const known = pages !== null && pages.of === first.currentData ? pages : null;
  const lines = [...((first.currentData?.lines ?? []) as JournalLine[]), ...(known?.lines ?? [])];
  const before = known ? known.before : first.currentData?.before;
  async function showOlder() {
    if (!before) return;
    const answer = await more({ pumpId, before, kinds }).unwrap();
    setPages({
      of: first.currentData,
      lines: [...(known?.lines ?? []), ...(answer.lines as JournalLine[])],
      before: answer.before,
    });
  }
  return (
    <div>
      <NoteField subject={{ type: 'pump', id: pumpId }} zone={words.zone} />
      <div className="no-print mt-3 flex flex-wrap items-center gap-x-4" role="group" aria-label="Which entries">
        {(Object.keys(SHOWN_KINDS) as ShownKinds[]).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === shown}
            className={`min-h-11 text-[15px] ${one === shown ? 'border-b-2 border-oil font-semibold' : 'text-ink-2'}`}
            onClick={() => setShown(one)}
          >
            {SHOWN_WORDS[one]}
          </button>
        ))}
      </div>
      {!first.currentData && <Loading what="the journal" />}
      {first.currentData && lines.length === 0 && (
        <Empty inside title={shown === 'all' ? 'Nothing written yet' : 'None of these'}>
          {shown === 'all'
            ? 'Log the first run, or look at the oil: every entry stands here.'
            : 'Nothing of this kind was written about the pump.'}
        </Empty>
      )}
      <ol className="mt-2">
        {(all ? lines : lines.slice(0, SHOWN_FIRST)).map(({ entry, correctionId, contradicted }) => {
          return (
            <li
              key={entry.id}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-3 border-b border-rule-soft py-2 wide:grid-cols-[152px_88px_minmax(0,1fr)_auto]"
            >
              <span className="figure text-[14px] text-ink-2">
                {entry.precision === 'day'
                  ? `about ${dayWords(entry.happenedAt, words.zone, words.now)}`
                  : momentWords(entry.happenedAt, words.zone, words.now)}
              </span>
              <span className="col-start-1 font-semibold wide:col-start-auto">{KIND_WORDS[entry.kind]}</span>
              <span className="col-start-1 text-[15px] wide:col-start-auto">
                {entryWords(entry, page.setUp.house, words)}
                {entry.kind === 'look' && entry.body.photoId && (
                  <a
                    href={`/api/photos/${entry.body.photoId}`}
                    target="_blank"
                    rel="noreferrer"
                    className="ml-2 text-[13px] text-ink"
                  >
                    Photograph
                  </a>
                )}
                {entry.who && (
                  <span className="ml-2 text-[13px] text-ink-2">
                    {page.setUp.house.person[entry.who]?.name ?? entry.who}
                  </span>
                )}
                {waiting.has(entry.id) && <span className="ml-2 text-[13px] font-semibold">waiting</span>}
                {correctionId && <span className="ml-2 text-[13px] text-ink-2">corrected</span>}
                {contradicted && (
                  <Link
                    to={`/pumps/${pumpId}/entries/${entry.id}`}
                    className="ml-2 text-[13px] font-semibold text-before-next-run"
                  >
                    two corrections contradict each other
                  </Link>
                )}
              </span>
              <span className="no-print col-start-2 row-span-3 row-start-1 flex gap-2 wide:col-start-4 wide:row-span-1">
                {mayCorrect(entry) && (
                  <LinkButton
                    look="plain"
                    to={correctPath(pumpId, entry)}
                    className="!px-1 !text-[14px]"
                    aria-label={`Correct: ${KIND_WORDS[entry.kind]} of ${momentWords(entry.happenedAt, words.zone, words.now)}`}
                  >
                    {isStillRunning(entry) ? 'End' : 'Correct'}
                  </LinkButton>
                )}
                <LinkButton
                  look="plain"
                  to={`/pumps/${pumpId}/entries/${entry.id}`}
                  className="!px-1 !text-[14px]"
                  aria-label={`History: ${KIND_WORDS[entry.kind]} of ${momentWords(entry.happenedAt, words.zone, words.now)}`}
                >
                  History
                </LinkButton>
              </span>
            </li>
          );
        })}
      </ol>
      {!all && lines.length > SHOWN_FIRST && (
        <Button className="no-print mt-3" onClick={() => setAll(true)}>
          More entries
        </Button>
      )}
      {all && before && (
        <Button className="no-print mt-3" disabled={older.isFetching} onClick={() => void showOlder()}>
          {older.isFetching ? 'Fetching …' : 'Older entries'}
        </Button>
      )}
      <TakenBack page={page} words={words} />
    </div>
  );
}
