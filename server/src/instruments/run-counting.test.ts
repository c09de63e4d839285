import { copyFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Entry, Instrument } from '@winter-jar/core';
import { at, correctionAt, entryAt, runAt } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { ReadingFiles } from './readings.js';
import { RunCounting } from './run-counting.js';

type Run = Extract<Entry, { kind: 'run' }>;
const MIN = 60_000;
/** The day that is monitored: its midnight is 300 days after the yard's start. */
const DAY = Date.parse(at(300 * 24));
const MONITOR: Instrument = {
  ...{ name: 'Monitor', equipmentId: 'chamber', pumpId: 'p1', talks: 'mqtt', host: '10.0.0.9', port: 1883 },
  channels: [
    { key: 'on', means: 'running', topic: 't', path: 'on' },
    { key: 'valve', means: 'valveOpen', topic: 't', path: 'valve' },
  ],
};

let house: TestHouse;
let files: ReadingFiles;
let counting: RunCounting;
let nowMs: number;
beforeEach(async () => {
  house = await openHouse();
  files = new ReadingFiles(house.folder);
  nowMs = DAY;
  counting = start();
});
afterEach(() => house.close());

const start = (): RunCounting =>
  new RunCounting(house.folder, { nowMs: () => nowMs }, house.store, house.reading, house.writer, files);

/** The pump turns from, to and its valve is open from, to, in minutes of the day; told every quarter of a minute. */
interface Told {
  readonly turns: readonly [number, number];
  readonly open: readonly [number, number];
}
/** Time goes on to a minute of the day, the monitor telling, the server looking every five minutes. */
async function goOn(toMin: number, { turns, open }: Told, { silent = false } = {}): Promise<void> {
  for (let ms = nowMs; ms < DAY + toMin * MIN; ms += MIN / 4) {
    nowMs = ms;
    const minute = (ms - DAY) / MIN;
    const readings = [
      { key: 'on', atMs: ms, value: Number(minute >= turns[0] && minute < turns[1]) },
      { key: 'valve', atMs: ms, value: Number(minute >= open[0] && minute < open[1]) },
    ];
    if (!silent) hear(readings);
    if (minute % 5 === 0) await look();
  }
  nowMs = DAY + toMin * MIN;
  await look();
}
function hear(readings: readonly { key: string; atMs: number; value: number }[]): void {
  for (const { key, atMs, value } of readings) files.add('m', key, atMs, value);
  counting.take('m', MONITOR, readings);
}
const look = () => counting.look({ m: MONITOR });

const lines = async (): Promise<Entry[]> =>
  (await house.reading.records.page({ type: 'pump', id: 'p1' }, { before: null, kinds: [], limit: 50 })).map(
    (l) => l.entry,
  );
const runs = async (): Promise<(string | number | null | undefined)[][]> =>
  (await lines())
    .filter((e): e is Run => e.kind === 'run')
    .map((e) => [
      (Date.parse(e.happenedAt) - DAY) / MIN,
      e.body.stillRunning ? 'runs' : e.body.minutes,
      e.body.materialId,
      e.device ?? null,
    ])
    .reverse();
const hours = (minute: number): number => 300 * 24 + minute / 60;
const logged = (minute: number, minutes: number): Run => runAt(hours(minute), minutes / 60, 'fd-paper-wet') as Run;
const said = (minute: number, run: Run, body: Partial<Run['body']>) => ({
  ...correctionAt(hours(minute), run, { action: 'replace', body: { ...run.body, ...body } }),
  device: 'desk',
});
/** 40 minutes warm, open from 100 to 340, purged till 360. */
const PLAIN: Told = { turns: [60, 360], open: [100, 340] };

test('a run is begun while it goes on and ended when it is over; warming up and purging are hours beside it', async () => {
  await goOn(200, PLAIN);
  expect(await runs()).toEqual([[99.875, 'runs', null, 'Monitor']]);
  await goOn(450, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, null, 'Monitor']]);
  const state = house.states().p1;
  // 300 minutes turned, 240 of them a run.
  expect(state?.totals.minutes).toBe(300);
  expect(state?.totals.unloggedMinutes).toBe(60);
});

