import { createReadStream, statSync } from 'node:fs';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { Logger } from '@nestjs/common';
import type { FieldIssue, ImportName, LogImportAnswer, LogImportState } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import { isoNow, type Clock } from '../clock/clock.js';
import type { Reading } from '../database/reading.js';
import type { Actor } from '../journal/actor.js';
import { takenBy } from '../journal/bulk-writing.js';
import { contentHash } from '../journal/content-hash.js';
import { setUpIssues } from '../journal/entry-rules.js';
import type { JournalWriter } from '../journal/journal-writer.js';
import type { SetUpStore } from '../journal/set-up-store.js';
import { csvRows, FileRefused, type Piece } from './csv-rows.js';
import { bad, type Row } from './csv-table.js';
import { inColumns, readRow, type LogFile, type LogReader } from './entry-log.js';
import { RefusedRows } from './refused-rows.js';
import { StagedRows, type StagedLine } from './staged-rows.js';

const READ_PER_TURN = 100;
const WRITTEN_PER_TURN = 400;

export interface ImportTools {
  readonly clock: Clock;
  readonly reading: Reading;
  readonly store: SetUpStore;
  readonly writer: JournalWriter;
  /** Who brings the file. */
  readonly by: Actor;
}

/** Thrown in the middle of work that a person has cancelled. */
class Cancelled extends Error {}

/**
 * One log file on its way in: read and checked row by row onto the disk, then written in short turns, so that neither its length
 * nor its writing is felt by others. It can be cancelled at any moment, and leaves nothing behind then.
 */
export class LogImport {
  private state: LogImportState = 'reading';
  private progress = 0;
  private readonly counts = { rows: 0, fresh: 0, unchanged: 0, written: 0 };
  private fileIssue: FieldIssue | null = null;
  private refusedLate = 0;
  private readonly staged: StagedRows;
  readonly refused: RefusedRows;
  /** Where the journal stood before it was written; null until then. */
  private afterSeq: number | null = null;
  private stop: 'takeBack' | 'leave' | null = null;
  private readonly logger = new Logger('Import');
  private working: Promise<void> = Promise.resolve();

  constructor(
    readonly id: string,
    private readonly name: ImportName,
    private readonly form: LogFile,
    private readonly file: string,
    folder: string,
    private readonly tools: ImportTools,
  ) {
    this.staged = new StagedRows(folder);
    this.refused = new RefusedRows(folder);
    this.working = this.work(() => this.read());
  }

  answer(): LogImportAnswer {
    const { id, name: log, state, progress, fileIssue, refused } = this;
    const canBeUndone = state === 'done' && this.counts.written > 0;
    const { count, first: firstRefused } = refused;
    return { id, log, state, progress, ...this.counts, canBeUndone, refused: count, firstRefused, fileIssue };
  }

  /** Whether it works just now; if not it has ended, or waits for a word. */
  get goesOn(): boolean {
    return ['reading', 'writing', 'takingBack'].includes(this.state);
  }

  /** Resolves when what it is doing now has come to an end. */
  atRest(): Promise<void> {
    return this.working;
  }

  /** Begins to write what was found. @returns whether it can: it was read, and no row was refused or the good ones are wanted */
  write(goodRowsOnly: boolean): boolean {
    if (this.state !== 'ready' || (this.refused.count > 0 && !goodRowsOnly)) return false;
    this.state = 'writing';
    this.working = this.work(() => this.writeAll(goodRowsOnly));
    return true;
  }

  /** What is ready to be written, where it is at most so many entries; null otherwise. */
  stagedEntries(most: number): readonly Entry[] | null {
    if (this.state !== 'ready' || this.counts.fresh > most) return null;
    return [...this.staged.byLine(WRITTEN_PER_TURN)].flat().map(({ entry }) => entry);
  }

  /**
   * Begins to take back what it wrote.
   * @returns whether it can: it is done, and nobody has corrected an entry of it since
   */
  undo(): 'begun' | 'notDone' | 'corrected' {
    const { afterSeq } = this;
    if (!this.answer().canBeUndone || afterSeq === null) return 'notDone';
    if (!this.tools.writer.bulk.reopen(this.id, afterSeq)) return 'corrected';
    this.working = this.takeBack().then(() => void (this.state = 'undone'));
    return 'begun';
  }

  /** Stops, and takes back what was written. What is done already stays. */
  cancel(): Promise<void> {
    return this.stopTo('takeBack');
  }

  /** Stops at once: the server ends, and takes back at its next start what was written. */
  abandon(): Promise<void> {
    return this.stopTo('leave');
  }

  private async stopTo(what: 'takeBack' | 'leave'): Promise<void> {
    this.stop = what;
    await this.working;
    if (this.state === 'ready') this.end('cancelled');
  }

  private async work(job: () => Promise<void>): Promise<void> {
    this.progress = 0;
    try {
      await job();
    } catch (error) {
      if (this.state === 'writing' && this.stop !== 'leave') await this.takeBack();
      if (error instanceof FileRefused) this.fileIssue = error.issue;
      else if (!(error instanceof Cancelled)) this.logger.error(error);
      this.end(error instanceof Cancelled ? 'cancelled' : 'failed');
    }
  }

