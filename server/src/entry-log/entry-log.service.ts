import type { Readable } from 'node:stream';
import { Inject, Injectable, NotFoundException, type OnModuleDestroy } from '@nestjs/common';
import {
  MAX_LOG_BYTES,
  QUESTION_CODES,
  type ImportName,
  type LogContents,
  type LogImportEffect,
  type LogName,
} from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { dropWorkFolder, takeIn } from '../files/work-folder.js';
import { CLOCK, type Clock } from '../clock/clock.js';
import { EffectService } from '../effect/effect.service.js';
import { Database } from '../database/open.js';
import { Reading } from '../database/reading.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { logFileOf } from './log-files.js';
import { LOG_CONTENTS_JOB } from './log-contents.js';
import { LogImport } from './log-import.js';
import { WorkQueue } from '../work/work-queue.js';

/** Imports at rest that are remembered: ended ones for their result and report, others until somebody says what to do. */
const REMEMBERED = 10;

/** So many entries are tried beforehand. */
const TRIED_AT_ONCE = 500;

/** Logs as files come in through imports that go on by themselves. */
@Injectable()
export class EntryLogService implements OnModuleDestroy {
  private readonly imports = new Map<string, { readonly job: LogImport; readonly folder: string }>();

  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly database: Database,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
    private readonly effect: EffectService,
    private readonly beside: WorkQueue,
  ) {}

  /** Takes a file in and begins to read it. @throws PayloadTooLargeException */
  async begin(by: Actor, name: ImportName, upload: Readable): Promise<LogImport> {
    const { id, folder, file } = await takeIn(upload, this.database.folder, MAX_LOG_BYTES);
    const { clock, reading, store, writer } = this;
    try {
      const job = new LogImport(id, name, logFileOf(name), file, folder, { clock, reading, store, writer, by });
      await this.forgetTheOldest();
      this.imports.set(id, { job, folder });
      return job;
    } catch (error) {
      await dropWorkFolder(folder);
      throw error;
    }
  }

  /** What a log holds, of what stands at the sites that somebody sees. */
  contentsOf(sight: Sight, log: LogName): Promise<LogContents> {
    return this.beside.run(LOG_CONTENTS_JOB, { log, sight });
  }

  /** @throws NotFoundException */
  importOf(id: string): LogImport {
    const known = this.imports.get(id);
    if (!known) throw new NotFoundException('an import that was begun since the server started');
    return known.job;
  }

  /** What an import that is ready would change: tried and taken back, where that takes no longer than others can wait. */
  effectOf(by: Actor, id: string): LogImportEffect {
    const entries = this.importOf(id).stagedEntries(TRIED_AT_ONCE);
    if (!entries || entries.length === 0) return { effects: null };
    // Soft questions count as answered, as they do when it is written.
    const answered = entries.map((entry) => ({ ...entry, acknowledged: QUESTION_CODES }));
    return { effects: this.effect.ofEntries(by, answered).effects };
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([...this.imports.values()].map(({ job }) => job.abandon()));
  }

  private async forgetTheOldest(): Promise<void> {
    const atRest = [...this.imports].filter(([, { job }]) => !job.goesOn);
    for (const [id, { job, folder }] of atRest.slice(0, Math.max(0, atRest.length - REMEMBERED + 1))) {
      void job.cancel();
      this.imports.delete(id);
      await dropWorkFolder(folder);
    }
  }
}
