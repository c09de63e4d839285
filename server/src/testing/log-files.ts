import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { SERVER } from '../journal/actor.js';
import { csvRows } from '../entry-log/csv-rows.js';
import { readRow, writeLog, type EntryLog, type ReadRow } from '../entry-log/entry-log.js';
import { LOG_FILE_JOBS } from '../entry-log/log-files.js';
import { dropWorkFolder, newWorkFolder } from '../files/work-folder.js';
import { EffectService } from '../effect/effect.service.js';
import { EntryLogService } from '../entry-log/entry-log.service.js';
import { WorkQueue } from '../work/work-queue.js';
import type { LogImport } from '../entry-log/log-import.js';
import { jobTools, nowMs, type TestHouse } from './test-house.js';
import type { ImportName, LogImportAnswer, LogName } from '@winter-jar/contracts';
import type { Entry, EntryKind, HouseSetUp, Sight } from '@winter-jar/core';
import { bookOf, START } from '@winter-jar/core/testing';

/** Every row of a log's text as it is read. @throws FileRefused */
export async function rowsOf<K extends EntryKind>(
  log: EntryLog<K>,
  text: string,
  house: HouseSetUp,
): Promise<ReadRow[]> {
  const rows: ReadRow[] = [];
  for await (const piece of csvRows(textStream(text), log.columns))
    rows.push(...piece.rows.map((row) => readRow(log, row, { house, nowMs: nowMs() })));
  return rows;
}

const textStream = (text: string): Readable => {
  const stream = Readable.from([Buffer.from(text)], { objectMode: false });
  stream.setEncoding('utf8');
  return stream;
};

export const logsOf = (house: TestHouse): EntryLogService =>
  new EntryLogService(
    { nowMs },
    house.database,
    house.reading,
    house.store,
    house.writer,
    new EffectService({ nowMs }, house.store, house.writer),
    new WorkQueue(house.database),
  );

/** The log as a file, made as a download is. */
export async function exportedLog(house: TestHouse, name: LogName, sight: Sight = null): Promise<string> {
  const { path: into } = newWorkFolder(house.folder);
  const asked = { dataFolder: house.folder, into, fileName: 'log.csv', now: '', sight };
  await LOG_FILE_JOBS[name].run(jobTools(house), asked);
  const text = readFileSync(join(into, 'log.csv'), 'utf8');
  await dropWorkFolder(into);
  return text;
}

/** Entries as the text of a log file. */
export const logText = <K extends EntryKind>(log: EntryLog<K>, entries: readonly Entry[]): string =>
  [...writeLog(log, entries as Extract<Entry, { kind: K }>[], bookOf().at(START))].join('');

/** An import that was read and waits. */
export async function readInto(house: TestHouse, name: ImportName, text: string): Promise<LogImport> {
  const job = await logsOf(house).begin(SERVER, name, Readable.from([Buffer.from(text)]));
  await job.atRest();
  return job;
}

/** Imports as a person would who clicks through; where rows are refused, only when the good ones are wanted. */
export async function importInto(
  house: TestHouse,
  name: ImportName,
  text: string,
  goodRowsOnly = false,
): Promise<LogImportAnswer> {
  const job = await readInto(house, name, text);
  job.write(goodRowsOnly);
  await job.atRest();
  return job.answer();
}
