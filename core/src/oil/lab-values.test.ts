import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { LAB_READINGS, type LabReading } from '../journal/index.js';
import { isHarder } from '../limits/verdict-level.js';
import { OIL_LIMITS, resolveOilLimits } from '../limits/oil-limits.js';
import { countsOfIso4406, iso4406Code } from './particle-code.js';
import { readLab } from './read-lab.js';
import type { JudgedLab } from './judge-lab.js';
import { waterSolubilityPpm } from './water-solubility.js';

const reference = JSON.parse(readFileSync(new URL('../../reference/core-values.json', import.meta.url), 'utf8')) as {
  relTol: number;
  waterSolubilityPpm: { values: { tempC: number; expected: number }[] };
  iso4406Code: { values: { counts: [number, number, number]; expected: string }[] };
};

test.each(reference.waterSolubilityPpm.values)(
  'at $tempC °C a mineral base holds $expected ppm of water',
  ({ tempC, expected }) => {
    expect(Math.abs(waterSolubilityPpm({ tempC }) / expected - 1)).toBeLessThan(reference.relTol);
  },
);

test('the trade’s own figure: 357 ppm at 70 °C', () => {
  expect(Math.abs(waterSolubilityPpm({ tempC: 70 }) / 357 - 1)).toBeLessThan(reference.relTol);
  expect(() => waterSolubilityPpm({ tempC: 130 })).toThrow(/tempC: 130/);
});

test.each(reference.iso4406Code.values)('counts of $counts per mL are $expected', ({ counts, expected }) => {
  expect(iso4406Code({ counts })).toBe(expected);
});

test('a count below nothing is refused', () => {
  expect(() => iso4406Code({ counts: [10, -1, 0] })).toThrow(/counts: -1/);
});

/** Silicon and particles of three charges before. */
const EARLIER = {
  earlierSilicon: [3, 4, 5],
  earlierClasses: [
    [15, 12],
    [16, 12],
    [15, 13],
  ],
} as const;
const lab = (given: Partial<JudgedLab>): JudgedLab => ({
  values: {},
  wearSigns: [],
  product: {
    base: 'mineral',
    waterBehaviour: 'demulsifying',
    densityKgM3: 870,
    viscosity40Mm2s: 68,
    freshAcidMgKohG: 0.1,
    freshBaseMgKohG: 8,
  },
  limits: OIL_LIMITS,
  charge: { hours: 200, runningOilTempC: 70, earlierIronRates: [1, 2, 3], ...EARLIER, glitterSeen: false },
  ...given,
});

const product = fc.record({
  base: fc.constantFrom('mineral', 'synthetic', 'ester', 'pfpe'),
  waterBehaviour: fc.constantFrom('demulsifying', 'detergent'),
  densityKgM3: fc.constantFrom(870, 1890),
  viscosity40Mm2s: fc.constantFrom(null, 46, 68),
  freshAcidMgKohG: fc.constantFrom(null, 0.1),
  freshBaseMgKohG: fc.constantFrom(null, 8),
} as const);
const values = fc.record({
  siliconPpm: fc.option(fc.double({ min: 0, max: 80, noNaN: true })),
  count6PerMl: fc.option(fc.double({ min: 0, max: 50_000, noNaN: true })),
  count14PerMl: fc.option(fc.double({ min: 0, max: 5000, noNaN: true })),
  waterPpm: fc.option(fc.double({ min: 0, max: 3000, noNaN: true })),
  viscosity40Mm2s: fc.option(fc.double({ min: 20, max: 150, noNaN: true })),
  ironPpm: fc.option(fc.double({ min: 0, max: 200, noNaN: true })),
  acidMgKohG: fc.option(fc.double({ min: 0, max: 3, noNaN: true })),
  baseMgKohG: fc.option(fc.double({ min: 0, max: 9, noNaN: true })),
});
/** Worse is more, but for the base number. */
const worse: Partial<Record<LabReading, number>> = {
  waterPpm: 1,
  ironPpm: 1,
  siliconPpm: 1,
  acidMgKohG: 1,
  baseMgKohG: -1,
};

