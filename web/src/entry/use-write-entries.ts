import type { JournalEntry } from '@winter-jar/core';
import { usePostEntriesMutation } from '../api/yard-api.js';
import type { EntriesPost } from '../api/generated.js';
import { writeResult, type WriteResult } from './write-result.js';

/** Sends entries through the one door and says what became of them. The wire's types are the same but not read-only. */
export function useWriteEntries(): {
  write: (entries: readonly JournalEntry[]) => Promise<WriteResult>;
  busy: boolean;
} {
  const [post, { isLoading: busy }] = usePostEntriesMutation();
  const write = async (entries: readonly JournalEntry[]) =>
    writeResult(await post({ entries } as unknown as EntriesPost));
  return { write, busy };
}
