import { seededRandom } from '../simulate/random.js';
import { normalTail } from '../statistics/index.js';
import { bandOfUse } from '../testing/band-of-use.js';
import { coverageOf, KINDS_OF_USE } from '../testing/kinds-of-use.js';
import { daysToRun, isIdle, runStream } from './run-stream.js';

const seed = Number(process.env['SEED'] ?? 7);

// Normal tables.
test.each([
  [0, 0.5],
  [1.2815516, 0.1],
  [-1.2815516, 0.9],
  [1.959964, 0.025],
  [3.0902323, 0.001],
])('the normal distribution has beyond %d a share of %d', (z, share) => {
  expect(normalTail(z)).toBeCloseTo(share, 6);
});

test.each(Object.entries(KINDS_OF_USE))('of runs %s the band of 8 in 10 holds about 8 in 10', (_, kind) => {
  const random = seededRandom(seed);
  const { asked, held } = coverageOf({
    kind,
    uniform: () => random.next(),
    lives: 60,
    band: bandOfUse,
  });
  expect(asked).toBeGreaterThan(1000);
  // 75 to 85 %, and what so many questions scatter.
  expect(held / asked).toBeGreaterThan(0.72);
  expect(held / asked).toBeLessThan(0.88);
});

const WEEKLY = [7, 7.1, 6.9, 7, 7.05, 6.95, 7, 7.02];

test('a pump that runs every Monday is due tomorrow on Sunday', () => {
  const [p10, p50, p90] = daysToRun(runStream(WEEKLY, 6), { runs: 1 });
  expect(p10).toBeGreaterThan(0.5);
  expect(p50).toBeCloseTo(1, 0);
  expect(p90).toBeLessThan(1.5);
});

test('three runs ahead are that day and two weeks', () => {
  const [, p50] = daysToRun(runStream(WEEKLY, 6), { runs: 3 });
  expect(p50).toBeGreaterThan(14.5);
  expect(p50).toBeLessThan(15.5);
});

test('a run that fails to come leaves any day open, and one that fails for long makes the pump idle', () => {
  const [p10, p50, p90] = daysToRun(runStream(WEEKLY, 10), { runs: 1 });
  expect(p10).toBeLessThan(1);
  expect(p50).toBeGreaterThan(3);
  expect(p90).toBeGreaterThan(10);
  expect([14, 20, 22].map((days) => isIdle(WEEKLY, days))).toEqual([false, false, true]);
  // A pump that runs every day is idle after a fortnight.
  expect([13, 15].map((days) => isIdle([1, 1, 1, 1, 1], days))).toEqual([false, true]);
});

test('what one run uses up scatters: so does the day', () => {
  const stream = runStream(WEEKLY, 1);
  const width = (useCv: number) => {
    const [p10, , p90] = daysToRun(stream, { runs: 4, useCv });
    return p90 - p10;
  };
  expect(width(0.4)).toBeGreaterThan(2 * width(0));
});

test('runs of every minute and runs of every year give days that are numbers', () => {
  for (const gaps of [WEEKLY.map((g) => g / 10_000), WEEKLY.map((g) => g * 52), [1e-3, 400, 1e-3, 400, 1e-3, 1]])
    for (const since of [0, 1e-3, 50, 5000])
      for (const runs of [1, 2, 40]) {
        const band = daysToRun(runStream(gaps, since), { runs });
        expect(band.every((d) => Number.isFinite(d) && d >= 0)).toBe(true);
        expect([...band]).toEqual([...band].sort((a, b) => a - b));
      }
});

test('no runs ahead is no question', () => {
  expect(() => daysToRun(runStream(WEEKLY, 1), { runs: 0 })).toThrow(/^runs:/);
});
