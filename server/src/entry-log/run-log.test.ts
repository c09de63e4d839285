import type { Entry } from '@winter-jar/core';
import { at, bookOf, entryAt, runAt, START } from '@winter-jar/core/testing';
import { systemClock } from '../clock.js';
import { nowMs, openHouse, type TestHouse } from '../testing/test-house.js';
import { readLog, writeLog } from './entry-log.js';
import { EntryLogService } from './entry-log.service.js';
import { RUN_LOG } from './run-log.js';

const house = bookOf().at(START);
const read = (text: string) => readLog(RUN_LOG, { text, house, nowMs: nowMs() });
const HEADER = 'pump,started,ended,minutes,cycles,material,ballast,trap_temp_c,remark';
const rowOf = (row: string) => {
  const log = read(`${HEADER}\n${row}`);
  if (!log.ok) throw new Error(log.issue.right);
  return [...log.rows][0];
};

test('a row written by hand is understood: names or ids, offsets, ended or minutes', () => {
  const row = rowOf('P-1,2031-03-09T14:05+01:00,2031-03-10T10:05+01:00,,,Meat or fish,closed,-41,odd');
  expect(row).toMatchObject({
    ok: true,
    entry: {
      happenedAt: '2031-03-09T13:05:00.000Z',
      zone: 'Europe/Lisbon',
      subjects: [
        { type: 'pump', id: 'p1' },
        { type: 'equipment', id: 'chamber' },
      ],
      body: { materialId: 'fd-meat', minutes: 1200, ballast: 'closed', trapTempC: -41, remark: 'odd', session: 'run' },
    },
  });
});

test('a row without an id gets the same one however often it is read', () => {
  const row = 'p1,2031-03-09T14:05Z,,600,,fd-meat,closed,,';
  expect(rowOf(row)).toMatchObject({ entry: { id: (rowOf(row) as { entry: Entry }).entry.id } });
});

test.each([
  ['P-9,2031-03-09T14:05Z,,600,,fd-meat,closed,,', 'pump', 'P-9', /id or the name of a pump/],
  ['p1,9 March,,600,,fd-meat,closed,,', 'started', '9 March', /with its offset/],
  ['p1,2031-03-09T14:05,,600,,fd-meat,closed,,', 'started', '2031-03-09T14:05', /with its offset/],
  ['p1,,,600,,fd-meat,closed,,', 'started', '', /when the run started/],
  ['p1,2031-03-09T14:05Z,2031-03-09T13:05Z,,,fd-meat,closed,,', 'ended', '2031-03-09T13:05Z', /after the start/],
  ['p1,2031-03-09T14:05Z,2031-03-09T15:05Z,90,,fd-meat,closed,,', 'minutes', 90, /^60, as started and ended say/],
  ['p1,2031-03-09T14:05Z,,ten,,fd-meat,closed,,', 'minutes', 'ten', /whole minutes/],
  ['p1,2031-03-09T14:05Z,,600,,granite,closed,,', 'material', 'granite', /a material/],
  ['p1,2031-03-09T14:05Z,,600,,constructor,closed,,', 'material', 'constructor', /a material/],
  ['p1,2031-03-09T14:05Z,,600,,fd-meat,ajar,,', 'ballast', 'ajar', /one of closed, open/],
  ['p1,2031-03-09T14:05Z,,600,,fd-meat,closed,-300,', 'trap_temp_c', -300, /from -120 to 60/],
  ['p1,2039-03-09T14:05Z,,600,,fd-meat,closed,,', 'started', '2039-03-09T14:05:00.000Z', /has passed/],
])('%s names its column, the value and what would be right', (row, field, value, right) => {
  expect(rowOf(row)).toMatchObject({
    ok: false,
    line: 2,
    issues: [{ field, value, right: expect.stringMatching(right) as string }],
  });
});

test.each([
  ['pump,started\np1,2031-03-09T14:05Z', 'missingColumns', /missing: material/],
  [`${HEADER},weather\n`, 'unknownColumns', /only the columns/],
  [`${HEADER}\np1,2031-03-09T14:05Z,,600,,fd-meat,closed,,"cut o`, 'brokenQuotes', /may be cut off/],
  ['', 'missingColumns', /header line/],
])('a file that cannot be read says why', (text, code, right) => {
  expect(read(text)).toMatchObject({
    ok: false,
    issue: { field: 'file', code, right: expect.stringMatching(right) as string },
  });
});

test('the same run twice in one file is named with its first line', () => {
  const row = 'p1,2031-03-09T14:05Z,,600,,fd-meat,closed,,';
  const log = read(`${HEADER}\n${row}\n${row}`);
  expect(log.ok && [...log.rows][1]).toMatchObject({
    ok: false,
    issues: [{ code: 'twice', right: expect.stringContaining('line 2') as string }],
  });
});

test('cells that a spreadsheet would run are escaped, and read back as they were', () => {
  const remark = '=HYPERLINK("x"), “quoted”\nsecond line';
  const base = runAt(10, 20);
  const odd = { ...base, body: { ...base.body, remark } } as Entry;
  const text = writeLog(RUN_LOG, [odd, { ...runAt(40, 20), body: { ...base.body, remark: "'s odd" } } as Entry]);
  expect(text).toContain('"\'=HYPERLINK');
  const back = read(`\uFEFF${text}`);
  expect(back.ok && [...back.rows].map((r) => r.ok && r.entry.kind === 'run' && r.entry.body.remark)).toEqual([
    remark,
    "'s odd",
  ]);
});

