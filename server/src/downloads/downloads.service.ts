import { randomBytes } from 'node:crypto';
import { createReadStream, statSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Inject, Injectable, Logger, NotFoundException, type OnModuleDestroy } from '@nestjs/common';
import type { DownloadAnswer, DownloadName } from '@winter-jar/contracts';
import type { Right } from '@winter-jar/core';
import { JOURNAL_LINES_JOB } from '../backup/journal-lines.js';
import { BACKUP_JOB } from '../backup/backup-jobs.js';
import { CLOCK, isoNow, stampOf, type Clock } from '../clock/clock.js';
import { Database } from '../database/open.js';
import { LOG_FILE_JOBS } from '../entry-log/log-files.js';
import { isDiskFull } from '../files/disk-full.js';
import { dropWorkFolder, newWorkFolder } from '../files/work-folder.js';
import { mustMay } from '../house/needs.js';
import { sightOf, type Actor } from '../journal/actor.js';
import { TooMany } from '../problems/too-many.js';
import type { FileAsked, FileJob } from '../work/job.js';
import { JobCancelled, WorkQueue } from '../work/work-queue.js';

interface Kind {
  readonly job: FileJob;
  readonly needs: Right;
  readonly type: string;
  /** @param stamp the moment, see stampOf */
  readonly fileName: (stamp: string) => string;
}

/** All that is made as a file. A new one is one more line here, and its job one in work-main.ts. */
const KINDS: Readonly<Record<DownloadName, Kind>> = {
  backup: {
    job: BACKUP_JOB,
    needs: 'keep',
    type: 'application/gzip',
    fileName: (stamp) => `winter-jar-${stamp}.tar.gz`,
  },
  everything: {
    job: JOURNAL_LINES_JOB,
    needs: 'keep',
    type: 'application/x-ndjson',
    fileName: (stamp) => `winter-jar-${stamp}.jsonl`,
  },
  runs: {
    job: LOG_FILE_JOBS.runs,
    needs: 'read',
    type: 'text/csv; charset=utf-8',
    fileName: (stamp) => `runs-${stamp}.csv`,
  },
  looks: {
    job: LOG_FILE_JOBS.looks,
    needs: 'read',
    type: 'text/csv; charset=utf-8',
    fileName: (stamp) => `looks-${stamp}.csv`,
  },
  changes: {
    job: LOG_FILE_JOBS.changes,
    needs: 'read',
    type: 'text/csv; charset=utf-8',
    fileName: (stamp) => `oil-changes-${stamp}.csv`,
  },
  pours: {
    job: LOG_FILE_JOBS.pours,
    needs: 'read',
    type: 'text/csv; charset=utf-8',
    fileName: (stamp) => `oil-store-${stamp}.csv`,
  },
  stocktakes: {
    job: LOG_FILE_JOBS.stocktakes,
    needs: 'read',
    type: 'text/csv; charset=utf-8',
    fileName: (stamp) => `stocktakes-${stamp}.csv`,
  },
};

/** So many are made or wait at a time; who asks for one more is told to come back. */
const MOST_AT_ONCE = 5;
/** A file that nobody fetches is dropped. */
const KEPT_MS = 15 * 60_000;
/** Answers that are remembered after the file has gone. */
const REMEMBERED = 50;

interface Prepared {
  answer: DownloadAnswer;
  readonly folder: string;
  readonly stop: AbortController;
  /** Settles when it is made, or when nothing of it is left. */
  made: Promise<void>;
  removed: Promise<void>;
}

