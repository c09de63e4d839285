import { JAR_SHAPES } from '../limits/index.js';
import type { SettlingProduct } from '../oil/index.js';
import { settleOf, settlingFactor } from './settle-jar.js';

const FILLED = '2031-01-01T00:00:00.000Z';
const HOUR_MS = 3_600_000;
const MINERAL: SettlingProduct = {
  ...{ waterBehaviour: 'demulsifying', densityKgM3: 870, viscosity40Mm2s: 68, viscosity100Mm2s: 8.7 },
};
const after = (hours: number) => Date.parse(FILLED) + hours * HOUR_MS;
const settle = (more: Partial<Parameters<typeof settleOf>[0]>) =>
  settleOf({ product: MINERAL, ml: 650, tempC: null, shape: null, filledAt: FILLED, nowMs: after(1), ...more });

/** 650 mL stand 89.7 mm high in a straight litre; 50 µm droplets fall 2.209, 3.359 and 10.61 mm/h, reckoned apart. */
test.each([
  ['a cellar of 14 °C', { tempC: 14 }, 40.6],
  ['a room', {}, 26.7],
  ['a warm shelf of 40 °C', { tempC: 40 }, 8.46],
  ['a spoonful: two hours at the least', { ml: 5, tempC: 40 }, 2],
  // 400 mL stand 115 mm high in the tapered jar.
  ['a jar of its own shape', { ml: 400, shape: JAR_SHAPES['tapered-400'] }, 34.2],
  ['by what jars here have shown', { ownFactor: 1.5 }, 40.1],
] as const)('%s', (_name, more, hours) => {
  const found = settle(more);
  expect(found.how).toBe('settles');
  expect('hours' in found ? found.hours : 0).toBeCloseTo(hours, 1);
});

test('it may be poured from the time that it has stood', () => {
  expect(settle({ nowMs: after(26.6) })).toMatchObject({ ready: false });
  expect(settle({ nowMs: after(26.8) })).toMatchObject({ ready: true });
});

test.each([
  ['a detergent oil', { product: { ...MINERAL, waterBehaviour: 'detergent' } }, { how: 'detergent' }],
  ['denser than water', { product: { ...MINERAL, densityKgM3: 1890 } }, { how: 'denser' }],
  ['nothing known of it', { product: null }, { how: 'unknownOil' }],
  ['a frozen jar', { tempC: -18 }, { how: 'freezes', hours: 16 }],
  ['a frozen bucket', { tempC: -18, ml: 8000 }, { how: 'freezes', hours: 48 }],
] as const)('no time for it: %s', (_name, more, expected) => {
  expect(settle(more)).toMatchObject(expected);
});

/** Ratio of the hours stood to those that Stokes asks for, and whether it was clear then. */
const jars = (...shown: readonly (readonly [ratio: number, clear: boolean])[]) =>
  shown.map(([ratio, clear]) => ({ neededHours: 10, hoursStood: 10 * ratio, clear }));

test.each([
  ['too few say nothing', jars([3, false], [3, false]), 1],
  ['all as Stokes says', jars([0.6, false], [1.1, true], [2, true]), 1],
  ['hazy at their time, clear at twice it', jars([1, false], [1.2, false], [1.5, false], [2, true], [2.2, true]), 1.5],
  ['clear at half of it', jars([0.6, true], [0.7, true], [0.8, true]), 0.6],
  ['one that is odd among many', jars([1.1, true], [1.2, true], [1.3, true], [3, false]), 1],
  ['never hazy for ever', jars([9, false], [9, false], [9, false]), 4],
] as const)('the factor of a yard: %s', (_name, shown, factor) => {
  expect(settlingFactor(shown)).toBeCloseTo(factor, 6);
});

/** Droplets of several sizes, each moved on minute by minute from where it began, with the formulas typed out here. */
test('against droplets that fall minute by minute: those of 50 µm and more are down when it may be poured, smaller ones are not', () => {
  const walther = (v: number) => Math.log10(Math.log10(v + 0.7));
  const slope = (walther(68) - walther(8.7)) / (Math.log10(373.15) - Math.log10(313.15));
  const mm2s = (tempC: number) =>
    10 ** (10 ** (walther(68) - slope * (Math.log10(tempC + 273.15) - Math.log10(313.15)))) - 0.7;
  for (const tempC of [14, 20, 40]) {
    const found = settle({ tempC });
    const minutes = 'hours' in found ? found.hours * 60 : 0;
    const metresPerMinute = (um: number) => (60 * 128 * 9.80665 * (um * 1e-6) ** 2) / (18 * mm2s(tempC) * 1e-6 * 870);
    const heightM = 0.0897;
    for (const [um, isDown] of [
      [30, false],
      [45, false],
      [51, true],
      [80, true],
    ] as const) {
      let depth = 0;
      for (let minute = 0; minute < minutes; minute++) depth += metresPerMinute(um);
      expect([tempC, um, depth >= heightM]).toEqual([tempC, um, isDown]);
    }
  }
});
