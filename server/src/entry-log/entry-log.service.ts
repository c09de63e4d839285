import { setImmediate as nextTurn } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { LogName, LogPreview, LogResult, LogRow } from '@winter-jar/contracts';
import type { Entry, EntryKind } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock.js';
import { Reading } from '../database/reading.js';
import { contentHash } from '../journal/content-hash.js';
import { setUpIssues } from '../journal/entry-rules.js';
import { JournalDoor } from '../journal/journal-door.js';
import { SetUpShelf } from '../set-up/set-up-shelf.js';
import { inColumns, readLog, writeLog, type EntryLog, type ReadRow } from './entry-log.js';
import { LOOK_LOG } from './look-log.js';
import { RUN_LOG } from './run-log.js';

const ROWS_PER_TURN = 500;
const SHOWN_BAD = 500;
const SHOWN_GOOD = 20;

/** Every kind of entry that comes and goes as a CSV file. */
const LOGS = { runs: RUN_LOG, looks: LOOK_LOG } as const satisfies Readonly<Record<LogName, unknown>>;
const logOf = (name: LogName) => LOGS[name] as unknown as EntryLog<EntryKind>;

interface Sorted {
  readonly preview: LogPreview;
  readonly fresh: readonly Entry[];
}

@Injectable()
export class EntryLogService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly shelf: SetUpShelf,
    private readonly door: JournalDoor,
  ) {}

  async preview(name: LogName, text: string): Promise<LogPreview> {
    return (await this.sort(logOf(name), text)).preview;
  }

  /** Writes the good rows in one transaction: all or, after a crash, none. Nothing is written when a row is bad and `goodRowsOnly` is false. */
  async import(name: LogName, text: string, goodRowsOnly: boolean): Promise<LogResult> {
    const { preview, fresh } = await this.sort(logOf(name), text);
    if (preview.fileIssue || (preview.bad > 0 && !goodRowsOnly)) return { ...preview, written: 0 };
    const { written, refused } = this.write(fresh, goodRowsOnly);
    return { ...preview, fresh: preview.fresh - refused, bad: preview.bad + refused, written };
  }

  /** All entries of its kind that count; runs that have ended. */
  export(name: LogName): string {
    const log = logOf(name);
    const entries = new Map<string, Entry>();
    for (const { content } of this.reading.sql.countedOfKind.all(log.kind)) {
      const entry = JSON.parse(content) as Entry;
      if (entry.kind !== 'run' || !entry.body.stillRunning) entries.set(entry.id, entry);
    }
    return writeLog(log, [...entries.values()]);
  }

  /** Rows may be right by themselves and not together: an id twice with other content. Such rows are left out, or all are. */
  private write(fresh: readonly Entry[], goodRowsOnly: boolean): { written: number; refused: number } {
    let left = fresh;
    for (;;) {
      const answers = left.length > 0 ? this.door.writeTogether(left) : [];
      const good = left.filter((_, i) => !['refused', 'conflict'].includes(answers[i]?.status ?? ''));
      const refused = fresh.length - good.length;
      if (good.length === left.length)
        return { written: answers.filter((a) => a.status === 'written').length, refused };
      if (!goodRowsOnly) return { written: 0, refused };
      left = good;
    }
  }

  /** Checks every row, in turns with whatever else the server has to do. */
  private async sort(log: EntryLog<EntryKind>, text: string): Promise<Sorted> {
    const house = this.shelf.book.at(isoNow(this.clock));
    const read = readLog(log, { text, house, nowMs: this.clock.nowMs() });
    const none = { rows: 0, fresh: 0, unchanged: 0, bad: 0 };
    if (!read.ok) return { preview: { ...none, shown: [], fileIssue: read.issue }, fresh: [] };
    const fresh: Entry[] = [];
    const rows: LogRow[] = [];
    for (const row of read.rows) {
      const sorted = this.sortRow(log, row);
      rows.push(sorted);
      if (sorted.status === 'new' && row.ok) fresh.push(row.entry);
      if (rows.length % ROWS_PER_TURN === 0) await nextTurn();
    }
    const of = (status: LogRow['status']) => rows.filter((r) => r.status === status);
    const [bad, unchanged] = [of('bad'), of('unchanged')];
    const shown = [...bad.slice(0, SHOWN_BAD), ...of('new').slice(0, SHOWN_GOOD), ...unchanged.slice(0, SHOWN_GOOD)];
    const counts = { rows: rows.length, fresh: fresh.length, unchanged: unchanged.length, bad: bad.length };
    return { fresh, preview: { ...counts, shown, fileIssue: null } };
  }

  private sortRow(log: EntryLog<EntryKind>, row: ReadRow): LogRow {
    const shown = { line: row.line, pump: row.row.pump ?? '', when: row.row[log.when.column] ?? '' };
    const issues = row.ok ? this.issuesOf(row.entry) : row.issues;
    if (issues === 'unchanged') return { ...shown, status: 'unchanged', issues: [] };
    if (issues.length > 0) return { ...shown, status: 'bad', issues: issues.map((issue) => inColumns(log, issue)) };
    return { ...shown, status: 'new', issues: [] };
  }

  private issuesOf(entry: Entry): 'unchanged' | Extract<ReadRow, { ok: false }>['issues'] {
    const counted = this.reading.sql.countedById.get(entry.id);
    if (counted && contentHash(JSON.parse(counted.content) as Entry) === contentHash(entry)) return 'unchanged';
    if (counted || this.reading.sql.entryById.get(entry.id)) {
      return [
        {
          field: 'id',
          value: entry.id,
          code: 'conflict',
          right: 'the content that is stored under this id; correct it in the journal instead',
        },
      ];
    }
    return setUpIssues(entry, this.shelf.book);
  }
}
