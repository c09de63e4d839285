import { existsSync, readFileSync } from 'node:fs';
import { SERVER } from '../journal/actor.js';
import { importInto, logText, logsOf, readInto } from '../testing/log-files.js';
import { nowMs, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { RoundService } from '../round/round.service.js';
import type { LogImport } from './log-import.js';
import { RUN_LOG } from './run-log.js';
import { Readable } from 'node:stream';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { changeAt, entryAt, runAt, at } from '@winter-jar/core/testing';

const HEADER = 'pump,started,ended,minutes,cycles,material,ballast,trap_temp_c,remark';
const MANY = 1500;
const manyRuns = (from = 10) => Array.from({ length: MANY }, (_, i) => runAt(from + i * 5, 3));

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

const sight = (hours: number) =>
  entryAt(hours, 'look', { sump: 'oil', source: 'sightGlass', hoursStood: 3, level: 'right' });
const countOf = (table: string): number =>
  (house.database.reader.prepare(`SELECT COUNT(*) AS n FROM ${table}`).get() as { n: number }).n;
const TABLES = ['journal_entry', 'subject_entry', 'counted_entry', 'checkpoint', 'open_import', 'lagging_subject'];
const stored = () => Object.fromEntries(TABLES.map((table) => [table, countOf(table)]));

/** Lets the import go on until it has written some. */
async function untilWriting(job: LogImport): Promise<void> {
  while (job.answer().written === 0) await nextTurn();
}

test('with a bad row nothing is imported, or the good rows, as the person chooses', async () => {
  const text = `${HEADER}\np1,2031-03-09T14:05Z,,600,,fd-meat,closed,,\np1,2031-03-11T14:05Z,,-5,,fd-meat,closed,,\n`;
  const job = await readInto(house, 'runs', text);
  expect(job.answer()).toMatchObject({ state: 'ready', rows: 2, fresh: 1, refused: 1, firstRefused: [{ line: 3 }] });
  expect(job.write(false)).toBe(false);
  expect(house.journal()).toEqual([]);
  expect(job.write(true)).toBe(true);
  await job.atRest();
  expect(job.answer()).toMatchObject({ state: 'done', written: 1 });
  expect(house.states().p1?.totals.runs).toBe(1);
});

test('an id that is taken by another content is a bad row', async () => {
  const run = runAt(10, 20);
  house.write(run);
  const job = await readInto(house, 'runs', logText(RUN_LOG, [{ ...run, happenedAt: at(11) }]));
  expect(job.answer()).toMatchObject({
    refused: 1,
    firstRefused: [{ issues: [{ field: 'id', value: run.id, code: 'conflict' }] }],
  });
});

test('the same run twice in one file is named with its first line, with an id of its own or without', async () => {
  const row = 'p1,2031-03-09T14:05Z,,600,,fd-meat,closed,,';
  const run = runAt(10, 20);
  for (const text of [`${HEADER}\n${row}\n${row}`, logText(RUN_LOG, [run, { ...run, happenedAt: at(50) }])])
    expect((await readInto(house, 'runs', text)).answer()).toMatchObject({
      fresh: 1,
      refused: 1,
      firstRefused: [{ line: 3, issues: [{ code: 'twice', right: expect.stringContaining('line 2') as string }] }],
    });
});

test('the refused rows come as a file that is mended in place and imported again', async () => {
  const rows = [
    'p1,2031-03-09T14:05Z,,six,,fd-meat,ajar,,"=1+1, or so"',
    'p1,2031-03-10T14:05Z,,600,,fd-meat,closed,-41,',
  ];
  const job = await readInto(house, 'runs', [HEADER, ...rows].join('\n'));
  const report = readFileSync(job.refused.path, 'utf8');
  expect(report.split('\r\n')[0]).toBe(`${HEADER},refused_line,refused_column,refused_because`);
  expect(report.split('\r\n')[1]).toContain(`"'=1+1, or so",2,minutes`);
  expect(report).toContain('right would be whole minutes, such as 1230');
  expect(report.trim().split('\r\n')).toHaveLength(2);
  const mended = report.replace('six', '600').replace('ajar', 'closed');
  expect(await importInto(house, 'runs', mended)).toMatchObject({ state: 'done', written: 1, refused: 0 });
  expect(house.journal()[0]).toMatchObject({ body: { minutes: 600, remark: '=1+1, or so' } });
});

test('a long file in any order gives the states that its entries alone give, beside what is there and later than it', async () => {
  house.write(changeAt(1), runAt(3, 5), runAt(9000 - 1300, 5), changeAt(7700 + 900), sight(7000));
  const backwards = manyRuns().reverse();
  expect(await importInto(house, 'runs', logText(RUN_LOG, backwards))).toMatchObject({ written: MANY });
  expect(house.everyState()).toEqual(rebuiltStates(house));
  expect(house.states().p1?.totals.runs).toBe(MANY + 2);
  expect(countOf('lagging_subject') + countOf('open_import')).toBe(0);
  // The checkpoints hold too: a late entry is folded in from one of them.
  house.write(runAt(4000.5, 1));
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('others write while it is read and while it is written, early and late, and all of it counts', async () => {
  house.write(changeAt(1), runAt(8000, 5));
  const job = await logsOf(house).begin(SERVER, 'runs', Readable.from([logText(RUN_LOG, manyRuns())]));
  expect(house.write(runAt(5, 1))).toEqual(['written']);
  await job.atRest();
  job.write(false);
  await untilWriting(job);
  expect(job.answer().state).toBe('writing');
  expect(house.write(sight(8100), runAt(6.5, 1), runAt(4000.5, 1))).toEqual(['written', 'written', 'written']);
  await job.atRest();
  expect(job.answer()).toMatchObject({ state: 'done', written: MANY });
  expect(house.everyState()).toEqual(rebuiltStates(house));
  expect(house.states().p1?.totals.runs).toBe(MANY + 4);
});

test.each(['while it is written', 'before it is written'])('cancelled %s it leaves nothing behind', async (when) => {
  house.write(changeAt(1), runAt(3, 5), runAt(4000.5, 1), sight(8000));
  const before = { tables: stored(), states: house.everyState() };
  const job = await readInto(house, 'runs', logText(RUN_LOG, manyRuns()));
  if (when === 'while it is written') {
    job.write(false);
    await untilWriting(job);
    expect(countOf('journal_entry')).toBeGreaterThan(4);
  }
  await job.cancel();
  expect(job.answer()).toMatchObject({ state: 'cancelled', written: 0 });
  expect({ tables: stored(), states: house.everyState() }).toEqual(before);
  expect(job.write(true)).toBe(false);
});

test('pumps that had nothing before have nothing after a cancel', async () => {
  const runs = ['p1', 'b1', 'p1', 'b1'].flatMap((pumpId, i) =>
    Array.from({ length: 300 }, (_, n) => runAt(10 + (i * 300 + n) * 4, 2, 'any-empty', { pumpId })),
  );
  const job = await readInto(house, 'runs', logText(RUN_LOG, runs));
  job.write(false);
  await untilWriting(job);
  await job.cancel();
  expect(stored()).toEqual(Object.fromEntries(TABLES.map((table) => [table, 0])));
  expect(house.states()).toEqual({});
});

test('cancelled while it is read it stops there', async () => {
  const job = await logsOf(house).begin(SERVER, 'runs', Readable.from([logText(RUN_LOG, manyRuns())]));
  await job.cancel();
  expect(job.answer().state).toBe('cancelled');
  expect(job.answer().rows).toBeLessThan(MANY);
  expect(house.journal()).toEqual([]);
});

test('what a crash left half-written is taken back when the folder is opened', async () => {
  house.write(changeAt(1), runAt(3, 5), sight(8000));
  const before = { tables: stored(), states: house.everyState() };
  const job = await readInto(house, 'runs', logText(RUN_LOG, manyRuns()));
  job.write(false);
  await untilWriting(job);
  await job.abandon();
  expect(countOf('open_import')).toBe(1);
  house.writer.putInOrder();
  // Some of what was taken back may be in its state until that is made anew.
  const { rows } = new RoundService({ nowMs }, house.reading, house.store).round(null);
  expect(rows.find((r) => r.pumpId === 'p1')?.reasons.map((r) => r.code)).toContain('madeAnew');
  house.started();
  expect({ tables: stored(), states: house.everyState() }).toEqual(before);
});

test('a rebuild from the journal leaves out what a crash left half-written', async () => {
  house.write(changeAt(1), runAt(3, 5));
  const before = house.everyState();
  const job = await readInto(house, 'runs', logText(RUN_LOG, manyRuns()));
  job.write(false);
  await untilWriting(job);
  await job.abandon();
  new JournalWriter(house.database, house.store, { nowMs }).rebuildAll();
  expect(house.everyState()).toEqual(before);
});

test('an entry that someone sends by itself stays, though an import that brought it is taken back', async () => {
  const runs = manyRuns();
  const job = await readInto(house, 'runs', logText(RUN_LOG, runs));
  job.write(false);
  await untilWriting(job);
  const [first] = house.journal();
  expect(house.write(first)).toEqual(['alreadyWritten']);
  await job.cancel();
  expect(house.journal()).toEqual([first]);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('a record that changes between reading and writing refuses its rows then, and without leave to drop them nothing is written', async () => {
  const text = logText(RUN_LOG, [runAt(10, 20), runAt(40, 20)]);
  const job = await readInto(house, 'runs', text);
  house.write({ ...runAt(40, 20), ...house.journal()[0], id: jobIds(text)[1], body: runAt(40, 5).body });
  job.write(false);
  await job.atRest();
  expect(job.answer()).toMatchObject({ state: 'ready', refused: 1, written: 0, firstRefused: [{ line: 3 }] });
  expect(house.journal()).toHaveLength(1);
  job.write(true);
  await job.atRest();
  expect(job.answer()).toMatchObject({ state: 'done', written: 1 });
});

const jobIds = (text: string): string[] =>
  text
    .trim()
    .split('\r\n')
    .slice(1)
    .map((row) => row.split(',')[0] ?? '');

test('an export carries nothing of an import that may yet be taken back; its files go when it is forgotten', async () => {
  const logs = logsOf(house);
  const job = await readInto(house, 'runs', logText(RUN_LOG, manyRuns()));
  job.write(false);
  await untilWriting(job);
  const until = house.reading.sql.lastSeq.get()?.seq ?? 0;
  expect(house.reading.sql.journalBetween.all({ after: 0, until })).toEqual([]);
  await job.atRest();
  expect(house.reading.sql.journalBetween.all({ after: 0, until }).length).toBeGreaterThan(0);
  const bad = `${HEADER}\np9,,,,,,,,`;
  const paths: string[] = [];
  for (let i = 0; i < 12; i++) {
    const one = await logs.begin(SERVER, 'runs', Readable.from([bad]));
    await one.atRest();
    paths.push(one.refused.path);
  }
  expect(paths.map((path) => existsSync(path))).toEqual([false, false, ...Array<boolean>(10).fill(true)]);
});