describe('import and export', () => {
  let first: TestHouse;
  let second: TestHouse;
  const serviceOn = (h: TestHouse) => new EntryLogService({ nowMs }, h.reading, h.shelf, h.door);
  beforeEach(async () => {
    first = await openHouse();
    second = await openHouse();
  });
  afterEach(async () => {
    await first.close();
    await second.close();
  });

  test('an export imported into an empty house gives equal states, and into its own house changes nothing', async () => {
    const day = { ...runAt(200, 10), precision: 'day' as const };
    const cycles = entryAt(
      300,
      'run',
      {
        materialId: 'vp-meat',
        cycles: 1800,
        session: 'sideJob',
        ballast: 'open',
        lowestPressurePa: 470,
        ventedBeforeStop: 'no',
      },
      { equipmentId: 'line' },
    );
    const both = {
      ...runAt(400, 12),
      subjects: [
        { type: 'pump' as const, id: 'p1' },
        { type: 'pump' as const, id: 'b1' },
        { type: 'equipment' as const, id: 'chamber' },
      ],
    };
    expect(first.write(runAt(10, 20, 'fd-meat'), day, cycles, both)).toEqual([
      'written',
      'written',
      'written',
      'written',
    ]);
    const text = serviceOn(first).export('runs');
    expect(await serviceOn(second).import('runs', text, false)).toMatchObject({
      rows: 4,
      fresh: 4,
      bad: 0,
      written: 4,
    });
    expect(second.states()).toEqual(first.states());
    expect(serviceOn(second).export('runs')).toBe(text);
    expect(await serviceOn(first).import('runs', text, false)).toMatchObject({ fresh: 0, unchanged: 4, written: 0 });
  });

  test('with a bad row nothing is imported, or the good rows, as the person chooses', async () => {
    const text = `${HEADER}\np1,2031-03-09T14:05Z,,600,,fd-meat,closed,,\np1,2031-03-11T14:05Z,,-5,,fd-meat,closed,,\n`;
    const service = serviceOn(first);
    expect(await service.preview('runs', text)).toMatchObject({
      rows: 2,
      fresh: 1,
      bad: 1,
      shown: [
        { line: 3, status: 'bad' },
        { line: 2, status: 'new' },
      ],
    });
    expect(await service.import('runs', text, false)).toMatchObject({ written: 0 });
    expect(first.journal()).toEqual([]);
    expect(await service.import('runs', text, true)).toMatchObject({ written: 1 });
    expect(first.states().p1?.totals.runs).toBe(1);
  });

  test('an id that is taken by another content is a bad row', async () => {
    const run = runAt(10, 20);
    first.write(run);
    const changed = writeLog(RUN_LOG, [{ ...run, happenedAt: at(11) }]);
    expect(await serviceOn(first).preview('runs', changed)).toMatchObject({
      bad: 1,
      shown: [{ issues: [{ field: 'id', value: run.id, code: 'conflict' }] }],
    });
  });

  test('of two rows with one id the second is left out, or with it the whole file', async () => {
    const run = runAt(10, 20);
    const text = writeLog(RUN_LOG, [run, { ...run, happenedAt: at(50) }, runAt(90, 5)]);
    expect(await serviceOn(first).import('runs', text, false)).toMatchObject({ written: 0 });
    expect(first.journal()).toEqual([]);
    expect(await serviceOn(first).import('runs', text, true)).toMatchObject({ written: 2, bad: 1 });
  });

  test('while a long file is checked another writer comes in; its rows are then written in one transaction', async () => {
    const rows = Array.from({ length: 900 }, (_, i) => runAt(10 + i * 8, 5));
    const importing = serviceOn(first).import('runs', writeLog(RUN_LOG, rows), false);
    const look = entryAt(5000, 'look', { sump: 'oil', source: 'sightGlass', hoursStood: 3, level: 'right' });
    expect(first.write(look)).toEqual(['written']);
    expect(first.journal()).toHaveLength(1);
    expect(await importing).toMatchObject({ written: 900 });
    expect(first.journal()).toHaveLength(901);
    expect(first.states().p1?.totals.runs).toBe(900);
  });
});

test('what a run says beyond the short form goes out and comes back, a trap’s profile as the one value that lets as much past', () => {
  const run = runAt(10, 20);
  const said = {
    loadKg: 12.5,
    oilTempC: 66,
    defrostedBefore: 'yes',
    drainClosed: 'no',
    inLineFilter: 'yes',
    firstPressurePa: 300,
  };
  const profile = [
    { minutes: 0, tempC: -50 },
    { minutes: 600, tempC: -30 },
  ];
  const text = writeLog(RUN_LOG, [{ ...run, body: { ...run.body, ...said, trapProfile: profile } } as Entry]);
  const header =
    text
      .split('\r\n')[0]
      ?.replace(/^\uFEFF/, '')
      .split(',') ?? [];
  const cells = text.split('\r\n')[1]?.split(',') ?? [];
  const cell = (column: string) => cells[header.indexOf(column)];
  // Mean of the ice vapour pressure over -50 … -30 °C by Simpson's rule, 15.5 Pa: ice at -38.3 °C.
  expect(Number(cell('trap_temp_c'))).toBeCloseTo(-38.3, 1);
  expect([
    cell('load_kg'),
    cell('oil_temp_c'),
    cell('defrosted_before'),
    cell('drain_closed'),
    cell('in_line_filter'),
    cell('first_pressure_pa'),
  ]).toEqual(['12.5', '66', 'yes', 'no', 'yes', '300']);
});

test('the system clock tells the time', () => {
  expect(Math.abs(systemClock.nowMs() - Date.now())).toBeLessThan(1000);
});
