import type { AskedLine } from '@winter-jar/contracts';
import { pumpIdsOf, type CorrectionBody, type Entry, type HouseSetUp } from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { correctionOf, useUndo } from '../entry/use-undo.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import { Button, LinkButton } from '../ui/button.js';
import { momentWords } from '../words/dates.js';
import { entryWords } from '../words/entry-words.js';
import { questionWords } from '../words/issue-words.js';
import { KIND_WORDS } from '../words/kind-words.js';
import { correctPath } from '../words/pump-actions.js';
import type { Words } from '../words/words.js';

/** What waited on a device and is in doubt, beside what counts meanwhile: both stories, and what ends the doubt. */
export function AskedEntry({ line, house, words }: { line: AskedLine; house: HouseSetUp; words: Words }) {
  const { entries, questions, others } = line;
  const [first, ...more] = entries;
  if (!first) return null;
  const [pumpId] = pumpIdsOf(first);
  const name = pumpId === undefined ? 'No pump' : (house.pump[pumpId]?.name ?? pumpId);
  const asked = questions.map((question) => questionWords(question, words));
  return (
    <li className="border-b border-rule-soft py-4">
      <h2 className="text-[18px] wrap-anywhere">
        {name} · {KIND_WORDS[first.kind]} of {momentWords(first.happenedAt, words.zone, words.now)}
      </h2>
      {others.map((other) => (
        <Story key={other.id} says="Counts" entry={other} house={house} words={words} />
      ))}
      {entries.map((entry) => (
        <Story key={entry.id} says="Waits" entry={entry} house={house} words={words} />
      ))}
      {asked.map(({ question }) => (
        <p key={question} className="mt-2 font-semibold wrap-anywhere">
          {question}
        </p>
      ))}
      <div className="mt-3 flex flex-wrap gap-3">
        <Settle line={line} yes={asked[0]?.yes ?? 'Yes, count it'} />
        {more.length === 0 && pumpId !== undefined && (
          <LinkButton to={correctPath(pumpId, first)}>Correct it</LinkButton>
        )}
      </div>
    </li>
  );
}

function Story({ says, entry, house, words }: { says: string; entry: Entry; house: HouseSetUp; words: Words }) {
  const who = entry.who ? (house.person[entry.who]?.name ?? entry.who) : 'Somebody';
  return (
    <p className="mt-1 text-[15px] wrap-anywhere">
      <span className="font-semibold">{says}:</span> {who}, {momentWords(entry.happenedAt, words.zone, words.now)} ·{' '}
      {entryWords(entry, house, words)}
    </p>
  );
}

/** It counts as it says, or not at all. */
function Settle({ line: { entries, questions }, yes }: { line: AskedLine; yes: string }) {
  const { write, busy } = useWriteEntries();
  const { historyOf } = useUndo();
  const dispatch = useAppDispatch();
  const shared = useEnvelope();

  async function settle(
    saying: (entry: Entry) => Pick<CorrectionBody, 'action' | 'body' | 'happenedAt'>,
    said: string,
  ) {
    const histories = await Promise.all(entries.map((entry) => historyOf(entry.id)));
    const acknowledged = questions.map(({ code }) => code);
    const input = { actId: newId(), now: new Date().toISOString(), shared: { ...shared, acknowledged } };
    const words = entries.flatMap((entry, i) => {
      const history = histories[i];
      return history ? [correctionOf(history, saying(entry), input)] : [];
    });
    const isDone = words.length === entries.length && (await write(words)).kind === 'written';
    const shown = isDone ? said : 'Not saved: the server did not take it. Try again.';
    dispatch(toastsSlice.actions.shown({ id: newId(), words: shown, undo: null }));
  }
  return (
    <>
      <Button
        needs="write"
        look="solid"
        disabled={busy}
        onClick={() =>
          void settle(({ body, happenedAt }) => ({ action: 'replace', body, happenedAt }), 'Settled: it counts')
        }
      >
        {yes}
      </Button>
      <Button
        needs="write"
        disabled={busy}
        onClick={() => void settle(() => ({ action: 'void' }), 'Settled: it does not count. It stays in the journal.')}
      >
        No, leave it out
      </Button>
    </>
  );
}
