import type { EntryHistory, PumpPage, UnsettledLine } from '@winter-jar/contracts';
import type { Correction } from '@winter-jar/core';
import { ChevronLeft } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useEntryQuery } from '../api/house-api.js';
import { momentWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import type { Words } from '../words/words.js';
import { EffectList } from '../effect/effect-list.js';
import { useEntriesEffect } from '../effect/use-entries-effect.js';
import { Button, LinkButton } from '../ui/button.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { isStillRunning } from '../entry/still-running.js';
import { useMayCorrect } from '../entry/use-may-correct.js';
import { correctPath } from '../words/pump-actions.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { entryWords } from '../words/entry-words.js';
import { questionWords } from '../words/issue-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import { MoveSection } from './move-section.js';
import { clockWords, revisionsOf, type Revision } from './revisions.js';
import { issueAt } from './unsettled-words.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { correctionOf, useUndo } from '../entry/use-undo.js';
import { useWriteEntries } from '../entry/use-write-entries.js';

export function HistoryPage() {
  return <WithPump needsOil={false}>{(props) => <Fetched {...props} />}</WithPump>;
}

function Fetched({ page, words }: EntryPageProps) {
  const { entryId = '' } = useParams();
  const { data, isError, refetch } = useEntryQuery(entryId);
  if (isError && !data)
    return (
      <Trouble title="The entry could not be fetched" onRetry={() => void refetch()}>
        There is no such entry, or the server does not answer.
      </Trouble>
    );
  if (!data) return <Loading what="the entry" />;
  return <History history={data} page={page} words={words} />;
}

/** An entry with everything ever said about it; any of it can count again. */
function History({ history, page, words }: { history: EntryHistory; page: PumpPage; words: Words }) {
  const { original, counts, contradicted } = history;
  const mayCorrect = useMayCorrect();
  const { pumpId } = page.row;
  const shown = counts ?? original;
  return (
    <main className="mx-auto w-full max-w-[760px] px-4 pb-10 pt-4">
      <PageTitle title={`${KIND_WORDS[original.kind]} · ${page.row.name}`} />
      <div className="flex items-center gap-3">
        <Link
          to={`/pumps/${pumpId}`}
          aria-label={`Back to ${page.row.name}`}
          className="flex size-11 items-center justify-center text-ink"
        >
          <ChevronLeft aria-hidden="true" />
        </Link>
        <div className="min-w-0">
          <p className="figure text-[14px] text-ink-2 wrap-anywhere">{page.row.name}</p>
          <h1 className="text-[24px]">
            {KIND_WORDS[original.kind]} of {momentWords(shown.happenedAt, words.zone, words.now)}
          </h1>
        </div>
      </div>
      {contradicted && (
        <p role="status" className="mt-4 border-l-4 border-before-next-run pl-3 font-semibold">
          Two corrections contradict each other: they were written without knowing of one another. The later one counts;
          choose below if another is right.
        </p>
      )}
      {history.asks.map((question) => (
        <p key={question.code} role="status" className="mt-4 border-l-4 border-before-next-run pl-3">
          <span className="font-semibold">It does not count yet.</span> {questionWords(question, words).question}{' '}
          <Link to="/unsettled" className="font-semibold text-ink">
            Settle
          </Link>
        </p>
      ))}
      {history.unsettled.length > 0 && (
        <p role="status" className="mt-4 border-l-4 border-before-next-run pl-3">
          <span className="font-semibold">A correction of it does not count.</span>{' '}
          {history.unsettled.flatMap(reasons).join(' ')}{' '}
          <Link to="/unsettled" className="font-semibold text-ink">
            Settle
          </Link>
        </p>
      )}
      <Revisions history={history} page={page} words={words} />
      {counts ? (
        <div className="mt-6 flex flex-col gap-6">
          <div>
            {mayCorrect(counts) && (
              <LinkButton to={correctPath(pumpId, counts)} look="solid">
                {isStillRunning(counts) ? 'End the run' : 'Correct it'}
              </LinkButton>
            )}
          </div>
          <MoveSection history={history} page={page} words={words} />
          <TakeBack entryId={original.id} page={page} words={words} />
        </div>
      ) : (
        history.asks.length === 0 && (
          <p className="mt-6">It was taken back and does not count. Any earlier wording can count again.</p>
        )
      )}
    </main>
  );
}

const reasons = ({ unsettled }: UnsettledLine): string[] =>
  unsettled.state === 'toSettle' ? unsettled.issues.map(issueAt) : [];

function Revisions({ history, page, words }: { history: EntryHistory; page: PumpPage; words: Words }) {
  const shared = useEnvelope();
  const { write, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const { house } = page.setUp;

  async function letCount({ said }: Revision) {
    if (!said) return;
    const body = { action: 'replace', body: said.body, happenedAt: said.happenedAt } as const;
    const correction = correctionOf(history, body, { actId: newId(), now: new Date().toISOString(), shared });
    const result = await write([correction]);
    const done = result.kind === 'written';
    dispatch(
      toastsSlice.actions.shown({
        id: newId(),
        words: done ? 'It counts again' : 'Not saved: the server did not take it. Try again.',
        undo: done ? { correction, before: history.counts } : null,
      }),
    );
  }
  return (
    <ol className="mt-5">
      {revisionsOf(history).map((saying, i) => (
        <li key={saying.key} className="border-b border-rule-soft py-3">
          <p className="text-[14px] text-ink-2">
            {i === 0 ? 'Written' : saying.said ? 'Corrected' : 'Taken back'}{' '}
            {momentWords(saying.recordedAt, words.zone, words.now)}
            {saying.who && ` by ${house.person[saying.who]?.name ?? saying.who}`}
            {saying.clockAheadS !== 0 && `, ${clockWords(saying.clockAheadS)}`}
            {saying.counts && <span className="ml-2 font-semibold text-ink">counts</span>}
          </p>
          {saying.said && (
            <p className={saying.counts ? 'font-semibold' : ''}>
              {momentWords(saying.said.happenedAt, words.zone, words.now)} · {entryWords(saying.said, house, words)}
            </p>
          )}
          {saying.said && !saying.counts && (
            <Button needs="write" look="plain" className="!px-0" disabled={busy} onClick={() => void letCount(saying)}>
              Let this count
            </Button>
          )}
        </li>
      ))}
    </ol>
  );
}

/** Takes the whole deed back, after showing what that changes. */
function TakeBack({ entryId, page, words }: { entryId: string; page: PumpPage; words: Words }) {
  const { undo, voidsOf } = useUndo();
  const [voids, setVoids] = useState<Correction[] | null>(null);
  const effects = useEntriesEffect(voids && voids.length > 0 ? () => voids : null, voids?.[0]?.id ?? '');
  const navigate = useNavigate();
  if (!voids) {
    return (
      <div>
        <Button needs="log" onClick={() => void voidsOf(entryId).then(setVoids)}>
          Take it back …
        </Button>
      </div>
    );
  }
  return (
    <section className="border-l-4 border-before-next-run pl-4">
      <h2 className="text-[20px]">Taking it back changes</h2>
      {voids.length > 1 && (
        <p className="text-[15px]">The {voids.length} entries of this deed are taken back together.</p>
      )}
      {effects ? (
        <EffectList effects={effects} wordsFor={(zone) => ({ ...words, zone })} />
      ) : (
        <p className="text-[15px] text-ink-2">{voids.length === 0 ? 'The server does not answer.' : 'Calculating …'}</p>
      )}
      <div className="mt-3 flex gap-3">
        <Button
          look="solid"
          disabled={!effects}
          onClick={() =>
            void undo({ entryIds: [entryId] }).then((done) => done && navigate(`/pumps/${page.row.pumpId}`))
          }
        >
          Take it back
        </Button>
        <Button onClick={() => setVoids(null)}>Leave it</Button>
      </div>
    </section>
  );
}
