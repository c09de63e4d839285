import { readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as tar from 'tar';
import { sha256Of } from '../files/kept-files.js';
import type { FileAsked, FileJob, JobTools } from '../work/job.js';
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
/** What each part takes of the whole, measured at 600,000 runs. */
const COPIED = 0.15;
const CHECKED = 0.3;
const TOLD_EVERY_MS = 200;

/** Copies the database page by page, as it stands at this moment however long that takes. */
async function copyDatabase({ db, progress }: Pick<JobTools, 'db' | 'progress'>, copy: string): Promise<void> {
  db.exec('BEGIN');
  try {
    // Others may write on: without a reading begun here the copy would start anew with each of their commits.
    db.prepare('SELECT COUNT(*) FROM sqlite_schema').get();
    await db.backup(copy, {
      progress: ({ totalPages, remainingPages }) => {
        if (totalPages > 0) progress((1 - remainingPages / totalPages) * COPIED);
        return PAGES_AT_ONCE;
      },
    });
  } finally {
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
    await tar.create(
      {
        gzip: true,
        file: join(into, fileName),
        cwd: into,
        portable: true,
        onWriteEntry: (entry) => {
          if (entry.path === DATABASE) database = entry;
        },
      },
      [MANIFEST, DATABASE, ...files],
    );
  } finally {
    clearInterval(told);
  }
  for (const made of readdirSync(into)) if (made !== fileName) rmSync(join(into, made), { recursive: true });
}

export const BACKUP_JOB: FileJob = {
  name: 'backup',
  lane: 'file',
  async run(tools, asked) {
    await makeBackup(tools, asked);
    return null;
  },
};
