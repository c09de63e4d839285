import type { JournalEntry } from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';
import { citedFiles } from './cited-files.js';

/** An entry's texts as they are stored. */
export interface EntryText {
  readonly contentHash: string;
  readonly content: string;
}

/** Puts an entry into the journal. @returns its number; null when its id is taken */
export function insertEntry(
  sql: WritingStatements,
  entry: JournalEntry,
  text: EntryText,
  importId: string | null,
): number | null {
  const { id, actId, kind, happenedAt, recordedAt } = entry;
  const targetId = entry.kind === 'correction' ? entry.body.targetId : null;
  const row = { id, actId, kind, happenedAt, recordedAt, targetId, ...text, importId };
  const { changes, lastInsertRowid } = sql.insertEntry.run(row);
  if (changes === 0) return null;
  for (const fileId of citedFiles(entry)) sql.insertCitation.run({ fileId, entryId: id });
  return Number(lastInsertRowid);
}
