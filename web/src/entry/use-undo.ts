import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import type { EntryHistory } from '@winter-jar/contracts';
import type { Correction, CorrectionBody, Entry, Envelope, SetUpVersion } from '@winter-jar/core';
import { usePostSetUpMutation, useRemoveSetUpMutation, houseApi } from '../api/house-api.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice, type Undoable } from '../device/toasts-slice.js';
import { lastCorrectionId, recordedAfter } from './correction-order.js';
import { lastSaid } from './last-said.js';
import { useEnvelope } from './use-envelope.js';
import { useWriteEntries } from './use-write-entries.js';

/** A correction of what a history says, after all corrections that it knows. */
export function correctionOf(
  { original, corrections, unsettled }: Pick<EntryHistory, 'original' | 'corrections' | 'unsettled'>,
  body: Pick<CorrectionBody, 'action' | 'body' | 'happenedAt'>,
  input: { actId: string; now: string; shared: Pick<Envelope, 'who' | 'device' | 'acknowledged' | 'bodyVersion'> },
): Correction {
  return {
    ...input.shared,
    id: newId(),
    actId: input.actId,
    kind: 'correction',
    subjects: original.subjects,
    happenedAt: input.now,
    zone: original.zone,
    precision: 'exact',
    recordedAt: recordedAfter(corrections, input.now),
    body: {
      targetId: original.id,
      supersedes: lastCorrectionId(corrections),
      // Also what does not count: whoever corrects the entry has decided about it.
      saw: [...corrections, ...unsettled.map((u) => u.correction)].map((c) => c.id),
      ...body,
    },
  };
}

const allOf = (histories: readonly (EntryHistory | null)[]): EntryHistory[] | null => {
  const known = histories.flatMap((h) => h ?? []);
  return known.length > 0 && known.length === histories.length ? known : null;
};

/** As it was before: the entry that counted then, or none. */
const asBefore = (before: Entry | null): Pick<CorrectionBody, 'action' | 'body' | 'happenedAt'> =>
  before ? { action: 'replace', body: before.body, happenedAt: before.happenedAt } : { action: 'void' };

/** Takes back entries with all others of their deeds, a correction, or a version of the set-up. */
export function useUndo(): {
  undo: (what: Undoable) => Promise<boolean>;
  voidsOf: (entryId: string) => Promise<Correction[]>;
  historiesOf: (entryId: string) => Promise<EntryHistory[] | null>;
  historyOf: (entryId: string) => Promise<EntryHistory | null>;
} {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { write } = useWriteEntries();
  const [postSetUp] = usePostSetUpMutation();
  const [removeSetUp] = useRemoveSetUpMutation();
  const shared = useEnvelope();

  const historyOf = async (id: string): Promise<EntryHistory | null> => {
    const { data } = await dispatch(houseApi.endpoints.entry.initiate(id, { forceRefetch: true, subscribe: false }));
    return data ?? null;
  };

  /** Of a whole deed; null when a part of it could not be fetched. */
  async function historiesOf(entryId: string): Promise<EntryHistory[] | null> {
    const members = (await historyOf(entryId))?.actEntryIds ?? [];
    return allOf(await Promise.all(members.map(historyOf)));
  }

  /** What takes a whole deed back; none when a part of it could not be fetched. */
  async function voidsOf(entryId: string): Promise<Correction[]> {
    const input = { actId: newId(), now: new Date().toISOString(), shared };
    return ((await historiesOf(entryId)) ?? []).map((h) => correctionOf(h, { action: 'void' }, input));
  }

  async function undoCorrection(correction: Correction, before: Entry | null): Promise<boolean> {
    const history = await historyOf(correction.body.targetId);
    if (!history) return false;
    const input = { actId: newId(), now: new Date().toISOString(), shared };
    return (await write([correctionOf(history, asBefore(before), input)])).kind === 'written';
  }

  async function undoMove({ from, to }: { from: readonly string[]; to: readonly string[] }): Promise<boolean> {
    const left = allOf(await Promise.all(from.map(historyOf)));
    const arrived = allOf(await Promise.all(to.map(historyOf)));
    if (!left || !arrived) return false;
    const input = { actId: newId(), now: new Date().toISOString(), shared };
    const voids = arrived.map((h) => correctionOf(h, { action: 'void' }, input));
    const back = left.map((h) => correctionOf(h, asBefore(lastSaid(h)), input));
    return (await write([...voids, ...back])).kind === 'written';
  }

  async function undoAdding(added: Extract<Undoable, { added: unknown }>['added']): Promise<boolean> {
    // The page of what goes would ask for it once more.
    await navigate(`/set-up/${added.at(-1)?.kind ?? ''}`);
    return 'data' in (await removeSetUp({ records: [...added] }));
  }

  async function undoSetUp(version: SetUpVersion): Promise<boolean> {
    const again = { ...version, id: newId(), recordedAt: new Date().toISOString() };
    const answer = await postSetUp({ setUpPost: { versions: [again] } });
    return 'data' in answer;
  }

  async function undoEntries(entryIds: readonly string[]): Promise<boolean> {
    const voids = await Promise.all(entryIds.map(voidsOf));
    return voids.every((v) => v.length > 0) && (await write(voids.flat())).kind === 'written';
  }

  async function undo(what: Undoable): Promise<boolean> {
    const done =
      'entryIds' in what
        ? await undoEntries(what.entryIds)
        : 'moved' in what
          ? await undoMove(what.moved)
          : 'added' in what
            ? await undoAdding(what.added)
            : 'setUp' in what
              ? await undoSetUp(what.setUp)
              : await undoCorrection(what.correction, what.before);
    const words = done ? 'Undone' : 'Not undone: the server did not take it. Try again.';
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo: null }));
    return done;
  }
  return { undo, voidsOf, historiesOf, historyOf };
}