  /** Where it fails, the import stays open in the journal, and is taken back when the folder is opened next. */
  private async takeBack(): Promise<void> {
    this.state = 'takingBack';
    this.counts.written = 0;
    try {
      while (this.tools.writer.bulk.takeBack(this.id)) await nextTurn();
      while (this.tools.writer.bulk.catchUp() !== null) await nextTurn();
    } catch (error) {
      this.logger.error(error);
    }
  }

  private end(state: 'done' | 'cancelled' | 'failed'): void {
    this.state = state;
    this.progress = 1;
    this.staged.close();
  }

  /** Lets others in; whoever cancelled meanwhile is heard here. */
  private async turn(): Promise<void> {
    await nextTurn();
    if (this.stop) throw new Cancelled();
  }

  private async read(): Promise<void> {
    const { store, clock, reading } = this.tools;
    const reader = { house: store.book.at(isoNow(clock)), nowMs: clock.nowMs() };
    const text = createReadStream(this.file, { encoding: 'utf8' });
    const bytes = Math.max(1, statSync(this.file).size);
    for await (const piece of csvRows(text, this.form.columns)) {
      for (let i = 0; i < piece.rows.length; i += READ_PER_TURN) {
        reading.together(() => this.sortRows(piece, i, reader));
        this.refused.save();
        await this.turn();
      }
      this.progress = text.bytesRead / bytes;
    }
    this.state = 'ready';
  }

  private sortRows({ rows, line, header }: Piece, from: number, reader: LogReader): void {
    rows.slice(from, from + READ_PER_TURN).forEach((row, i) => {
      const at = line + from + i;
      const issues = this.sortRow(row, at, reader);
      this.counts.rows += 1;
      if (issues.length > 0) this.refuse(row, at, issues, header);
    });
  }

  /** Stages a good row. @returns what is wrong with another */
  private sortRow(row: Row, line: number, reader: LogReader): readonly FieldIssue[] {
    const log = this.form.logOf(row);
    if (!log) return [bad('what', row.what ?? '', 'unknownKind', `one of ${this.form.kinds?.join(', ')}`)];
    const read = readRow(log, this.form.asRowOf(log, row), reader);
    if (!read.ok) return read.issues;
    const { entry } = read;
    const hash = contentHash(entry);
    const { sql } = this.tools.reading;
    if (sql.entryById.get(entry.id)) {
      const counted = sql.countedById.get(entry.id);
      if (!counted || contentHash(JSON.parse(counted.content) as Entry) !== hash) return [takenBy(entry.id)];
      this.counts.unchanged += 1;
      return [];
    }
    const issues = setUpIssues(entry, this.tools.store.book);
    if (issues.length > 0) return issues;
    const first = this.staged.put({ line, entry, contentHash: hash, content: JSON.stringify(entry) });
    if (first !== null)
      return [bad('id', row.id ?? '', 'twice', `each ${entry.kind} once: this one stands in line ${first} already`)];
    this.counts.fresh += 1;
    return [];
  }

  private refuse(row: Row, line: number, issues: readonly FieldIssue[], header: readonly string[]): void {
    const log = this.form.logOf(row);
    const named = log ? issues.map((issue) => inColumns(log, issue)) : issues;
    const at = Number(row.line) || line;
    this.refused.add(row, { line: at, pump: row.pump ?? '', when: row[this.form.when] ?? '', issues: named }, header);
  }

  private async writeAll(goodRowsOnly: boolean): Promise<void> {
    const { bulk } = this.tools.writer;
    this.afterSeq = bulk.open(this.id);
    for (const rows of this.staged.byLine(WRITTEN_PER_TURN)) {
      this.writeSome(rows);
      await this.turn();
      if (this.refusedLate > 0 && !goodRowsOnly) break;
    }
    if (this.refusedLate > 0 && !goodRowsOnly) {
      await this.takeBack();
      this.state = 'ready';
      return;
    }
    for (let folded = 0, some; (some = bulk.catchUp()) !== null; await this.turn()) {
      folded += some;
      this.progress = (1 + Math.min(1, folded / this.counts.fresh)) / 2;
    }
    bulk.close(this.id);
    this.end('done');
  }

  /** Rows that were right when they were read may not be any more: an id was taken, a record of the set-up changed. */
  private writeSome(chunk: readonly StagedLine[]): void {
    const answers = this.tools.writer.bulk.write(
      { kind: 'import', importId: this.id, by: this.tools.by },
      this.id,
      chunk,
    );
    answers.forEach((answer, i) => {
      const staged = chunk[i];
      if (answer.status === 'written') this.counts.written += 1;
      if (answer.status === 'alreadyWritten') this.counts.unchanged += 1;
      if (answer.status === 'refused' && staged) this.refuseLate(staged, answer.issues);
      if (answer.status !== 'written') this.counts.fresh -= 1;
    });
    this.refused.save();
    this.progress = this.counts.written / Math.max(1, this.counts.fresh) / 2;
  }

  private refuseLate({ line, entry }: StagedLine, issues: readonly FieldIssue[]): void {
    const { when } = this.form;
    const pump = entry.subjects.find((s) => s.type === 'pump')?.id ?? '';
    const row = { id: entry.id, pump, [when]: entry.happenedAt };
    this.refusedLate += 1;
    this.refuse(row, line, issues, Object.keys(row));
  }
}
