import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import {
  asOfToday,
  checkStored,
  checkUnsettled,
  idsInOneSpelling,
  MAX_BACKUP_BYTES,
  type FieldIssue,
  type JournalFileResult,
  type Unsettled,
} from '@winter-jar/contracts';
import type { JournalEntry, SetUpVersion } from '@winter-jar/core';
import { CLOCK, type Clock } from '../clock/clock.js';
import { Database, databaseFile, openDatabase } from '../database/open.js';
import { Reading } from '../database/reading.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { checkVersions } from '../set-up/check-versions.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { BackupService } from './backup.service.js';
import { checkDatabaseFile, issueOf } from './database-check.js';
import { JOURNAL_FORMAT, JOURNAL_VERSION, type Counts, type End } from './journal-lines.js';
import { dropWorkFolder, takeIn } from '../files/work-folder.js';

const VERSIONS_READ: readonly number[] = [1, JOURNAL_VERSION];
const CHUNK = 500;

/** Thrown when a line cannot be taken; then nothing is. */
class LineRefused extends Error {
  constructor(
    readonly line: number,
    readonly issue: FieldIssue,
  ) {
    super();
  }
}

/** Everything ever written, as JSON lines, taken in again by an empty data folder. */
@Injectable()
export class JournalFileService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly database: Database,
    private readonly backup: BackupService,
  ) {}

  /** Builds a data file aside, line by line, and puts it in place when the last line was right. */
  import(by: Actor, upload: Readable): Promise<JournalFileResult> {
    return this.backup.alone(async () => {
      const nothing = { setUpVersions: 0, entries: 0 };
      const present = await this.backup.contents();
      if (present.pumps > 0 || present.entries > 0) {
        const right = 'an empty data folder: start with npm start -- --data and a new folder, and import there';
        upload.resume();
        return { issue: issueOf('folder', this.database.folder, 'notEmpty', right), line: null, ...nothing };
      }
      const { folder, file } = await takeIn(upload, this.database.folder, MAX_BACKUP_BYTES);
      try {
        const taken = await this.buildAside(by, file, folder);
        const checked = checkDatabaseFile(databaseFile(folder));
        if (!checked.ok) return { issue: checked.issue, line: null, ...nothing };
        await this.backup.replaceWith(databaseFile(folder));
        return { issue: null, line: null, ...taken };
      } catch (error) {
        if (error instanceof LineRefused) return { issue: error.issue, line: error.line, ...nothing };
        throw error;
      } finally {
        await dropWorkFolder(folder);
      }
    });
  }

  private async buildAside(by: Actor, file: string, folder: string): Promise<Counts> {
    const aside = await openDatabase(folder);
    try {
      const store = new SetUpStore();
      store.reload(new Reading(aside).sql);
      const writer = new JournalWriter(aside, store, this.clock);
      return await new LineTaker(by, writer, this.clock).take(file);
    } finally {
      await aside.close();
    }
  }
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Takes the lines of one file, in chunks that never cut a deed in two. */
class LineTaker {
  private line = 0;
  private version = JOURNAL_VERSION;
  private ended = false;
  private readonly hash = createHash('sha256');
  private versions: SetUpVersion[] = [];
  private setUpVersions = 0;
  private entries = 0;
  private chunk: { entry: JournalEntry; line: number; unsettled: Unsettled | null }[] = [];

  constructor(
    private readonly by: Actor,
    private readonly writer: JournalWriter,
    private readonly clock: Clock,
  ) {}

  async take(file: string): Promise<Counts> {
    for await (const text of createInterface({ input: createReadStream(file), crlfDelay: Infinity })) {
      this.line += 1;
      if (this.ended) this.refuse('line', text.slice(0, 80), 'afterTheEnd', 'nothing after the end');
      if (text.trim() !== '') this.takeLine(this.parse(text));
      if (!this.ended) this.hash.update(`${text}\n`);
      if (this.line % CHUNK === 0) await nextTurn();
    }
    if (!this.ended)
      this.refuse('line', null, 'notWhole', `a whole file: it breaks off after line ${this.line}, before its end`);
    return { setUpVersions: this.setUpVersions, entries: this.entries };
  }

  private refuse(field: string, value: unknown, code: string, right: string): never {
    throw new LineRefused(this.line, issueOf(field, value, code, right));
  }

