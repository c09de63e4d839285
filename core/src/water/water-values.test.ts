import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import {
  airBrings,
  airVapourPressurePa,
  ballastRemovalGPerH,
  molarBalanceHpa,
  waterVapourToleranceHpa,
  waterVapourToleranceMolarHpa,
} from './ballast.js';
import { cycleWater } from './cycle-water.js';
import { effectiveTrapTempC, leakToExplain, trapCarryoverG } from './trap.js';
import { iceVapourPressurePa, waterSaturationPressurePa } from './vapour-pressure.js';
import { waterLeftInOilG } from './water-left.js';

type Case = Record<string, number> & { expected: number };
const reference = JSON.parse(
  readFileSync(new URL('../../reference/core-values.json', import.meta.url), 'utf8'),
) as Record<string, { values: Case[] }> & { relTol: number };

const FUNCTIONS: Record<string, (input: never) => number> = {
  iceVapourPressurePa,
  waterSaturationPressurePa,
  trapCarryoverG,
  waterLeftInOilG,
  waterVapourToleranceHpa,
  waterVapourToleranceMolarHpa,
  ballastRemovalGPerH,
};
const CASES = Object.entries(FUNCTIONS).flatMap(([name, of]) =>
  (reference[name]?.values ?? []).map(({ expected, ...input }) => ({ name, of, input, expected })),
);

test('every function has its independent values', () => {
  expect(new Set(CASES.map((c) => c.name)).size).toBe(Object.keys(FUNCTIONS).length);
});

test.each(CASES)('$name of $input is $expected', ({ of, input, expected }) => {
  const value = of(input as never);
  if (expected === 0) expect(value).toBe(0);
  else expect(Math.abs(value / expected - 1)).toBeLessThan(reference.relTol);
});

// The trade's own figures, docs/trade.md 5.
test('a trap 5 K warmer nearly doubles what passes', () => {
  const at = (trapTempC: number) => trapCarryoverG({ trapTempC, pumpingSpeedM3h: 6, hours: 30 });
  expect(at(-35) / at(-40)).toBeGreaterThan(1.7);
  expect(at(-35) / at(-40)).toBeLessThan(2);
  expect(trapCarryoverG({ trapTempC: -40, pumpingSpeedM3h: 6, hours: 30, efficiency: 0.5 })).toBeCloseTo(2 * at(-40));
});

test('0.6 m³/h of half-humid air brings 156 g in 30 h', () => {
  expect(airBrings({ volumeM3: 18 }).waterG).toBeCloseTo(155.6, 0);
});

test('a 50 L chamber at 20 °C brings 1.7 kg in 2,000 cycles, and warm oil lets it go again', () => {
  const { chamberG, dryAirMol } = cycleWater({ cycles: 2000, chamberVolumeL: 50, productTempC: 20, humidity: 1 });
  expect(chamberG / 1000).toBeCloseTo(1.7, 1);
  const left = (oilTempC: number) =>
    waterLeftInOilG({ processWaterG: 0, airWaterG: chamberG, dryAirMol, oilTempC, efficiency: 1 });
  expect(left(26)).toBe(0);
  expect(left(20) / chamberG).toBeCloseTo(0.25, 1);
});

test('wet product flashes off only below its saturation pressure', () => {
  const at = (endPressurePa: number | null) =>
    cycleWater({ cycles: 100, chamberVolumeL: 50, productTempC: 4, humidity: 1, flashGPerCycle: 0.2, endPressurePa })
      .flashG;
  expect(at(500)).toBe(20);
  expect(at(2000)).toBe(0);
  expect(at(null)).toBe(0);
});

test('17 g in 30 h would need a leak that holds a 6 m³/h pump near 11 hPa', () => {
  const leak = leakToExplain({ waterG: 17, hours: 30, pumpingSpeedM3h: 6, humidWaterPa: airVapourPressurePa({}) });
  expect(Math.abs(leak.leakHpaLPerS / 18 - 1)).toBeLessThan(0.06);
  expect(Math.abs(leak.chamberHpa / 11 - 1)).toBeLessThan(0.06);
});

test('into 30 °C air of 80 % humidity the ballast adds water below about 31 °C oil', () => {
  const at = (oilTempC: number) => molarBalanceHpa({ ballastRatio: 0.1, oilTempC, airTempC: 30, airHumidity: 0.8 });
  expect(at(30)).toBeLessThan(0);
  expect(at(32)).toBeGreaterThan(0);
  expect(waterVapourToleranceMolarHpa({ ballastRatio: 0.1, oilTempC: 30, airTempC: 30, airHumidity: 0.8 })).toBe(0);
});