test('counted anew after a start of the server, it is still one run', async () => {
  await goOn(200, PLAIN);
  counting = start();
  await goOn(450, PLAIN);
  counting = start();
  await goOn(500, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, null, 'Monitor']]);
  expect(house.journal().filter((e) => e.kind === 'run')).toHaveLength(1);
});

test('a server that was down over its end hears of it late, and says the end as it was', async () => {
  await goOn(200, PLAIN);
  await goOn(400, PLAIN, { silent: true });
  const late: { key: string; atMs: number; value: number }[] = [];
  for (let minute = 200; minute < 400; minute += 0.25) {
    late.push({ key: 'on', atMs: DAY + minute * MIN, value: Number(minute < 360) });
    late.push({ key: 'valve', atMs: DAY + minute * MIN, value: Number(minute < 340) });
  }
  hear(late);
  await goOn(450, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, null, 'Monitor']]);
});

test('what went in is told while it runs, and stays when it ends', async () => {
  await goOn(200, PLAIN);
  const run = (await lines()).find((e): e is Run => e.kind === 'run')!;
  house.write(said(210, run, { materialId: 'fd-paper-wet' }));
  await goOn(450, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, 'fd-paper-wet', 'Monitor']]);
});

test('logged by hand before the monitor has seen its end, both become one: theirs, with its times', async () => {
  await goOn(200, PLAIN);
  house.writer.writeTogether(SERVER, [logged(110, 200)]);
  await goOn(450, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, 'fd-paper-wet', null]]);
});

test('logged by hand afterwards, from memory, both become one', async () => {
  await goOn(450, PLAIN);
  house.writer.writeTogether(SERVER, [logged(60, 300)]);
  await goOn(470, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, 'fd-paper-wet', null]]);
});

test('begun by hand, it is ended by the monitor', async () => {
  await goOn(105, PLAIN);
  const { body, ...run } = logged(101, 1);
  house.writer.writeTogether(SERVER, [{ ...run, body: { ...body, minutes: null, stillRunning: true } }]);
  await goOn(450, PLAIN);
  expect(await runs()).toEqual([[99.875, 240, 'fd-paper-wet', null]]);
});

test('another run of that day stays another', async () => {
  house.writer.writeTogether(SERVER, [logged(-200, 150)]);
  await goOn(450, PLAIN);
  expect(await runs()).toEqual([
    [-200, 150, 'fd-paper-wet', null],
    [99.875, 240, null, 'Monitor'],
  ]);
});

test('taken out by somebody, it is not told again; ended otherwise by somebody, it stays so', async () => {
  await goOn(450, PLAIN);
  const run = (await lines()).find((e): e is Run => e.kind === 'run')!;
  house.write(correctionAt(hours(455), run, { action: 'void' }));
  counting = start();
  await goOn(500, PLAIN);
  expect(await runs()).toEqual([]);
  await goOn(1100, { turns: [600, 900], open: [650, 850] });
  const second = (await lines()).find((e): e is Run => e.kind === 'run')!;
  house.write(said(1101, second, { minutes: 100 }));
  await goOn(1200, { turns: [600, 900], open: [650, 850] });
  expect((await runs()).map(([, minutes]) => minutes)).toEqual([100]);
});

test('a pump whose hour meter is read by hand gets no readings of ours', async () => {
  house.writer.writeTogether(SERVER, [entryAt(hours(-60), 'meter', { action: 'read', minutes: 6000 })]);
  await goOn(450, PLAIN);
  expect(house.states().p1?.meter?.minutes).toBe(6000);
});

test('of a house whose data were put back from before, what was counted since is told again', async () => {
  await goOn(450, PLAIN);
  const older = await openHouse();
  copyFileSync(join(house.folder, 'instrument-runs.json'), join(older.folder, 'instrument-runs.json'));
  await house.close();
  house = older;
  counting = start();
  await look();
  expect(await runs()).toEqual([[99.875, 240, null, 'Monitor']]);
});
