import type { Entry, FigureRead, JudgedLog, TestBody } from '../journal/index.js';
import { leakLimit } from './leak-at-pump.js';
import { vacuumRecord, type VacuumLimits } from './vacuum-record.js';

const AT = (day: number) => new Date(Date.UTC(2026, 0, day)).toISOString();
const around = (p50: number): FigureRead => ({ p10: p50 * 0.9, p50, p90: p50 * 1.1 });
const entry = (day: number, kind: 'test' | 'caseClosed', body: object) =>
  ({
    id: `e-${String(day).padStart(3, '0')}`,
    kind,
    body,
    happenedAt: AT(day),
    subjects: [{ type: 'pump', id: 'p1' }],
  }) as unknown as Entry;
const log = (judged: Partial<JudgedLog>): Partial<TestBody> => ({
  findings: [],
  log: { logId: 'a'.repeat(64), of: 'rise', volumeL: 62, gauge: 'capacitance', verdict: 'leak', ...judged },
});
const leak = (day: number, paM3PerS: number, verdict: JudgedLog['verdict'] = 'leak') =>
  entry(day, 'test', log({ verdict, leakPaM3PerS: around(paM3PerS) }));
const read = (day: number, pa: number, how: object) =>
  entry(day, 'test', { findings: [], measured: [{ pa, ballast: 'closed', ...how }] });

const NO_LIMITS: VacuumLimits = {
  leak: null,
  moisture: null,
  chamber: null,
  blankOff: null,
  speed: null,
  bagRise: null,
  pullDown: null,
};
const of = (entries: Entry[], limits: Partial<VacuumLimits> = {}) =>
  Object.fromEntries(
    vacuumRecord({ entries, pumpId: 'p1', limits: { ...NO_LIMITS, ...limits } }).series.map((s) => [s.of, s]),
  );

test('what each test is a point of', () => {
  const found = of([
    leak(1, 2e-4),
    // Tight: the leak is at most its upper end, and moisture that was not found is no point.
    leak(2, 2e-5, 'tight'),
    entry(3, 'test', log({ verdict: 'leakAndMoisture', leakPaM3PerS: around(3e-4), moisturePa: around(20) })),
    // What a record does not tell is no point.
    entry(4, 'test', log({ verdict: 'undecided', leakPaM3PerS: around(9) })),
    entry(
      5,
      'test',
      log({
        of: 'pumpDown',
        verdict: 'wornOrDirty',
        speedM3h: around(3),
        ultimatePa: around(7),
        leakPaM3PerS: around(1),
      }),
    ),
    read(6, 0.6, { where: 'pump' }),
    // Ballast open or oil cold: no fair reading.
    read(7, 60, { where: 'pump', ballast: 'open' }),
    read(8, 6, { where: 'pump', oilTempC: 20 }),
    read(9, 4, { where: 'chamber' }),
    entry(10, 'test', log({ of: 'bagDrop', verdict: 'holds', rise10MinPa: around(800), limitPa: 1500 })),
    entry(11, 'test', log({ of: 'cycles', verdict: 'asGood', pullDownS: around(12), toPa: 500 })),
    // A log of a pump blanked off counts by its reading.
    entry(12, 'test', {
      ...log({ of: 'ultimate', verdict: 'asGood', ultimatePa: around(0.7), limitPa: 1.5 }),
      measured: [{ pa: 0.7, where: 'pump', ballast: 'closed', oil: 'asIs' }],
    }),
  ]);
  const points = Object.fromEntries(
    Object.entries(found).map(([name, s]) => [name, s.points.map((p) => [Number(p.value.toPrecision(6)), p.atMost])]),
  );
  expect(points).toEqual({
    leak: [
      [2e-4, false],
      [2.2e-5, true],
      [3e-4, false],
    ],
    moisture: [[20, false]],
    chamber: [
      [7, false],
      [4, false],
    ],
    blankOff: [
      [0.6, false],
      [0.7, false],
    ],
    speed: [[3, false]],
    bagRise: [[800, false]],
    pullDown: [[12, false]],
  });
});

// Kendall's S of five that all rise is 10, which chance makes 2 times in 120; Sen's slope of its logarithms is ln 1.08.
const RISING = [1, 1.08, 1.1664, 1.259712, 1.36048896];

