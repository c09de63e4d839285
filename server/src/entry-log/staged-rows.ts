import { join } from 'node:path';
import type { Entry } from '@winter-jar/core';
import BetterSqlite3 from 'better-sqlite3';
import type { StagedEntry } from '../journal/bulk-writing.js';

export interface StagedLine extends StagedEntry {
  readonly line: number;
}

/** The good rows of a file on their way into the journal, on the disk: so many that memory need not hold them. */
export class StagedRows {
  private readonly db: BetterSqlite3.Database;
  private readonly sql;

  constructor(folder: string) {
    this.db = new BetterSqlite3(join(folder, 'staged.sqlite'));
    // Nothing here outlives a crash, nor is it committed: it was never acknowledged, and its only reader is this connection.
    this.db.pragma('journal_mode = OFF');
    this.db.pragma('synchronous = OFF');
    this.db.exec(
      `CREATE TABLE staged ("line" integer PRIMARY KEY, "contentHash" text, "content" text);
       CREATE TABLE seen ("id" text PRIMARY KEY, "line" integer) WITHOUT ROWID;
       BEGIN`,
    );
    this.sql = {
      see: this.db.prepare<[id: string, line: number]>('INSERT INTO seen VALUES (?, ?) ON CONFLICT DO NOTHING'),
      lineOf: this.db.prepare<[id: string], { line: number }>('SELECT "line" FROM seen WHERE "id" = ?'),
      stage: this.db.prepare<[line: number, contentHash: string, content: string]>(
        'INSERT INTO staged VALUES (?, ?, ?)',
      ),
      next: this.db.prepare<[after: number, limit: number], { line: number; contentHash: string; content: string }>(
        'SELECT * FROM staged WHERE "line" > ? ORDER BY "line" LIMIT ?',
      ),
    };
  }

  /** @returns the line in which its id stands already, null when it was put in */
  put({ line, entry, contentHash, content }: StagedLine): number | null {
    if (this.sql.see.run(entry.id, line).changes === 0) return this.sql.lineOf.get(entry.id)?.line ?? line;
    this.sql.stage.run(line, contentHash, content);
    return null;
  }

  /** As they stand in the file, so many at a time. */
  *byLine(limit: number): Generator<StagedLine[]> {
    for (let after = 0, rows; (rows = this.sql.next.all(after, limit)).length > 0;) {
      yield rows.map((row) => ({ ...row, entry: JSON.parse(row.content) as Entry }));
      after = rows.at(-1)?.line ?? after;
    }
  }

  close(): void {
    this.db.close();
  }
}
