import { existsSync } from 'node:fs';
import type { BackupContents, FieldIssue } from '@winter-jar/contracts';
import { setUpBook } from '@winter-jar/core';
import BetterSqlite3 from 'better-sqlite3';
import { MIGRATIONS } from '../database/migrations.js';
import { contentStatements } from '../database/statements.js';
import { END_OF_TIME, SetUpStore } from '../journal/set-up-store.js';

const KNOWN_MIGRATIONS: readonly string[] = MIGRATIONS.map((M) => new M().name);

export const issueOf = (field: string, value: unknown, code: string, right: string): FieldIssue => ({
  field,
  value,
  code,
  right,
});

/** What a database file holds. */
export function contentsOf(db: BetterSqlite3.Database): BackupContents {
  const sql = contentStatements(db);
  const store = new SetUpStore();
  store.reload(sql);
  const pumps = Object.keys(setUpBook(store.versions).at(END_OF_TIME).pump).length;
  return { pumps, ...(sql.contents.get() ?? { entries: 0, lastRecordedAt: null }) };
}

/** Is this file a whole database of Winter Jar that this version can read? It is left closed, with no log beside it. */
export function checkDatabaseFile(
  file: string,
): { ok: true; contents: BackupContents } | { ok: false; issue: FieldIssue } {
  const bad = (code: string, right: string) => ({ ok: false, issue: issueOf('file', null, code, right) }) as const;
  if (!existsSync(file)) return bad('noDatabase', 'a backup with the database winter-jar.sqlite in it');
  let db: BetterSqlite3.Database | null = null;
  try {
    db = new BetterSqlite3(file);
    // A large file that was just written is not to be forced to the disk for a look at it.
    db.pragma('synchronous = OFF');
    db.pragma('journal_mode = DELETE');
    if (db.pragma('integrity_check', { simple: true }) !== 'ok') return bad('damaged', 'an undamaged backup');
    const made = (db.prepare('SELECT name FROM migrations').all() as { name: string }[]).map((m) => m.name);
    const unknown = made.find((name) => !KNOWN_MIGRATIONS.includes(name));
    if (unknown) return bad('newerVersion', 'a backup of this version or an older one; this one was made by a newer');
    return { ok: true, contents: contentsOf(db) };
  } catch {
    return bad('damaged', 'an undamaged backup made by Winter Jar');
  } finally {
    db?.close();
  }
}
