import { v7 as newId } from 'uuid';
import type { EntryHistory } from '@winter-jar/contracts';
import type { Correction, CorrectionBody, Entry, Envelope, SetUpVersion } from '@winter-jar/core';
import { usePostSetUpMutation, houseApi } from '../api/house-api.js';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice, type Undoable } from '../device/toasts-slice.js';
import { lastCorrectionId, recordedAfter } from './correction-order.js';
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

/** As it was before: the entry that counted then, or none. */
const asBefore = (before: Entry | null): Pick<CorrectionBody, 'action' | 'body' | 'happenedAt'> =>
  before ? { action: 'replace', body: before.body, happenedAt: before.happenedAt } : { action: 'void' };

/** Takes back entries with all others of their deeds, a correction, or a version of the set-up. */
export function useUndo(): {
  undo: (what: Undoable) => Promise<boolean>;
  voidsOf: (entryId: string) => Promise<Correction[]>;
} {
  const dispatch = useAppDispatch();
  const { write } = useWriteEntries();
  const [postSetUp] = usePostSetUpMutation();
  const shared = useEnvelope();

  const historyOf = async (id: string): Promise<EntryHistory | null> => {
    const { data } = await dispatch(houseApi.endpoints.entry.initiate(id, { forceRefetch: true, subscribe: false }));
    return data ?? null;
  };

  /** What takes a whole deed back; none when a part of it could not be fetched. */
  async function voidsOf(entryId: string): Promise<Correction[]> {
    const input = { actId: newId(), now: new Date().toISOString(), shared };
    const members = (await historyOf(entryId))?.actEntryIds ?? [];
    const histories = await Promise.all(members.map(historyOf));
    const voids = histories.flatMap((h) => (h ? [correctionOf(h, { action: 'void' }, input)] : []));
    return voids.length === members.length ? voids : [];
  }

  async function undoCorrection(correction: Correction, before: Entry | null): Promise<boolean> {
    const history = await historyOf(correction.body.targetId);
    if (!history) return false;
    const input = { actId: newId(), now: new Date().toISOString(), shared };
    return (await write([correctionOf(history, asBefore(before), input)])).kind === 'written';
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
        : 'setUp' in what
          ? await undoSetUp(what.setUp)
          : await undoCorrection(what.correction, what.before);
    const words = done ? 'Undone' : 'Not undone: the server did not take it. Try again.';
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo: null }));
    return done;
  }
  return { undo, voidsOf };
}
