import {
  asOfToday,
  checkStored,
  checkUnsettled,
  type BackupContents,
  type FieldIssue,
  type Unsettled,
} from '@winter-jar/contracts';
import {
  effectiveEntry,
  initialState,
  type Correction,
  type JournalEntry,
  type PumpState,
  rowOf,
} from '@winter-jar/core';
import { isoNow } from '../clock/clock.js';
import { databaseFile, openDatabase, type Database } from '../database/open.js';
import type { JournalEntryRow } from '../database/entities.js';
import { Reading } from '../database/reading.js';
import { writingStatements, type ReadingStatements } from '../database/statements.js';
import { contentHash } from '../journal/content-hash.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { checkVersions } from '../set-up/check-versions.js';
import { checkDatabaseFile, issueOf } from './database-check.js';

export interface Aside {
  /** A folder with a database file of its own, which may be changed. */
  readonly folder: string;
  readonly nowMs: number;
}

const parse = <T>(text: string): T => JSON.parse(text) as T;
const named = (what: string, issue: FieldIssue): FieldIssue => ({ ...issue, field: `${what}: ${issue.field}` });
const saysOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** The columns by which an entry is found say what its content says. */
function rowIssue(row: JournalEntryRow, nowMs: number): FieldIssue | null {
  const content = parse<JournalEntry>(row.content);
  const checked = checkStored(content, nowMs);
  if (!checked.ok) return checked.issues[0] ?? null;
  const targetId = content.kind === 'correction' ? content.body.targetId : null;
  const { id, actId, kind, happenedAt, recordedAt } = content;
  const says = { id, actId, kind, happenedAt, recordedAt, targetId, contentHash: contentHash(content) };
  const wrong = (Object.keys(says) as (keyof typeof says)[]).find((column) => row[column] !== says[column]);
  if (wrong) return issueOf(wrong, row[wrong], 'contradicted', `what the entry itself says: ${String(says[wrong])}`);
  if (row.unsettled === null) return null;
  const state = checkUnsettled(parse<unknown>(row.unsettled));
  if (!state.ok) return state.issues[0] ?? null;
  if ((kind === 'correction') !== (state.value.state === 'asks')) return null;
  return issueOf(
    'unsettled',
    row.unsettled,
    'contradicted',
    'a state of its kind: only a correction waits for another',
  );
}

/** Of a correction that counts: null where it can, else why it does not from now on. Versions before 0.4 counted some unchecked. */
function correctionState(correction: Correction, sql: ReadingStatements, nowMs: number): Unsettled | null {
  const { action, targetId } = correction.body;
  if (action !== 'replace') return null;
  const target = sql.entryById.get(targetId);
  if (!target) return { state: 'waits' };
  const original = parse<JournalEntry>(target.content);
  const corrected = original.kind === 'correction' ? null : effectiveEntry(original, [correction]);
  const checked = corrected && checkStored(corrected, nowMs);
  if (checked?.ok) return null;
  const right = 'the id of the original entry, not of a correction';
  const issues = checked?.issues ?? [issueOf('targetId', targetId, 'namesACorrection', right)];
  return { state: 'toSettle', issues: issues.map((i) => ({ ...i, field: `body.${i.field}` })) };
}

/** What is wrong with an entry; corrections that cannot count are marked on the way. */
function journalIssue(aside: Database, nowMs: number, progress: (share: number) => void): FieldIssue | null {
  const all = aside.reader.prepare<[], JournalEntryRow>('SELECT * FROM journal_entry ORDER BY "seq"').iterate();
  const { sql } = new Reading(aside);
  const total = (sql.lastSeq.get()?.seq ?? 0) * 2;
  const states: { id: string; unsettled: string }[] = [];
  for (const row of all) {
    let issue: FieldIssue | null;
    try {
      issue = rowIssue(row, nowMs);
      const counts = issue === null && row.unsettled === null && row.kind === 'correction';
      const state = counts ? correctionState(parse<Correction>(row.content), sql, nowMs) : null;
      if (state) states.push({ id: row.id, unsettled: JSON.stringify(state) });
    } catch (error) {
      issue = issueOf('content', null, 'damaged', `an entry that can be read: ${saysOf(error)}`);
    }
    if (issue) return named(`entry ${String(row.id)}`, issue);
    if (row.seq % 1000 === 0) progress(row.seq / total);
  }
  const { setUnsettled } = writingStatements(aside.writer);
  for (const state of states) setUnsettled.run(state);
  return null;
}

/** Every pump can be shown, with figures that are figures. */
function statesIssue(aside: Database, store: SetUpStore, now: string): FieldIssue | null {
  const states = new Map(
    new Reading(aside).sql.pumpStates.all().map((row) => [row.pumpId, parse<PumpState>(row.state)]),
  );
  for (const pumpId of Object.keys(store.book.at(now).pump)) {
    const setUp = store.book.pumpAt({ pumpId, instant: now });
    if (!setUp)
      return issueOf(`pump ${pumpId}`, null, 'unknownId', 'a model, a site and an equipment that are in the set-up');
    const state = states.get(pumpId) ?? initialState(pumpId);
    rowOf({ setUp, state, now });
    const wrong = Object.entries(state.totals).find(([, value]) => !Number.isFinite(value));
    if (wrong) return issueOf(`pump ${pumpId}: ${wrong[0]}`, wrong[1], 'notFinite', 'entries that add up to a number');
  }
  return null;
}

/**
 * Reads every record and every entry of a database file by the rules of its door, and makes all states anew from them, so that what
 * is put in place afterwards starts and shows what the journal says. Null when all of it is right.
 */
async function wholeCheck({ folder, nowMs }: Aside, progress: (share: number) => void): Promise<FieldIssue | null> {
  // Where it is put in place it is forced to the disk: before, whoever saves an entry would wait for that.
  const aside = await openDatabase(folder, false);
  const clock = { nowMs: () => nowMs };
  try {
    const store = new SetUpStore();
    store.reload(new Reading(aside).sql);
    const writer = new JournalWriter(aside, store, clock);
    const { issues } = checkVersions(store.versions.map(asOfToday), nowMs);
    const [setUpIssue] = [...issues, ...store.brokenReferences()];
    if (setUpIssue) return named('set-up', setUpIssue);
    const issue = journalIssue(aside, nowMs, progress);
    if (issue) return issue;
    // What it says of its states is not looked at.
    writer.rebuildAll((share) => progress((1 + share) / 2));
    return statesIssue(aside, store, isoNow(clock));
  } catch (error) {
    return issueOf('file', null, 'cannotBeRead', `a database that can be made anew from its journal: ${saysOf(error)}`);
  } finally {
    // One file, with no log beside it.
    await aside.close();
  }
}

/** What is wrong with a database in a folder, or what it holds. */
export type WholeAnswer = { readonly issue: FieldIssue } | { readonly contents: BackupContents };

export async function checkWhole(aside: Aside, progress: (share: number) => void): Promise<WholeAnswer> {
  const checked = checkDatabaseFile(databaseFile(aside.folder));
  if (!checked.ok) return { issue: checked.issue };
  const issue = await wholeCheck(aside, progress);
  return issue ? { issue } : { contents: checked.contents };
}
