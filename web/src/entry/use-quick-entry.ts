import type { Entry, EntryBodies, Subject } from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { useEnvelope } from './use-envelope.js';
import { useWriteEntries } from './use-write-entries.js';

/** Writes an entry that needs no form of its own: a task ticked off, a note, a meter. @returns true when it is stored */
export function useQuickEntry({ subject, zone }: { subject: Subject; zone: string }) {
  const { write: send, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const envelope = useEnvelope();
  async function write<K extends 'done' | 'note' | 'meter'>(
    kind: K,
    body: EntryBodies[K],
    savedWords: string,
  ): Promise<boolean> {
    const id = newId();
    const now = new Date().toISOString();
    const entry = {
      id,
      actId: id,
      kind,
      body,
      subjects: [subject],
      happenedAt: now,
      zone,
      precision: 'exact',
      recordedAt: now,
      ...envelope,
    } as unknown as Entry;
    const result = await send([entry]);
    const stored = result.kind === 'written';
    const words = stored
      ? savedWords
      : result.kind === 'unreachable'
        ? 'Not saved: the server does not answer. Try again.'
        : 'Not saved: the server did not take it.';
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo: stored ? { entryIds: [id] } : null }));
    return stored;
  }
  return { write, busy };
}
