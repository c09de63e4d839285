import { closeSync, fdatasyncSync, openSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as tar from 'tar';
import { sha256Of } from '../files/kept-files.js';
import type { FileAsked, JobTools } from '../work/job.js';
import { dropWorkFolder } from '../files/work-folder.js';
import { writeStream } from '../files/write-file.js';
import { linkFiles } from './backup-files.js';
import { checkDatabaseFile } from './database-check.js';

export const BACKUP_FORMAT = 'winter-jar-backup';
export const BACKUP_VERSION = 1;
export const DATABASE = 'winter-jar.sqlite';
export const MANIFEST = 'manifest.json';

export interface Manifest {
  readonly format: string;
  readonly version: number;
  readonly madeAt: string;
  readonly sha256: string;
}

const PAGES_AT_ONCE = 2000;
/** The packer's own are sixteen times as large, and several of them wait. */
const READ_AT_ONCE = 1_048_576;
/** What each part takes of the whole, measured at 600,000 runs. */
const COPIED = 0.15;
const CHECKED = 0.3;
const TOLD_EVERY_MS = 200;

/** Copies the database page by page, as it stands at this moment however long that takes. */
async function copyDatabase({ db, progress }: Pick<JobTools, 'db' | 'progress'>, copy: string): Promise<void> {
  let file: number | null = null;
  db.exec('BEGIN');
  try {
    // Others may write on: without a reading begun here the copy would start anew with each of their commits.
    db.prepare('SELECT COUNT(*) FROM sqlite_schema').get();
    await db.backup(copy, {
      progress: ({ totalPages, remainingPages }) => {
        if (totalPages > 0) progress((1 - remainingPages / totalPages) * COPIED);
        // In small pieces: whoever saves an entry would wait for all that the disk still has to take.
        file ??= openSync(copy, 'r+');
        fdatasyncSync(file);
        return PAGES_AT_ONCE;
      },
    });
  } finally {
    if (file !== null) closeSync(file);
    db.exec('COMMIT');
  }
}

/** Makes the whole data folder into one file, and checks it. */
export async function makeBackup(
  tools: Pick<JobTools, 'db' | 'progress'>,
  { dataFolder, into, fileName, now }: FileAsked,
): Promise<void> {
  const copy = join(into, DATABASE);
  await copyDatabase(tools, copy);
  const checked = checkDatabaseFile(copy);
  if (!checked.ok) throw new Error(`the backup came out ${checked.issue.code}`);
  const manifest: Manifest = {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    madeAt: now,
    sha256: await sha256Of(copy),
  };
  writeFileSync(join(into, MANIFEST), JSON.stringify({ ...manifest, ...checked.contents }, null, 2));
  tools.progress(CHECKED);
  // The database first: what is in it cites only files that were kept before.
  const files = linkFiles(dataFolder, into);
  const size = statSync(copy).size;
  let database: { readonly remain?: number } | null = null;
  const told = setInterval(() => {
    if (database) tools.progress(CHECKED + (1 - CHECKED) * (1 - (database.remain ?? size) / size));
  }, TOLD_EVERY_MS);
  try {
    const packed = tar.create(
      {
        gzip: true,
        cwd: into,
        portable: true,
        maxReadSize: READ_AT_ONCE,
        onWriteEntry: (entry) => {
          if (entry.path === DATABASE) database = entry;
        },
      },
      [MANIFEST, DATABASE, ...files],
    );
    await writeStream(join(into, fileName), packed);
  } finally {
    clearInterval(told);
  }
  await dropWorkFolder(into, fileName);
}