test('creeps up by 8 % a test; what was mended begins anew', () => {
  const rises = RISING.map((v, i) => leak(10 + i, v * 1e-4));
  const { leak: before } = of([leak(1, 9e-4), leak(2, 8e-4), ...rises]);
  expect(before?.trend).toMatchObject({ goes: 'none' });
  const { leak: after } = of([
    leak(1, 9e-4),
    leak(2, 8e-4),
    entry(5, 'caseClosed', { causeId: 'x', remedy: 'gasket' }),
    ...rises,
  ]);
  expect(after?.trend).toMatchObject({ goes: 'worse', sinceAt: AT(10), tests: 5 });
  expect(after?.trend.perTestShare).toBeCloseTo(0.08, 6);
  expect(after?.standing).toEqual({ place: 5, of: 7 });
  // A speed that rises gets better.
  const speeds = RISING.map((v, i) =>
    entry(10 + i, 'test', log({ of: 'pumpDown', verdict: 'asGood', speedM3h: around(v) })),
  );
  expect(of(speeds).speed).toMatchObject({ trend: { goes: 'better' }, standing: { place: 1, of: 5 } });
  expect(of(rises.slice(0, 4)).leak?.trend.goes).toBe('tooFew');
});

test.each([
  ['a leak under its limit', [leak(1, 1e-4)], { leak: 2e-4 }, 'leak', 'within'],
  ['a leak over its limit', [leak(1, 3e-4)], { leak: 2e-4 }, 'leak', 'outside'],
  ['at most so much, which is over the limit', [leak(1, 3e-4, 'tight')], { leak: 2e-4 }, 'leak', 'within'],
  ['blanked off over its limit', [read(1, 2, { where: 'pump' })], { blankOff: 1.5 }, 'blankOff', 'outside'],
  [
    'the last counts',
    [read(1, 2, { where: 'pump' }), read(2, 1, { where: 'pump' })],
    { blankOff: 1.5 },
    'blankOff',
    'within',
  ],
  ['no limit is known', [read(1, 2, { where: 'pump' })], {}, 'blankOff', null],
  [
    'too slow',
    [entry(1, 'test', log({ of: 'pumpDown', verdict: 'restriction', speedM3h: around(3) }))],
    { speed: 4.5 },
    'speed',
    'outside',
  ],
] as const)('%s', (_, entries, limits, series, stands) => {
  expect(of([...entries], limits)[series]?.stands).toBe(stands);
});

test('of two pumps in turn each is among its own, and only the one that stands there is held to its limit', () => {
  const of2 = (day: number, pa: number) =>
    ({ ...read(day, pa, { where: 'pump' }), subjects: [{ type: 'pump', id: 'p2' }] }) as Entry;
  const mine = [1, 3, 5, 7, 9].map((day) => read(day, 1, { where: 'pump' }));
  // The other one ends ten times as high, as its model does: that is no step of this one.
  const other = [2, 4, 6, 8, 10].map((day) => of2(day, 10));
  const { blankOff } = of([...mine, ...other], { blankOff: 3 });
  expect(blankOff).toMatchObject({ limit: null, stands: null, standing: { place: 1, of: 5 }, trend: { tests: 5 } });
  expect(of([...mine, ...other.slice(0, 4)], { blankOff: 3 }).blankOff).toMatchObject({ limit: 3, stands: 'within' });
});

test('a bag is held to the limit of its last test, a pull-down to its own first three', () => {
  const bag = (day: number, limitPa: number | null) =>
    entry(day, 'test', log({ of: 'bagDrop', verdict: 'holds', rise10MinPa: around(1800), limitPa }));
  expect(of([bag(1, 1500)], { bagRise: 2000 }).bagRise).toMatchObject({ limit: 1500, stands: 'outside' });
  expect(of([bag(1, null)], { bagRise: 2000 }).bagRise).toMatchObject({ limit: 2000, stands: 'within' });
  const pull = (day: number, s: number) =>
    entry(day, 'test', log({ of: 'cycles', verdict: 'asGood', pullDownS: around(s), toPa: 500 }));
  // By hand: the median of 12, 11, 13 is 12; 1.3 times that is 15.6.
  const pulls = [12, 11, 13, 16].map((s, i) => pull(i + 1, s));
  expect(of(pulls).pullDown).toMatchObject({ limit: expect.closeTo(15.6, 9) as number, stands: 'outside' });
  expect(of(pulls.slice(0, 2)).pullDown).toMatchObject({ limit: null, stands: null });
});

test.each([
  // A tenth of the target, by hand: 0.1 · 1.8 Pa · 6 m³/h / 3600.
  [6, 1.8, 3e-4],
  [63, 500, 0.875],
])('a leak matters behind %d m³/h at a target of %d Pa from %d Pa·m³/s on', (pumpingSpeedM3h, targetPa, expected) => {
  expect(leakLimit({ pumpingSpeedM3h, targetPa })).toBeCloseTo(expected, 9);
});
