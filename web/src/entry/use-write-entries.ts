import type { JournalEntry } from '@winter-jar/core';
import { useState } from 'react';
import { useAppDispatch } from '../device/store.js';
import { lastAsking } from '../held/answers.js';
import { writeNow } from '../sending/send-waiting.js';
import type { WriteResult } from '../sending/write-result.js';

/** Keeps entries on this device, sends them through the one door and says what became of them. */
export function useWriteEntries(): {
  write: (entries: readonly JournalEntry[]) => Promise<WriteResult>;
  busy: boolean;
} {
  const dispatch = useAppDispatch();
  const [writing, setWriting] = useState(0);
  const write = async (entries: readonly JournalEntry[]) => {
    setWriting((n) => n + 1);
    try {
      const asking = await lastAsking();
      return await writeNow(entries, { house: asking?.house ?? null, who: entries[0]?.who ?? null }, dispatch);
    } finally {
      setWriting((n) => n - 1);
    }
  };
  return { write, busy: writing > 0 };
}
