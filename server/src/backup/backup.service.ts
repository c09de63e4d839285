import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { ConflictException, Inject, Injectable, NotFoundException, PayloadTooLargeException } from '@nestjs/common';
import {
  MAX_BACKUP_BYTES,
  type BackupContents,
  type FieldIssue,
  type RestoreCheck,
  type RestoreResult,
} from '@winter-jar/contracts';
import { CLOCK, isoNow, stampOf, type Clock } from '../clock/clock.js';
import { CannotReplace, Database, keptFolder } from '../database/open.js';
import { isDiskFull } from '../files/disk-full.js';
import { idInPath, sha256Of } from '../files/kept-files.js';
import { damagedFile, takeInFiles, unpack } from './backup-files.js';
import { issueOf } from './database-check.js';
import { BACKUP_FORMAT, BACKUP_VERSION, DATABASE, MANIFEST, type Manifest } from './make-backup.js';
import { copyKept, thinOutKept } from './kept-data.js';
import { dropWorkFolder, newWorkFolder, takeIn } from '../files/work-folder.js';
import { JobCancelled, WorkQueue } from '../work/work-queue.js';
import { CONTENTS_JOB, WHOLE_CHECK_JOB } from './backup-jobs.js';
import type { WholeAnswer } from './whole-check.js';

interface Checked {
  readonly folder: string;
  readonly file: string;
}