/** Files that are made in a worker thread, and fetched once from an address that nobody can guess. */
@Injectable()
export class DownloadsService implements OnModuleDestroy {
  private readonly prepared = new Map<string, Prepared>();
  private readonly logger = new Logger('Downloads');

  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly database: Database,
    private readonly queue: WorkQueue,
  ) {}

  /** @throws TooMany when enough are waiting; ForbiddenException */
  begin(by: Actor, what: DownloadName): DownloadAnswer {
    mustMay(by, KINDS[what].needs);
    const held = [...this.prepared.values()].filter(({ answer }) => ['preparing', 'ready'].includes(answer.state));
    if (held.length >= MOST_AT_ONCE) throw new TooMany(10);
    this.forgetTheOldest();
    const id = randomBytes(24).toString('base64url');
    const now = isoNow(this.clock);
    const fileName = KINDS[what].fileName(stampOf(now));
    const { path: folder } = newWorkFolder(this.database.folder);
    const answer = { id, what, state: 'preparing', progress: 0, fileName, bytes: null, problem: null } as const;
    const done = Promise.resolve();
    const one: Prepared = { answer, folder, stop: new AbortController(), made: done, removed: done };
    this.prepared.set(id, one);
    one.made = this.make(id, { now, sight: sightOf(by) });
    return answer;
  }

  /** @throws NotFoundException */
  answer(id: string): DownloadAnswer {
    return this.known(id).answer;
  }

  /** Stops making it, or drops the file; then nothing of it is left. */
  async drop(id: string): Promise<DownloadAnswer> {
    const one = this.known(id);
    const { state } = one.answer;
    if (state === 'preparing' || state === 'ready') this.say(id, { state: 'gone' });
    one.stop.abort();
    await one.made;
    if (state === 'ready') one.removed = dropWorkFolder(one.folder);
    await one.removed;
    return this.answer(id);
  }

  /** The file, to be given out by `give`. @throws NotFoundException */
  open(id: string): { answer: DownloadAnswer; type: string; give: (to: NodeJS.WritableStream) => Promise<void> } {
    const one = this.known(id);
    if (one.answer.state !== 'ready') throw new NotFoundException('a file that is ready and was not fetched before');
    const give = async (to: NodeJS.WritableStream) => {
      await pipeline(createReadStream(join(one.folder, one.answer.fileName)), to);
      await this.drop(id);
    };
    return { answer: one.answer, type: KINDS[one.answer.what].type, give };
  }

  onModuleDestroy(): void {
    for (const { stop } of this.prepared.values()) stop.abort();
  }

  private async make(id: string, asked: Pick<FileAsked, 'now' | 'sight'>): Promise<void> {
    const { answer, folder, stop } = this.known(id);
    const { job } = KINDS[answer.what];
    try {
      await this.queue.run(
        job,
        { ...asked, dataFolder: this.database.folder, into: folder, fileName: answer.fileName },
        {
          signal: stop.signal,
          onProgress: (progress) => this.say(id, { progress }),
        },
      );
      const { size } = statSync(join(folder, answer.fileName));
      if (stop.signal.aborted) return await dropWorkFolder(folder);
      this.say(id, { state: 'ready', progress: 1, bytes: size });
      setTimeout(() => void (this.prepared.has(id) && this.drop(id)), KEPT_MS).unref();
    } catch (error) {
      await dropWorkFolder(folder);
      if (stop.signal.aborted) return;
      const replaced = error instanceof JobCancelled;
      if (!replaced) this.logger.error(error);
      const problem = replaced ? 'dataReplaced' : isDiskFull(error) ? 'diskFull' : 'internal';
      this.say(id, { state: 'failed', problem });
    }
  }

  private say(id: string, more: Partial<DownloadAnswer>): void {
    const one = this.known(id);
    one.answer = { ...one.answer, ...more };
  }

  private known(id: string): Prepared {
    const one = this.prepared.get(id);
    if (!one) throw new NotFoundException('a file that was asked for since the server started');
    return one;
  }

  private forgetTheOldest(): void {
    const gone = [...this.prepared].filter(([, { answer }]) => ['gone', 'failed'].includes(answer.state));
    for (const [id] of gone.slice(0, Math.max(0, gone.length - REMEMBERED))) this.prepared.delete(id);
  }
}
