// A worker thread of the server: see work/work-queue.ts.
import { parentPort, workerData } from 'node:worker_threads';
import BetterSqlite3 from 'better-sqlite3';
import { JOURNAL_LINES_JOB } from './backup/journal-lines.js';
import { BACKUP_JOB, CONTENTS_JOB, WHOLE_CHECK_JOB } from './backup/backup-jobs.js';
import { NAMED_IN_JOURNAL_JOB, PUMPS_NAMING_JOB } from './set-up/pumps-naming.js';
import { readingStatements } from './database/statements.js';
import { SUSPECTS_JOB } from './diagnosis/suspects.js';
import { SET_UP_EFFECT_JOB } from './effect/set-up-effect.js';
import { LOG_CONTENTS_JOB } from './entry-log/log-contents.js';
import { LOG_FILE_JOBS } from './entry-log/log-files.js';
import { STORE_COST_JOB } from './store/store-cost.js';
import { TRACE_JOB } from './store/trace-oil.js';
import type { Job } from './work/job.js';
import type { WorkerSays } from './work/work-queue.js';

/** Whatever runs beside the server's own thread. */
const JOBS: readonly Job<never, unknown, unknown>[] = [
  SUSPECTS_JOB,
  SET_UP_EFFECT_JOB,
  PUMPS_NAMING_JOB,
  NAMED_IN_JOURNAL_JOB,
  WHOLE_CHECK_JOB,
  CONTENTS_JOB,
  BACKUP_JOB,
  JOURNAL_LINES_JOB,
  ...Object.values(LOG_FILE_JOBS),
  LOG_CONTENTS_JOB,
  TRACE_JOB,
  STORE_COST_JOB,
];

const db = new BetterSqlite3(workerData as string, { readonly: true });
db.pragma('busy_timeout = 5000');
const sql = readingStatements(db);
const say = (said: WorkerSays): void => parentPort?.postMessage(said);

async function work({ name, input }: { name: string; input: never }): Promise<void> {
  try {
    const job = JOBS.find((one) => one.name === name);
    if (!job) throw new Error('no such job in work-main.ts');
    say({ answer: await job.run({ db, sql, progress: (progress, part) => say({ progress, part }) }, input) });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    say({ failed: error instanceof Error ? error.message : String(error), ...(code ? { code } : {}) });
  }
}

parentPort?.on('message', (asked: { name: string; input: never }) => void work(asked));