  private parse(
    text: string,
  ): Partial<Record<'format' | 'version' | 'setUp' | 'entry' | 'unsettled' | 'end', unknown>> {
    const content = jsonOf(text);
    if (typeof content !== 'object' || content === null)
      return this.refuse('line', text.slice(0, 80), 'notJson', 'one whole JSON object');
    return content;
  }

  private takeLine(content: ReturnType<LineTaker['parse']>): void {
    if (this.line === 1) {
      if (content.format !== JOURNAL_FORMAT)
        this.refuse(
          'format',
          content.format ?? null,
          'otherFormat',
          `a first line with the format "${JOURNAL_FORMAT}"`,
        );
      if (typeof content.version !== 'number' || !VERSIONS_READ.includes(content.version))
        this.refuse('version', content.version ?? null, 'otherVersion', `version ${VERSIONS_READ.join(' or ')}`);
      this.version = Number(content.version);
      return;
    }
    if (content.setUp !== undefined) {
      const [issue] = checkVersions([asOfToday(content.setUp)], this.clock.nowMs()).issues;
      if (issue) throw new LineRefused(this.line, issue);
      this.versions.push(idsInOneSpelling(content.setUp) as SetUpVersion);
    } else if (content.entry !== undefined) this.takeEntry(content.entry, this.unsettledOf(content.unsettled));
    else if (typeof content.end === 'object' && content.end !== null) this.takeEnd(content.end as End);
    else this.refuse('line', JSON.stringify(content).slice(0, 80), 'unknownLine', 'setUp, entry or end');
  }

  private unsettledOf(raw: unknown): Unsettled | null {
    if (raw === undefined) return null;
    const checked = checkUnsettled(raw);
    if (!checked.ok)
      throw new LineRefused(this.line, checked.issues[0] ?? issueOf('unsettled', null, 'notRight', 'a state'));
    return checked.value;
  }

  private takeEntry(raw: unknown, unsettled: Unsettled | null): void {
    this.flushSetUp();
    const checked = checkStored(idsInOneSpelling(raw), this.clock.nowMs());
    const [issue] = checked.ok ? [] : checked.issues;
    if (!checked.ok) throw new LineRefused(this.line, issue ?? issueOf('entry', null, 'notRight', 'an entry'));
    if (this.chunk.length >= CHUNK && this.chunk.at(-1)?.entry.actId !== checked.value.actId) this.flushEntries();
    this.chunk.push({ entry: checked.value, line: this.line, unsettled });
  }

  private takeEnd(end: End): void {
    this.flushSetUp();
    this.flushEntries();
    this.ended = true;
    const counted = { setUpVersions: this.setUpVersions, entries: this.entries };
    if (counted.setUpVersions !== end.setUpVersions || counted.entries !== end.entries) {
      const said = `${end.setUpVersions} set-up versions and ${end.entries} entries`;
      this.refuse('end', JSON.stringify(counted), 'otherCount', `${said}, as its end says`);
    }
    const sha256 = this.hash.digest('hex');
    if (this.version > 1 && end.sha256 !== sha256)
      this.refuse('end.sha256', end.sha256 ?? null, 'otherCheckSum', `${sha256}: a line before it was altered`);
  }

  private flushSetUp(): void {
    if (this.versions.length === 0) return;
    const [issue] = this.writer.writeSetUp(this.by, this.versions);
    if (issue) throw new LineRefused(this.line, issue);
    this.setUpVersions += this.versions.length;
    this.versions = [];
  }

  private flushEntries(): void {
    if (this.chunk.length === 0) return;
    const answers = this.writer.writeTogether(
      this.by,
      this.chunk.map((c) => c.entry),
      new Map(this.chunk.flatMap((c) => (c.unsettled ? [[c.entry.id, c.unsettled]] : []))),
    );
    const wrong = answers.findIndex((a) => a.status === 'refused' || a.status === 'conflict');
    const answer = answers[wrong];
    if (answer) {
      const issue = answer.status === 'refused' ? answer.issues[0] : undefined;
      const twice = issueOf('id', answer.id, 'twice', 'each id once: this one came before with other content');
      throw new LineRefused(this.chunk[wrong]?.line ?? this.line, issue ?? twice);
    }
    this.entries += this.chunk.length;
    this.chunk = [];
  }
}
