import { createHash } from 'node:crypto';
import { join } from 'node:path';
import type { JournalEntry, SetUpVersion } from '@winter-jar/core';
import type { Unsettled } from '@winter-jar/contracts';
import { writeText } from '../files/write-file.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { FileAsked, FileJob, JobTools } from '../work/job.js';

export const JOURNAL_FORMAT = 'winter-jar-journal';
/** 2: which entries do not count, and a check sum at the end. */
export const JOURNAL_VERSION = 2;

export interface Counts {
  readonly setUpVersions: number;
  readonly entries: number;
}
export interface End extends Counts {
  /** Of all lines before it, each with one line feed. From version 2 on. */
  readonly sha256: string;
}
type Line =
  | { readonly format: string; readonly version: number; readonly exportedAt: string }
  | { readonly setUp: SetUpVersion }
  | { readonly entry: JournalEntry; readonly unsettled?: Unsettled }
  | { readonly end: End };

const TOLD_EVERY = 1000;

/** A head, the set-up's versions, the entries in the order of writing, and an end that counts them; of one state of the data. */
function* linesOf({ sql, progress }: JobTools, exportedAt: string): Generator<string> {
  const hash = createHash('sha256');
  const hashed = (text: string) => {
    hash.update(text);
    return text;
  };
  const line = (content: Line) => `${JSON.stringify(content)}\n`;
  const store = new SetUpStore();
  store.reload(sql);
  const { versions } = store;
  yield hashed(line({ format: JOURNAL_FORMAT, version: JOURNAL_VERSION, exportedAt }));
  for (const setUp of versions) yield hashed(line({ setUp }));
  const until = sql.lastSeq.get()?.seq ?? 0;
  let entries = 0;
  for (const row of sql.journalLines.iterate()) {
    const unsettled = row.unsettled === null ? '' : `,"unsettled":${row.unsettled}`;
    yield hashed(`{"entry":${row.content}${unsettled}}\n`);
    if (++entries % TOLD_EVERY === 0) progress(row.seq / until);
  }
  yield line({ end: { setUpVersions: versions.length, entries, sha256: hash.digest('hex') } });
}

/** Everything ever written, as JSON lines. */
export const JOURNAL_LINES_JOB: FileJob = {
  name: 'everything as JSON lines',
  lane: 'file',
  run(tools: JobTools, { into, fileName, now }: FileAsked): null {
    // What is written meanwhile may name records that the set-up read first does not hold yet.
    tools.db.transaction(() => writeText(join(into, fileName), linesOf(tools, now)))();
    return null;
  },
};
