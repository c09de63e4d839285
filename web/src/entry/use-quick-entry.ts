import type { EntryBodies, Subject } from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { draftIds } from '../forms/draft-ids.js';
import { entriesOf, exactly } from './deed.js';
import { useEnvelope } from './use-envelope.js';
import { useWriteEntries } from './use-write-entries.js';

/** Writes an entry that needs no form of its own: a task ticked off, a note, a meter. @returns true when it is stored */
export function useQuickEntry({ subject, zone }: { subject: Subject; zone: string }) {
  const { write: send, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const shared = useEnvelope();
  async function write<K extends 'done' | 'note' | 'meter'>(
    kind: K,
    body: EntryBodies[K],
    savedWords: string,
  ): Promise<boolean> {
    const now = new Date().toISOString();
    const { deed } = exactly(kind, now, body);
    const { all } = entriesOf(deed, { subject, zone, now, idFor: draftIds().idFor, shared });
    const result = await send(all);
    const stored = result.kind === 'written';
    const words = stored
      ? savedWords
      : result.kind === 'unreachable'
        ? 'Not saved: the server does not answer. Try again.'
        : 'Not saved: the server did not take it.';
    dispatch(
      toastsSlice.actions.shown({ id: newId(), words, undo: stored ? { entryIds: all.map((e) => e.id) } : null }),
    );
    return stored;
  }
  return { write, busy };
}
