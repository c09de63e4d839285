import type { FieldIssue } from '@winter-jar/contracts';
import type { JournalEntry } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';
import type { RecordName, SetUpStore } from './set-up-store.js';

/** What the journal has of a record up to a line. */
export interface InJournal {
  /** Entries that name it, but for a pump's own beginning. */
  readonly entries: number;
  /** A pump's take-over and what corrects it: they go with the pump where nothing else was ever written about it. */
  readonly beginning: readonly { readonly seq: number; readonly id: string }[];
}

/** Looks through every entry, whether it counts or not. @param after the line after which it looks */
export function inJournal(sql: Pick<ReadingStatements, 'entriesNaming'>, record: RecordName, after = 0): InJournal {
  const beginning: { seq: number; id: string }[] = [];
  const begins = new Set<string>();
  let entries = 0;
  for (const row of sql.entriesNaming.iterate({ after, quoted: JSON.stringify(record.subjectId) })) {
    const entry = JSON.parse(row.content) as JournalEntry;
    const isBeginning =
      record.kind === 'pump' &&
      (entry.kind === 'takeOver' || (entry.kind === 'correction' && begins.has(entry.body.targetId)));
    if (!isBeginning) {
      entries += 1;
      continue;
    }
    begins.add(entry.id);
    beginning.push({ seq: row.seq, id: entry.id });
  }
  return { entries, beginning };
}

/** Why records cannot go: what names them stays. */
export function removalIssues(
  store: SetUpStore,
  records: readonly RecordName[],
  named: readonly InJournal[],
): FieldIssue[] {
  const isRemoved = (one: RecordName) =>
    records.some(({ kind, subjectId }) => kind === one.kind && subjectId === one.subjectId);
  return records.flatMap((record, i): FieldIssue[] => {
    const { kind, subjectId } = record;
    const issue = (code: string, value: unknown, right: string) => ({
      field: `${kind} ${subjectId}`,
      value,
      code,
      right,
    });
    if (kind === 'houseRules')
      return [issue('notRemovable', null, 'other values in them: the rules of the house always stand')];
    if (store.versionsOf(record).length === 0) return [issue('unknownId', subjectId, 'a record of the set-up')];
    const others = store.naming(record).filter((other) => !isRemoved(other));
    if (others.length > 0) {
      const names = others.map((other) => store.nameOf(other)).join(', ');
      return [issue('named', names, `a record that no other names: ${names} does, or did`)];
    }
    const { entries } = named[i] ?? { entries: 0 };
    return entries === 0 ? [] : [issue('named', entries, `a record that no entry names: ${entries} of the journal do`)];
  });
}
