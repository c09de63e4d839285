import { readFileSync } from 'node:fs';
import { dueForecastDays, forecastLimit, usageOf } from './due-forecast.js';
import { gammaQuantile } from '../statistics/gamma-quantile.js';

interface ReferenceCase {
  runsLeft: number;
  runsPerDay: number;
  cv?: number;
  expected: [number, number, number];
}
const reference = JSON.parse(readFileSync(new URL('../../reference/core-values.json', import.meta.url), 'utf8')) as {
  relTol: number;
  dueForecastDays: { values: ReferenceCase[] };
};

test.each(reference.dueForecastDays.values)(
  'days to run $runsLeft at $runsPerDay a day match the independent values',
  ({ expected, ...input }) => {
    dueForecastDays(input).forEach((days, i) => {
      expect(Math.abs(days / (expected[i] ?? NaN) - 1)).toBeLessThan(reference.relTol);
    });
  },
);

// Chi-squared tables: chi²(k, p) = 2 · Gamma quantile of shape k/2.
test.each([
  [1, 0.5, 0.454936],
  [2, 0.9, 4.60517],
  [4, 0.1, 1.063623],
  [10, 0.9, 15.98718],
  [30, 0.5, 29.33603],
  [100, 0.1, 82.35814],
] as const)('chi-squared with %d degrees of freedom at %d is %d', (k, p, chiSquared) => {
  expect(2 * gammaQuantile({ shape: k / 2, p })).toBeCloseTo(chiSquared, 4);
});

test('the large-shape form agrees with the iteration where they meet', () => {
  for (const p of [0.1, 0.5, 0.9] as const) {
    expect(gammaQuantile({ shape: 500.001, p }) / gammaQuantile({ shape: 500, p })).toBeCloseTo(1, 4);
  }
});

test('no forecast is faster than the runs take by themselves', () => {
  const [p10, p50] = dueForecastDays({ runsLeft: 2, runsPerDay: 5, minDaysPerRun: 1.5 });
  expect([p10, p50]).toEqual([3, 3]);
});

test.each([
  ['runsLeft', { runsLeft: 0, runsPerDay: 1 }],
  ['runsPerDay', { runsLeft: 1, runsPerDay: -1 }],
  ['cv', { runsLeft: 1, runsPerDay: 1, cv: 0 }],
])('%s outside its validity throws and is named', (key, input) => {
  expect(() => dueForecastDays(input)).toThrow(new RegExp(`^${key}:`));
});

const day = (n: number) => new Date(Date.UTC(2031, 0, 1) + n * 86_400_000).toISOString();
const runsOn = (...days: number[]) => ({
  recentRuns: days.map((d) => ({ at: day(d), weightMilli: 1500, minutes: 1200 })),
  running: [],
});
const fallback = { weight: 1, hours: 30 };

test('with fewer than five intervals the scatter is that of a Poisson stream, and it is said', () => {
  const usage = usageOf(runsOn(0, 2, 4), fallback, day(5));
  expect(usage).toMatchObject({ stream: null, runsPerDay: 0.5, meanWeight: 1.5, meanHours: 20 });
  expect(forecastLimit({ measure: 'runs', left: 5, usage })).toMatchObject({ basis: 'fewRuns', runsLeft: 5 });
  const regular = usageOf(runsOn(0, 2, 4, 6, 8, 10), fallback, day(11));
  const next = forecastLimit({ measure: 'runs', left: 1, usage: regular });
  expect(next).toMatchObject({ basis: 'use', p50Days: expect.closeTo(1, 1) as number });
});

test('a single run says nothing about a rate; a date stands all the same', () => {
  const usage = usageOf(runsOn(0), fallback, day(5));
  expect(usage.runsPerDay).toBeNull();
  expect(forecastLimit({ measure: 'runs', left: 5, usage })).toBeNull();
  expect(forecastLimit({ measure: 'days', left: 40, usage })).toEqual({
    measure: 'days',
    p10Days: 40,
    p50Days: 40,
    p90Days: 40,
    basis: 'date',
    runsLeft: null,
  });
});

test('weight and hours become runs by this pump’s own use per run, a part of a run counting as one', () => {
  const usage = usageOf(runsOn(0, 2, 4), fallback, day(5));
  expect(forecastLimit({ measure: 'weight', left: 3.1, usage })?.runsLeft).toBe(3);
  expect(forecastLimit({ measure: 'hours', left: 40, usage })?.runsLeft).toBe(2);
});

test('an idle pump has no date but the calendar’s, and one run ends its idleness', () => {
  const idle = usageOf(runsOn(0, 2, 4, 6, 8, 10), fallback, day(60));
  expect(idle).toMatchObject({ idleDays: 50, runsPerDay: null });
  expect(forecastLimit({ measure: 'runs', left: 3, usage: idle })).toBeNull();
  expect(forecastLimit({ measure: 'days', left: 40, usage: idle })).toMatchObject({ p50Days: 40, runsLeft: null });
  expect(usageOf(runsOn(0, 2, 4, 6, 8, 10, 60), fallback, day(61)).idleDays).toBeNull();
});

test('a run that is going on is one of those that are left', () => {
  const running = [{ entryId: 'open', at: day(12), equipmentId: 'chamber', materialId: null }];
  const usage = usageOf({ ...runsOn(0, 2, 4, 6, 8, 10), running }, fallback, day(12.5));
  // Of 20 hours 12 are over.
  expect(forecastLimit({ measure: 'runs', left: 1, usage })?.p50Days).toBeCloseTo(8 / 24, 2);
  expect(forecastLimit({ measure: 'runs', left: 2, usage })?.p50Days).toBeCloseTo(1.5, 0);
});
