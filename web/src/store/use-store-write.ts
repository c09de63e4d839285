import type { FieldIssue, Question } from '@winter-jar/contracts';
import { checkEntry } from '@winter-jar/contracts';
import type { Subject } from '@winter-jar/core';
import { useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import { useAppDispatch } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';
import { entriesOf, type Deed } from '../entry/deed.js';
import { useEnvelope } from '../entry/use-envelope.js';
import { useWriteEntries } from '../entry/use-write-entries.js';
import type { WriteResult } from '../sending/write-result.js';
import { draftIds } from '../forms/draft-ids.js';

/** Writes a deed of the store; what is sent again bears the same ids, so that a lost answer doubles nothing. */
export function useStoreWrite({ zone }: { zone: string }) {
  const { write: send, busy } = useWriteEntries();
  const dispatch = useAppDispatch();
  const shared = useEnvelope();
  const ids = useRef(draftIds());
  const sent = useRef('');
  const [outcome, setOutcome] = useState<WriteResult | null>(null);
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);

  /** @param acknowledged codes of the questions that were said yes to @returns true when it is stored */
  async function save(
    deed: Deed,
    { subject, words, acknowledged = [] }: { subject: Subject; words: string; acknowledged?: readonly string[] },
  ): Promise<boolean> {
    const bodies = JSON.stringify([deed.main.body, subject]);
    // Other values are another deed.
    if (sent.current !== '' && sent.current !== bodies) ids.current = draftIds();
    sent.current = bodies;
    const now = new Date().toISOString();
    const writing = { subject, zone, now, idFor: ids.current.idFor, shared: { ...shared, acknowledged } };
    const { all } = entriesOf(deed, writing);
    const wrong = all.flatMap((e) => {
      const checked = checkEntry(e, Date.now());
      return checked.ok ? [] : checked.issues;
    });
    setIssues(wrong);
    setOutcome(null);
    if (wrong.length > 0) return false;
    const result = await send(all);
    setOutcome(result);
    if (result.kind === 'refused') setIssues(result.issues);
    if (result.kind !== 'written') return false;
    dispatch(toastsSlice.actions.shown({ id: newId(), words, undo: { entryIds: all.map((e) => e.id) } }));
    ids.current = draftIds();
    sent.current = '';
    return true;
  }

  const questions: readonly Question[] = outcome?.kind === 'asked' ? outcome.questions : [];
  return { save, busy, outcome, issues, questions };
}
