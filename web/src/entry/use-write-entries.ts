import type { JournalEntry } from '@winter-jar/core';
import { usePostEntriesMutation } from '../api/house-api.js';
import { writeResult, type WriteResult } from './write-result.js';

/** Sends entries through the one door and says what became of them. */
export function useWriteEntries(): {
  write: (entries: readonly JournalEntry[]) => Promise<WriteResult>;
  busy: boolean;
} {
  const [post, { isLoading: busy }] = usePostEntriesMutation();
  const write = async (entries: readonly JournalEntry[]) => writeResult(await post({ entries }));
  return { write, busy };
}
