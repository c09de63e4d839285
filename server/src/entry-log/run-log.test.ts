import Papa from 'papaparse';
import type { Entry } from '@winter-jar/core';
import { bookOf, entryAt, runAt, START } from '@winter-jar/core/testing';
import { exportedLog, importInto, logText, rowsOf } from '../testing/log-files.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { RUN_LOG } from './run-log.js';

const house = bookOf().at(START);
const read = (text: string) => rowsOf(RUN_LOG, text, house);
const HEADER = 'pump,started,ended,minutes,cycles,material,ballast,trap_temp_c,remark';
const rowOf = async (row: string) =>
  (
    await read(`${HEADER}
${row}`)
  )[0];

test('a row written by hand is understood: names or ids, offsets, ended or minutes', async () => {
  const row = await rowOf('P-1,2031-03-09T14:05+01:00,2031-03-10T10:05+01:00,,,Meat or fish,closed,-41,odd');
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

test.each([
  ['2028-02-29T23:30-05:00', '2028-03-01T04:30:00.000Z'],
  ['2031-01-01T00:30+0200', '2030-12-31T22:30:00.000Z'],
])('%s is understood where it was typed', async (typed, happenedAt) => {
  expect(await rowOf(`p1,${typed},,600,,fd-meat,closed,,`)).toMatchObject({ ok: true, entry: { happenedAt } });
});

test('a row whose material nobody knows is a run that is not told, and comes back as one', async () => {
  const row = await rowOf('p1,2031-03-09T14:05Z,,600,,,closed,,');
  expect(row).toMatchObject({ ok: true, entry: { body: { materialId: null, minutes: 600 } } });
  const again = await read(logText(RUN_LOG, [(row as { entry: Entry }).entry]));
  expect(again).toMatchObject([{ ok: true, entry: { body: { materialId: null } } }]);
});

test('a row without an id gets the same one however often it is read, and ids sort by the moment', async () => {
  const idOf = async (row: string) => ((await rowOf(row)) as { entry: Entry }).entry.id;
  const row = 'p1,2031-03-09T14:05Z,,600,,fd-meat,closed,,';
  expect(await idOf(row)).toBe(await idOf(row));
  const others = [row.replace('p1', 'b1'), row.replace('600', '601'), row.replace('14:05', '14:06')];
  const ids = [await idOf(row), ...(await Promise.all(others.map(idOf)))];
  expect(new Set(ids).size).toBe(4);
  expect((ids[3] ?? '') > (ids[0] ?? '')).toBe(true);
});

test.each([
  ['P-9,2031-03-09T14:05Z,,600,,fd-meat,closed,,', 'pump', 'P-9', /id or the name of a pump/],
  ['p1,9 March,,600,,fd-meat,closed,,', 'started', '9 March', /with its offset/],
  ['p1,2031-03-09T14:05,,600,,fd-meat,closed,,', 'started', '2031-03-09T14:05', /with its offset/],
  ['p1,2031-02-30T14:05Z,,600,,fd-meat,closed,,', 'started', '2031-02-30T14:05Z', /with its offset/],
  ['p1,2031-02-29T23:30-05:00,,600,,fd-meat,closed,,', 'started', '2031-02-29T23:30-05:00', /with its offset/],
  ['p1,,,600,,fd-meat,closed,,', 'started', '', /when the run started/],
  ['p1,2031-03-09T14:05Z,2031-03-09T13:05Z,,,fd-meat,closed,,', 'ended', '2031-03-09T13:05Z', /after the start/],
  ['p1,2031-03-09T14:05Z,2031-03-09T15:05Z,90,,fd-meat,closed,,', 'minutes', 90, /^60, as started and ended say/],
  ['p1,2031-03-09T14:05Z,,ten,,fd-meat,closed,,', 'minutes', 'ten', /whole minutes/],
  ['p1,2031-03-09T14:05Z,,600,,granite,closed,,', 'material', 'granite', /a material/],
  ['p1,2031-03-09T14:05Z,,600,,constructor,closed,,', 'material', 'constructor', /a material/],
  ['p1,2031-03-09T14:05Z,,600,,fd-meat,ajar,,', 'ballast', 'ajar', /one of closed, open/],
  ['p1,2031-03-09T14:05Z,,600,,fd-meat,closed,-300,', 'trap_temp_c', -300, /from -120 to 60/],
  ['p1,2039-03-09T14:05Z,,600,,fd-meat,closed,,', 'started', '2039-03-09T14:05:00.000Z', /has passed/],
])('%s names its column, the value and what would be right', async (row, field, value, right) => {
  expect(await rowOf(row)).toMatchObject({
    ok: false,
    issues: [{ field, value, right: expect.stringMatching(right) as string }],
  });
});

test.each([
  ['pump,started\np1,2031-03-09T14:05Z', 'missingColumns', /missing: material/],
  [`${HEADER},weather\n`, 'unknownColumns', /only the columns/],
  [`${HEADER}\np1,2031-03-09T14:05Z,,600,,fd-meat,closed,,"cut o`, 'brokenQuotes', /may be cut off/],
  ['', 'missingColumns', /header line/],
  [`${HEADER}\np1,2031-03-09T14:05Z,,600,,fd-meat,closed,,"${'on and on '.repeat(300_000)}`, 'brokenQuotes', /closed/],
])('a file that cannot be read says why', async (text, code, right) => {
  await expect(read(text)).rejects.toMatchObject({
    issue: { field: 'file', code, right: expect.stringMatching(right) as string },
  });
});

test('cells that a spreadsheet would run are escaped, and read back as they were', async () => {
  const remark = '=HYPERLINK("x"), “quoted”\nsecond line';
  const base = runAt(10, 20);
  const odd = { ...base, body: { ...base.body, remark } } as Entry;
  const text = logText(RUN_LOG, [odd, { ...runAt(40, 20), body: { ...base.body, remark: "'s odd" } } as Entry]);
  expect(text).toContain('"\'=HYPERLINK');
  const back = await read(`\uFEFF${text}`);
  expect(back.map((r) => r.ok && r.entry.kind === 'run' && r.entry.body.remark)).toEqual([remark, "'s odd"]);
});

describe('import and export', () => {
  let first: TestHouse;
  let second: TestHouse;
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
    const text = await exportedLog(first, 'runs');
    expect(await importInto(second, 'runs', text, false)).toMatchObject({
      rows: 4,
      fresh: 4,
      refused: 0,
      written: 4,
    });
    expect(second.states()).toEqual(first.states());
    expect(await exportedLog(second, 'runs')).toBe(text);
    expect(await importInto(first, 'runs', text, false)).toMatchObject({ fresh: 0, unchanged: 4, written: 0 });
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
  const text = logText(RUN_LOG, [{ ...run, body: { ...run.body, ...said, trapProfile: profile } } as Entry]);
  const [row] = Papa.parse<Record<string, string>>(text, { header: true }).data;
  const cell = (column: string) => row?.[column];
  expect([cell('pump_name'), cell('material_name')]).toEqual(['P-1', 'Empty, leak test or warm-up']);
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