test.each([
  [70, 0.8],
  [60, 1.4],
  [40, 5],
])('at %d °C a purge of 15 g takes about %d h', (oilTempC, hours) => {
  const perHour = ballastRemovalGPerH({ ballastFlowM3h: 0.6, oilTempC, efficiency: 0.1 });
  expect(Math.abs(15 / perHour / hours - 1)).toBeLessThan(0.06);
});

test('a few warm hours of a trap count more than many cold ones', () => {
  const profile = [
    { minutes: 0, tempC: -50 },
    { minutes: 600, tempC: -50 },
    { minutes: 601, tempC: -30 },
    { minutes: 1200, tempC: -30 },
  ];
  const effective = effectiveTrapTempC(profile);
  // Half the time at 3.94 Pa, half at 38.0 Pa (Murphy & Koop): 21 Pa is ice at -35.5 °C.
  expect(effective).toBeGreaterThan(-36);
  expect(effective).toBeLessThan(-35);
  expect(effectiveTrapTempC([{ minutes: 0, tempC: -41 }])).toBe(-41);
  expect(() => effectiveTrapTempC([])).toThrow(/readings/);
  expect(() =>
    effectiveTrapTempC([
      { minutes: 5, tempC: -4 },
      { minutes: 5, tempC: -5 },
    ]),
  ).toThrow(/does not come after/);
});

test('what is taken in is what stays and what is carried out, and never more', () => {
  const amount = fc.double({ min: 0, max: 5000, noNaN: true });
  fc.assert(
    fc.property(
      amount,
      amount,
      amount,
      fc.double({ min: -5, max: 120, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (processWaterG, airWaterG, dryAirMol, oilTempC, efficiency) => {
        const left = waterLeftInOilG({ processWaterG, airWaterG, dryAirMol, oilTempC, efficiency });
        const carriedOut = processWaterG + airWaterG - left;
        expect(left).toBeGreaterThanOrEqual(0.05 * processWaterG - 1e-9);
        expect(carriedOut).toBeGreaterThanOrEqual(-1e-9);
        // Warmer oil and more air never leave more behind.
        expect(
          waterLeftInOilG({ processWaterG, airWaterG, dryAirMol, oilTempC: oilTempC + 5, efficiency }),
        ).toBeLessThanOrEqual(left + 1e-9);
        expect(
          waterLeftInOilG({ processWaterG, airWaterG, dryAirMol: dryAirMol + 10, oilTempC, efficiency }),
        ).toBeLessThanOrEqual(left + 1e-9);
      },
    ),
  );
});

test.each<[string, () => number, RegExp]>([
  [
    'a humidity of 50',
    () => waterVapourToleranceHpa({ ballastRatio: 0.1, oilTempC: 60, airHumidity: 50 }),
    /airHumidity: 50/,
  ],
  ['time that runs back', () => trapCarryoverG({ trapTempC: -40, pumpingSpeedM3h: 6, hours: -1 }), /hours: -1/],
  [
    'no trap at all',
    () => trapCarryoverG({ trapTempC: -40, pumpingSpeedM3h: 6, hours: 1, efficiency: 0 }),
    /efficiency: 0/,
  ],
  ['ice colder than its line', () => iceVapourPressurePa({ tempC: -200 }), /tempC: -200/],
  ['steam past the critical point', () => waterSaturationPressurePa({ tempC: 400 }), /tempC: 400/],
  [
    'water below nothing',
    () => waterLeftInOilG({ processWaterG: -1, airWaterG: 0, dryAirMol: 0, oilTempC: 60 }),
    /processWaterG: -1/,
  ],
])('%s is a fault with the key and its range', (_what, of, message) => {
  expect(of).toThrow(RangeError);
  expect(of).toThrow(message);
});

test('oil hotter than the exhaust’s boiling point carries all vapour out', () => {
  expect(waterVapourToleranceHpa({ ballastRatio: 0.1, oilTempC: 112 })).toBe(Infinity);
  expect(ballastRemovalGPerH({ ballastFlowM3h: 0.6, oilTempC: 101 })).toBe(Infinity);
  expect(waterLeftInOilG({ processWaterG: 100, airWaterG: 50, dryAirMol: 0, oilTempC: 112 })).toBe(5);
});
