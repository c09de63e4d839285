import { seesEntry, type Entry, type JournalEntry, type SetUpBook, type Sight, type TestBody } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';

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

/** A file that entries show, and none that is seen: whoever knows its name does not get it, by asking or by showing it too. */
export function isOfOtherSites(
  sight: Sight,
  fileId: string,
  book: SetUpBook,
  sql: Pick<ReadingStatements, 'citing'>,
): boolean {
  if (sight === null) return false;
  const citing = sql.citing.all(fileId).map(({ content }) => JSON.parse(content) as Entry);
  return citing.length > 0 && !citing.some((entry) => seesEntry(sight, book, entry));
}
