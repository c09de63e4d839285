import { trapHistory as history } from '../testing/trap-histories.js';
import { fitTrapEfficiency } from './fit-trap-efficiency.js';

const HISTORIES = 100;
const seeds = Array.from({ length: HISTORIES }, (_, i) => 1000 + i);

test('of 100 simulated histories the 90 % interval holds the truth 83 to 97 times, and is narrower than half the prior’s', () => {
  const fits = seeds.map((seed) => {
    const { truth, segments } = history(seed);
    const fit = fitTrapEfficiency(segments);
    if (!fit.ok) throw new Error('twenty runs are enough');
    return { truth, ...fit };
  });
  const covered = fits.filter((f) => f.low <= f.truth && f.truth <= f.high).length;
  expect(covered).toBeGreaterThanOrEqual(83);
  expect(covered).toBeLessThanOrEqual(97);
  expect(fits.every((f) => f.knowsEnough)).toBe(true);
});

test('one trap temperature read 15 K too cold does not break it', () => {
  const covered = seeds.filter((seed) => {
    const { truth, segments } = history(seed, 7);
    const fit = fitTrapEfficiency(segments);
    return fit.ok && fit.low <= truth && truth <= fit.high;
  }).length;
  expect(covered).toBeGreaterThanOrEqual(80);
  const [good, spoilt] = [history(1003), history(1003, 7)].map(({ segments }) => fitTrapEfficiency(segments));
  if (!good?.ok || !spoilt?.ok) throw new Error('twenty runs are enough');
  expect(Math.abs(spoilt.efficiency / good.efficiency - 1)).toBeLessThan(0.1);
});

test('it says when it knows too little', () => {
  const { segments } = history(1000);
  expect(fitTrapEfficiency(segments.slice(0, 3))).toEqual({ ok: false, why: 'tooFewSegments', segments: 3 });
  // Water that is all reading error tells nothing about the trap.
  const dry = Array.from({ length: 8 }, () => ({ foundMl: 0, leftMl: (e: number) => 0.05 / e }));
  expect(fitTrapEfficiency(dry)).toMatchObject({ ok: true, knowsEnough: false });
});

test('less water than S·p lets past is fitted above 1, not called a perfect trap', () => {
  const fit = fitTrapEfficiency(Array.from({ length: 10 }, () => ({ foundMl: 8, leftMl: (e: number) => 20 / e })));
  if (!fit.ok) throw new Error('ten stretches are enough');
  expect(fit.low).toBeGreaterThan(1.5);
  expect(fit.high).toBeLessThan(4);
});

test('five stretches are enough where water is read to 2 mL: the interval holds 85 to 95 of 100 true factors', () => {
  const held = Array.from({ length: 200 }, (_, i) => history(5000 + i, undefined, 5)).filter(({ truth, segments }) => {
    const fit = fitTrapEfficiency(segments);
    return fit.ok && fit.low <= truth && truth <= fit.high;
  }).length;
  expect(held / 200).toBeGreaterThanOrEqual(0.83);
  expect(held / 200).toBeLessThanOrEqual(0.97);
});