/** The whole data folder as one file, checked and put back while the server runs. */
@Injectable()
export class BackupService {
  private readonly checked = new Map<string, Checked>();
  private working = false;
  private checking: { progress: number; readonly stop: AbortController } | null = null;

  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly database: Database,
    private readonly queue: WorkQueue,
  ) {}

  /** One long job at a time: a second one is told to wait. */
  async alone<T>(job: () => Promise<T>): Promise<T> {
    if (this.working) throw new ConflictException('to wait: a restore or an import is going on');
    this.working = true;
    try {
      return await job();
    } finally {
      this.working = false;
    }
  }

  /** How far a check is, from 0 to 1; null where none is going on. */
  get progress(): number | null {
    return this.checking?.progress ?? null;
  }

  /** Whoever asked for it is told that it was stopped. */
  stopCheck(): void {
    this.checking?.stop.abort();
  }

  /** Takes an uploaded backup apart and checks it; nothing is replaced yet. */
  check(upload: Readable): Promise<RestoreCheck> {
    return this.alone(async () => {
      await this.forgetChecked();
      const present = await this.contents();
      const refused = (issue: FieldIssue) => ({ issue, uploadId: null, madeAt: null, inFile: null, present });
      const taken = await takeIn(upload, this.database.folder, MAX_BACKUP_BYTES).catch((error: unknown) => {
        // Of a full disk the backup knows nothing.
        if (isDiskFull(error)) throw error;
        return null;
      });
      if (!taken) return refused(notWhole);
      const { id, folder, file } = taken;
      const read = await this.open(file, folder).catch(async (error: unknown): Promise<{ issue: FieldIssue }> => {
        // Neither says anything of the backup.
        if (isDiskFull(error) || error instanceof JobCancelled) {
          await dropWorkFolder(folder);
          throw error;
        }
        return { issue: error instanceof PayloadTooLargeException ? tooLarge : notWhole };
      });
      if ('issue' in read) {
        await dropWorkFolder(folder);
        return refused(read.issue);
      }
      this.checked.set(id, { folder, file: join(folder, DATABASE) });
      return { issue: null, uploadId: id, madeAt: read.madeAt, inFile: read.contents, present };
    });
  }

  /** The same for data that were kept here when something else took their place. */
  checkKept(name: string): Promise<RestoreCheck> {
    return this.alone(async () => {
      await this.forgetChecked();
      const { id, path: folder } = newWorkFolder(this.database.folder);
      try {
        const kept = copyKept(this.database.folder, name, folder);
        if (!kept) throw new NotFoundException(`the name of data that are kept here; "${name}" is none`);
        const read = await this.openDatabaseIn(folder);
        const present = await this.contents();
        if ('issue' in read) {
          await dropWorkFolder(folder);
          return { issue: read.issue, uploadId: null, madeAt: null, inFile: null, present };
        }
        this.checked.set(id, { folder, file: join(folder, DATABASE) });
        return { issue: null, uploadId: id, madeAt: kept.keptAt, inFile: read.contents, present };
      } catch (error) {
        await dropWorkFolder(folder);
        throw error;
      }
    });
  }

  /** Who looks at another backup has left the one before. */
  private async forgetChecked(): Promise<void> {
    await Promise.all([...this.checked.values()].map(({ folder }) => dropWorkFolder(folder)));
    this.checked.clear();
  }

  /** A database in a work folder, read whole. */
  private async openDatabaseIn(folder: string): Promise<WholeAnswer> {
    const going = { progress: 0, stop: new AbortController() };
    this.checking = going;
    try {
      return await this.queue.run(
        WHOLE_CHECK_JOB,
        { folder, nowMs: this.clock.nowMs() },
        { signal: going.stop.signal, onProgress: (share) => (going.progress = share) },
      );
    } finally {
      this.checking = null;
    }
  }

  /** What the data hold that are served now. */
  contents(): Promise<BackupContents> {
    return this.queue.run(CONTENTS_JOB, null);
  }

  private async open(
    archive: string,
    folder: string,
  ): Promise<{ issue: FieldIssue } | { madeAt: string; contents: BackupContents }> {
    await unpack(archive, folder, (path) => [MANIFEST, DATABASE].includes(path) || idInPath(path) !== null);
    let manifest: Manifest;
    try {
      manifest = JSON.parse(readFileSync(join(folder, MANIFEST), 'utf8')) as Manifest;
    } catch {
      return { issue: issueOf('file', null, 'otherFormat', 'a backup made by Winter Jar: there is no manifest in it') };
    }
    if (manifest.format !== BACKUP_FORMAT)
      return { issue: issueOf('format', manifest.format, 'otherFormat', `"${BACKUP_FORMAT}"`) };
    if (manifest.version !== BACKUP_VERSION)
      return {
        issue: issueOf(
          'version',
          manifest.version,
          'otherVersion',
          `version ${BACKUP_VERSION}, the only one read here`,
        ),
      };
    const file = join(folder, DATABASE);
    const sameBytes = await sha256Of(file).then(
      (sum) => sum === manifest.sha256,
      () => false,
    );
    if (!sameBytes) return { issue: issueOf('file', null, 'damaged', 'an undamaged backup: its check sum differs') };
    const damaged = await damagedFile(folder);
    if (damaged !== null)
      return {
        issue: issueOf('file', damaged, 'damaged', 'undamaged photographs and files: the check sum of one differs'),
      };
    const read = await this.openDatabaseIn(folder);
    return 'issue' in read ? read : { madeAt: manifest.madeAt, contents: read.contents };
  }

  /** Puts a checked backup in the place of the present data, which is kept beside it. */
  restore(uploadId: string): Promise<RestoreResult> {
    const found = this.checked.get(uploadId);
    if (!found) throw new NotFoundException('the id of a backup that was checked since the server started');
    return this.alone(async () => {
      // Before the database that cites them.
      takeInFiles(found.folder, this.database.folder);
      const result = await this.replaceWith(found.file);
      this.checked.delete(uploadId);
      await dropWorkFolder(found.folder);
      return result;
    });
  }

  /** @param file a whole database file inside the data folder */
  async replaceWith(file: string): Promise<RestoreResult> {
    const keptAs = join(
      keptFolder(this.database.folder),
      `winter-jar-${stampOf(isoNow(this.clock))}-${randomBytes(3).toString('hex')}.sqlite`,
    );
    try {
      await this.database.replaceWith(file, keptAs);
    } catch (error) {
      if (error instanceof CannotReplace) throw new ConflictException(`a data folder of our own: ${error.message}`);
      throw error;
    }
    thinOutKept(this.database.folder, this.clock.nowMs());
    return { keptAs, now: await this.contents() };
  }
}

const tooLarge = issueOf('file', null, 'tooLarge', 'a backup that Winter Jar made: out of this one comes far too much');
const notWhole = issueOf(
  'file',
  null,
  'notWhole',
  'a whole backup (.tar.gz): this file breaks off, or is of another kind',
);
