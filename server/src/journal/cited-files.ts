import type { JournalEntry, TestBody } from '@winter-jar/core';

/** The photograph that an entry, or a correction's new words, shows. */
export function citedPhoto(entry: JournalEntry): string | null {
  if (entry.kind === 'look' || entry.kind === 'test' || entry.kind === 'jobStep') return entry.body.photoId ?? null;
  const body = entry.kind === 'correction' ? entry.body.body : null;
  return body && 'photoId' in body ? (body.photoId ?? null) : null;
}

/** The gauge log that a test rests on. */
export function citedLog(entry: JournalEntry): string | null {
  const body = entry.kind === 'correction' ? entry.body.body : entry.body;
  return body && 'log' in body ? ((body as TestBody).log?.logId ?? null) : null;
}

export const citedFiles = (entry: JournalEntry): string[] =>
  [citedPhoto(entry), citedLog(entry)].flatMap((id) => id ?? []);