test('a worse figure, and one figure more, never makes a verdict milder', () => {
  fc.assert(
    fc.property(
      values,
      product,
      fc.constantFrom(...(Object.keys(worse) as LabReading[])),
      fc.double({ min: 0, max: 500, noNaN: true }),
      (v, p, reading, by) => {
        const before = readLab(lab({ values: v, product: p }));
        const bad = Math.max(0, (v[reading] ?? (reading === 'baseMgKohG' ? 8 : 0)) + by * (worse[reading] ?? 1));
        const after = readLab(lab({ values: { ...v, [reading]: bad }, product: p }));
        expect(isHarder(before.level, after.level)).toBe(false);
      },
    ),
  );
});

test('each figure that was given is judged, or says why it is not', () => {
  expect(
    readLab(
      lab({
        values: { viscosity40Mm2s: 30, acidMgKohG: 4, waterPpm: 900 },
        product: { base: 'ester', waterBehaviour: 'demulsifying', densityKgM3: 960 },
      }),
    ),
  ).toMatchObject({
    level: 'runOn',
    notJudged: [
      { reading: 'waterPpm', why: 'noLimitForThisOil' },
      { reading: 'viscosity40Mm2s', why: 'noFreshValue' },
      { reading: 'acidMgKohG', why: 'noFreshValue' },
    ],
  });
  const all = Object.fromEntries(LAB_READINGS.map((r) => [r, 1]));
  expect(readLab(lab({ values: all })).notJudged).toEqual([{ reading: 'baseMgKohG', why: 'noLimitForThisOil' }]);
});

test('limits of one’s own: an ester gets a number, a mineral oil’s saturation is silenced', () => {
  const own = resolveOilLimits({ 'labWaterPpm.beforeNextRun': 800 });
  const ester = { base: 'ester', waterBehaviour: 'demulsifying', densityKgM3: 960 } as const;
  expect(readLab(lab({ values: { waterPpm: 900 }, product: ester, limits: own }))).toMatchObject({
    level: 'beforeNextRun',
    findings: [{ code: 'labWater', limitPpm: 800, saturatedAtC: null }],
    notJudged: [],
  });
  const quiet = resolveOilLimits({ 'labWater.overSaturation20': 'runOn' });
  expect(readLab(lab({ values: { waterPpm: 100 }, limits: quiet })).level).toBe('runOn');
});

test('a rate needs hours and earlier charges to be held against', () => {
  const charge = { hours: 200, runningOilTempC: 70, earlierIronRates: [2, 2, 2], ...EARLIER, glitterSeen: false };
  const codes = (given: Partial<JudgedLab['charge']>) =>
    readLab(lab({ values: { ironPpm: 12 }, charge: { ...charge, ...given } })).findings.map((f) => f.code);
  expect(codes({})).toEqual(['ironRate']);
  expect(codes({ hours: 10 })).toEqual([]);
  expect(codes({ earlierIronRates: [2, 2] })).toEqual([]);
});

/** Upper ends of the classes as the table of ISO 4406 has them. */
test.each([
  ['21/18/14', [20_000, 2500, 160]],
  ['19/17/14', [5000, 1300, 160]],
  ['ISO 4406: 16/14/11', [640, 160, 20]],
  ['22 / 22 / 22', [40_000, 40_000, 40_000]],
  ['7/6/4', [1.3, 0.64, 0.16]],
  ['14/17/19', null],
  ['19/17', null],
  ['29/17/14', null],
  ['clean', null],
  ['', null],
])('the code %j stands for at most %j particles per mL', (code, counts) => {
  expect(countsOfIso4406(code)).toEqual(counts);
});

test('what a code stands for makes the same code again, for every class', () => {
  for (let number = 0; number <= 28; number++) {
    const code = `${number}/${number}/${number}`;
    const counts = countsOfIso4406(code);
    expect(counts && iso4406Code({ counts: [...counts] })).toBe(code);
  }
});
