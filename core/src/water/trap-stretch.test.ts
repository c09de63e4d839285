import type { RunWater } from './run-water.js';
import { asSegment, leftAtFactorsUl, NOTHING_LEFT } from './trap-stretch.js';

type Estimated = Extract<RunWater, { ok: true }>;
const water = (trapG: number, canCarryG = 0): Estimated => ({
  ok: true,
  takenIn: { trapG, chamberG: 0, flashG: 0, ballastG: 0 },
  takenInG: trapG,
  dryAirMol: 0,
  oilTempC: 70,
  canCarryG,
  leftG: trapG,
  assumed: [],
});

// 17.1 g at S·p with the ballast closed all stay: m/factor, in g and so in mL to a fifth of a per cent.
test.each([
  [0.1, 171],
  [0.35, 48.86],
  [0.5, 34.2],
  [1, 17.1],
  [2, 8.55],
  [5, 3.42],
])('of 17.1 g past a trap of factor 1, one of %f leaves %f mL', (factor, ml) => {
  const { leftMl } = asSegment({ foundUl: 0, leftUl: leftAtFactorsUl(water(17.1), 1) });
  expect(leftMl(factor) / ml).toBeCloseTo(1, 2);
});

test('what air carries out of it leaves a twentieth at least', () => {
  // Of 17.1 g up to 12 are carried out; of 34.2 g, 22.2 stay; of 8.55 only 5 %.
  const { leftMl } = asSegment({ foundUl: 0, leftUl: leftAtFactorsUl(water(17.1, 12), 1) });
  expect(leftMl(1)).toBeCloseTo(5.1, 1);
  expect(leftMl(0.4)).toBeCloseTo(30.8, 1);
  expect(leftMl(2.5)).toBeCloseTo(0.34, 1);
});

test('a run that was estimated with another factor is the same run', () => {
  expect(leftAtFactorsUl(water(34.2), 0.5)).toEqual(leftAtFactorsUl(water(17.1), 1));
});

test('runs that left nothing are nothing whatever the trap', () => {
  expect(asSegment({ foundUl: 3000, leftUl: NOTHING_LEFT }).leftMl(0.3)).toBe(0);
});
