import type { Equipment, PumpModel } from '../set-up/index.js';
import { excessHints } from './excess.js';
import type { RunWaterInput } from './run-water.js';

const equipment: Equipment = { name: 'C', siteId: 's', process: 'freezeDrying', referenceHours: 20, coldTrap: true };
const model = { pumpingSpeedM3h: 6, ballastFlowM3h: 0.6, operatingOilTempC: 70, ballastRule: 'open' } as PumpModel;
const runOf = (oilTempC: number, ballast: 'open' | 'closed' | 'purge' = 'open', more = {}): RunWaterInput => ({
  body: { minutes: 1800, session: 'run', ballast, oilTempC, trapTempC: -45, ventedBeforeStop: 'yes', ...more },
  minutes: 1800,
  equipment,
  model,
});
const codes = (...runs: RunWaterInput[]): string[] =>
  excessHints({ runs, excessMl: 20, foundMl: 30 }).map((h) => h.code);

// 0.6 m³/h at 20 °C and half humidity bring 5.2 g/h; half saturated at 1,333 hPa they carry 2.9 g/h out of oil at 15 °C, 4.0 at
// 20, 7.3 at 30 and 32 at 55: reckoned by hand from the steam table (17.1, 23.4, 42.5 and 157.6 hPa).
test.each([
  [15, true],
  [20, true],
  [30, false],
  [55, false],
  [70, false],
])('ballast open into oil at %d °C adds water: %s', (oilTempC, adds) => {
  expect(codes(runOf(oilTempC)).includes('coldBallast')).toBe(adds);
});

test('a ballast that was closed, or only purged with, brings nothing', () => {
  expect(codes(runOf(15, 'closed'))).not.toContain('coldBallast');
  expect(codes(runOf(15, 'purge'))).not.toContain('coldBallast');
});

test('a defrost before the run is named first, and 20 mL without one are liquid', () => {
  expect(codes(runOf(70, 'open', { defrostedBefore: 'yes' }))[0]).toBe('meltwater');
  expect(codes(runOf(70))).toContain('liquid');
  expect(excessHints({ runs: [runOf(70)], excessMl: 0, foundMl: 5 })).toEqual([]);
});

test('humid air explains 17 g in 30 h only with a leak that would hold the chamber near 11 hPa', () => {
  const hints = excessHints({ runs: [runOf(70, 'closed', { lowestPressurePa: 20 })], excessMl: 17, foundMl: 17 });
  const leak = hints.find((h) => h.code === 'leak');
  expect(leak).toMatchObject({ excluded: true, reachedHpa: 0.2 });
  expect(leak?.code === 'leak' && leak.chamberHpa).toBeGreaterThan(9);
  expect(leak?.code === 'leak' && leak.chamberHpa).toBeLessThan(13);
});
