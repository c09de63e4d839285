import { readFileSync } from 'node:fs';
import { readGaugeLog } from '../gauge-log/index.js';
import { hoseConductanceLPerS } from './hose-conductance.js';
import { judgePumpDown } from './judge-pump-down.js';
import { judgeRise } from './judge-rise.js';

const file = (name: string): string => readFileSync(new URL(`../../reference/${name}`, import.meta.url), 'utf8');
const truth = JSON.parse(file('gauge-logs/truth.json')) as Record<
  string,
  {
    volumeL: number;
    leakMbarLPerS: number;
    moistureRiseMbar: number;
    tauS: number;
    pumpSpeedLPerS: number;
    ultimateMbar: number;
  }
>;
const of = (name: string) => {
  const log = readGaugeLog({ text: file(`gauge-logs/${name}.csv`), name, zone: 'UTC' });
  if (!log.ok || !truth[name]) throw new Error(name);
  return { points: log.points, ...truth[name] };
};
/** 1 hPa·L/s is 0.1 Pa·m³/s. */
const PA_M3 = 0.1;

test.each([
  ['rise-tight-dry', 'tight'],
  ['rise-leak', 'leak'],
  ['rise-moist', 'moisture'],
  ['rise-leak-and-moist', 'leakAndMoisture'],
])('%s is %s, its leak within its interval, its moisture and how fast it flattens within a tenth', (name, verdict) => {
  const { points, volumeL, leakMbarLPerS, moistureRiseMbar, tauS } = of(name);
  const judged = judgeRise({ points, volumeL });
  expect(judged.verdict).toBe(verdict);
  const leak = leakMbarLPerS * PA_M3;
  expect(leak).toBeGreaterThanOrEqual(judged.leakPaM3PerS.p10);
  expect(leak).toBeLessThanOrEqual(judged.leakPaM3PerS.p90);
  if (verdict.startsWith('leak')) expect(Math.abs(judged.leakPaM3PerS.p50 / leak - 1)).toBeLessThan(0.1);
  expect(Math.abs((judged.levelsOffPa ?? 0) / (moistureRiseMbar * 100) - 1)).toBeLessThan(0.1);
  expect(Math.abs((judged.tauS ?? 0) / tauS - 1)).toBeLessThan(0.1);
});

test.each([
  ['pumpdown-good', 'asGood'],
  ['pumpdown-leak', 'leak'],
  ['pumpdown-worn', 'wornOrDirty'],
])('%s is %s, its speed and what it ends at within a tenth', (name, verdict) => {
  const { points, volumeL, leakMbarLPerS, pumpSpeedLPerS, ultimateMbar } = of(name);
  const judged = judgePumpDown({ points, volumeL, pumpingSpeedM3h: 6 });
  expect(judged.verdict).toBe(verdict);
  expect(Math.abs(judged.speedM3h.p50 / 3.6 / pumpSpeedLPerS - 1)).toBeLessThan(0.1);
  const ends = (ultimateMbar + leakMbarLPerS / pumpSpeedLPerS) * 100;
  expect(Math.abs(judged.ultimatePa.p50 / ends - 1)).toBeLessThan(0.1);
  if (verdict === 'leak') expect(Math.abs(judged.leakPaM3PerS.p50 / (leakMbarLPerS * PA_M3) - 1)).toBeLessThan(0.1);
});

const reference = JSON.parse(file('core-values.json')) as {
  hoseConductanceLPerS: {
    values: { diameterCm: number; lengthCm: number; meanPressureMbar: number; expected: number }[];
  };
};
test.each(reference.hoseConductanceLPerS.values)(
  'a hose of $diameterCm by $lengthCm cm at $meanPressureMbar mbar lets $expected L/s through',
  ({ expected, ...hose }) => {
    expect(hoseConductanceLPerS(hose) / expected).toBeCloseTo(1, 4);
  },
);

test.each([{ diameterCm: 0 }, { lengthCm: -1 }, { meanPressureMbar: NaN }])('no hose: %o', (wrong) => {
  expect(() => hoseConductanceLPerS({ diameterCm: 2, lengthCm: 100, meanPressureMbar: 1, ...wrong })).toThrow(
    RangeError,
  );
});
