import type { ImportName, LogName } from '@winter-jar/contracts';
import { seesEntry, type Entry, type EntryKind, type SetUpBook, type Sight } from '@winter-jar/core';
import { join } from 'node:path';
import { writeText } from '../files/write-file.js';
import type { FileAsked, FileJob, JobTools } from '../work/job.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { CHANGE_LOG } from './change-log.js';
import { fileOf, writeLog, type EntryLog, type LogFile } from './entry-log.js';
import { LOOK_LOG } from './look-log.js';
import { NOTEBOOK_FILE } from './notebook-log.js';
import { POUR_LOG } from './pour-log.js';
import { RUN_LOG } from './run-log.js';
import { STOCKTAKE_LOG } from './stocktake-log.js';

/** Every kind of entry that comes and goes as a CSV file. */
const LOGS = {
  runs: RUN_LOG,
  looks: LOOK_LOG,
  changes: CHANGE_LOG,
  pours: POUR_LOG,
  stocktakes: STOCKTAKE_LOG,
} as const satisfies Readonly<Record<LogName, unknown>>;
const logOf = (name: LogName) => LOGS[name] as unknown as EntryLog<EntryKind>;
export const kindOf = (name: LogName): EntryKind => LOGS[name].kind;
export const isOfContainers = (name: LogName): boolean => Boolean(logOf(name).ofContainers);
export const logFileOf = (name: ImportName): LogFile => (name === 'notebook' ? NOTEBOOK_FILE : fileOf(logOf(name)));

const TOLD_EVERY = 1000;

/** All entries of its kind that count, on one state of the data; runs that have ended. */
function* counted({ sql, progress }: JobTools, kind: EntryKind): Generator<Entry> {
  const total = sql.countOfKind.get(kind)?.n ?? 0;
  let read = 0;
  for (const { content } of sql.countedOfKind.iterate(kind)) {
    const entry = JSON.parse(content) as Entry;
    if (entry.kind !== 'run' || !entry.body.stillRunning) yield entry;
    if (++read % TOLD_EVERY === 0) progress(read / total);
  }
}

/** Entries of a log that somebody sees, as they go into its file. */
export function* seenInLog(tools: JobTools, name: LogName, sight: Sight, book: SetUpBook): Generator<Entry> {
  for (const entry of counted(tools, kindOf(name))) if (seesEntry(sight, book, entry)) yield entry;
}

function writeLogFile(name: LogName, tools: JobTools, { into, fileName, now, sight }: FileAsked): null {
  const log = logOf(name);
  const store = new SetUpStore();
  store.reload(tools.sql);
  const entries = seenInLog(tools, name, sight, store.book);
  writeText(join(into, fileName), writeLog(log, entries, store.book.at(now)));
  return null;
}

const logFileJob = (name: LogName): FileJob => ({
  name: `log of ${name}`,
  lane: 'file',
  run: (tools, asked) => writeLogFile(name, tools, asked),
});

/** Each log as a file. */
export const LOG_FILE_JOBS = {
  runs: logFileJob('runs'),
  looks: logFileJob('looks'),
  changes: logFileJob('changes'),
  pours: logFileJob('pours'),
  stocktakes: logFileJob('stocktakes'),
} as const satisfies Readonly<Record<LogName, FileJob>>;
