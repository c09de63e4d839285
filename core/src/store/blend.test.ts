import { blendViscosityMm2s } from '../oil/index.js';
import type { OilProduct } from '../set-up/index.js';
import { blendOf, notTogether } from './blend.js';
import type { Part } from './part.js';

const OIL = {
  ...{ name: 'A', grade: 'VG 68', base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1 },
  ...{ densityKgM3: 870, viscosity40Mm2s: 68 },
} as const satisfies OilProduct;
const products: Record<string, OilProduct> = {
  a: OIL,
  b: { ...OIL, viscosity40Mm2s: 46 },
  f: { ...OIL, base: 'pfpe', densityKgM3: 1890 },
  unknown: { ...OIL, viscosity40Mm2s: null },
};
const part = (productId: string, ml: number, rounds: number): Part => ({
  ...{ phase: 'oil', lot: productId, productId, rounds, passes: 0, uL: ml * 1000 },
});

/** Reckoned apart by log10 log10(v + 0.7), volume-weighted. */
test.each([
  ['halves of 68 and 100', [[50, 68] as const, [50, 100] as const], 82.13],
  ['four parts of 68 and one of 46', [[800, 68] as const, [200, 46] as const], 62.71],
  ['halves far apart', [[1, 46] as const, [1, 150] as const], 79.99],
  ['one alone', [[1, 68] as const], 68],
])('viscosity of a blend: %s', (_name, oils, expected) => {
  const input = oils.map(([ml, viscosityMm2s]) => ({ ml, viscosityMm2s }));
  expect(blendViscosityMm2s(input)).toBeCloseTo(expected, 2);
});

test('no volume, and what is too thin for the rule, are refused by name', () => {
  expect(() => blendViscosityMm2s([])).toThrow(/ml/);
  expect(() => blendViscosityMm2s([{ ml: 1, viscosityMm2s: 1.2 }])).toThrow(/viscosityMm2s/);
});

test('rounds as a mean and at the worst, purity, new share and viscosity', () => {
  // 600 new, 300 twice round, 100 of another once round: (0 + 600 + 100) / 1000 = 0.7.
  const blend = blendOf({ parts: [part('a', 600, 0), part('a', 300, 2), part('b', 100, 1)], products });
  expect(blend).toMatchObject({ oilMl: 1000, productIds: ['a', 'b'], purity: 0.9, worstRounds: 2, newShare: 0.6 });
  expect(blend.meanRounds).toBeCloseTo(0.7, 9);
  expect(blend.viscosity40Mm2s).toBeCloseTo(
    blendViscosityMm2s([
      { ml: 9, viscosityMm2s: 68 },
      { ml: 1, viscosityMm2s: 46 },
    ]),
    9,
  );
});

/** Absorbances of ASTM D1500's own glasses: 1 → 0.1135, 3 → 0.5086, 4 → 0.8182. */
test.each([
  ['halves of 1 and 3', [1, 1, 3, 1], 2.5],
  ['four parts of 1 and one of 4', [1, 4, 4, 1], 2],
] as const)('colour of a blend: %s', (_name, [one, ofOne, other, ofOther], expected) => {
  const colours = [
    { uL: ofOne, colour: one },
    { uL: ofOther, colour: other },
  ];
  expect(blendOf({ parts: [part('a', 1, 0)], products, colours }).colour).toBe(expected);
});

test('what nobody read or knows is not made up', () => {
  const parts = [part('a', 500, 0), part('unknown', 500, 0)];
  const colours = [
    { uL: 1, colour: null },
    { uL: 1, colour: 2 },
  ];
  expect(blendOf({ parts, products, colours })).toMatchObject({ viscosity40Mm2s: null, colour: null });
  expect(blendOf({ parts: [], products })).toMatchObject({ oilMl: 0, productIds: [], worstRounds: 0 });
});

test('which oils are not poured together', () => {
  expect(notTogether(['a'], products)).toBeNull();
  expect(notTogether(['a', 'b'], products)).toBe('otherAdditives');
  expect(notTogether(['a', 'f'], products)).toBe('immiscible');
  // Of an oil that nobody has said a word about hydrocarbon is assumed.
  expect(notTogether(['f', 'gone'], products)).toBe('immiscible');
});
