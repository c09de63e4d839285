import type { BackupContents } from '@winter-jar/contracts';
import type { FileJob, Job } from '../work/job.js';
import { contentsOf } from './database-check.js';
import type { Aside, WholeAnswer } from './whole-check.js';

// What makes and checks an archive brings more code than all other jobs together: it is loaded when it is asked for.

export const WHOLE_CHECK_JOB: Job<Aside, WholeAnswer> = {
  name: 'whole check',
  lane: 'file',
  run: async ({ progress }, aside) => (await import('./whole-check.js')).checkWhole(aside, progress),
};

export const BACKUP_JOB: FileJob = {
  name: 'backup',
  lane: 'file',
  async run(tools, asked) {
    await (await import('./make-backup.js')).makeBackup(tools, asked);
    return null;
  },
};

/** What the data hold that are served now: every entry is counted. */
export const CONTENTS_JOB: Job<null, BackupContents> = {
  name: 'contents',
  lane: 'screen',
  run: ({ db }) => contentsOf(db),
};
