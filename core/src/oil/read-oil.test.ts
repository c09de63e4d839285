import fc from 'fast-check';
import { CLARITIES, FOAMS, LEVELS, LOOK_SOURCES, PARTICLE_AMOUNTS, SMELLS, type LookBody } from '../journal/index.js';
import { confidenceOf } from './confidence.js';
import { VERDICT_LEVELS, type VerdictLevel } from '../limits/verdict-level.js';
import { nextLook } from './next-look.js';
import { OIL_LIMITS, resolveOilLimits } from '../limits/oil-limits.js';
import { readOil } from './read-oil.js';
import type { ChargeSeen } from './judge.js';
import { whatWouldChange } from './what-would-change.js';

const rank = (level: VerdictLevel) => VERDICT_LEVELS.indexOf(level);
const maybe = <T>(of: readonly T[]) => fc.option(fc.constantFrom(...of), { nil: null });

const products = fc.record({
  base: fc.constantFrom('mineral', 'synthetic', 'ester', 'pfpe'),
  waterBehaviour: fc.constantFrom('demulsifying', 'detergent'),
  freshColour: fc.constantFrom(0.5, 1, 2),
  densityKgM3: fc.constantFrom(870, 920, 1890),
});
const charges: fc.Arbitrary<ChargeSeen> = fc.record({
  number: fc.integer({ min: 0, max: 5 }),
  chargeMl: fc.integer({ min: 300, max: 5000 }),
  runs: fc.integer({ min: 0, max: 9 }),
  startColour: maybe([0.5, 1, 3]),
  waterTakenOutMl: fc.integer({ min: 0, max: 200 }),
  expectedWaterMl: fc.option(fc.integer({ min: 0, max: 60 }), { nil: null }),
  purgedSinceSeen: fc.boolean(),
  addedSinceLevel: fc.boolean(),
  productChanged: fc.boolean(),
  pumpHours: maybe([10, 99, 400]),
  gone: fc.option(
    fc.record({
      answered: fc.constant([]),
      number: fc.constant(1),
      runs: fc.integer({ min: 0, max: 6 }),
      startColour: maybe([1, 2]),
      chargeMl: fc.constant(900),
      waterTakenOutMl: fc.constant(20),
      expectedWaterMl: fc.constantFrom(null, 5, 40),
    }),
    { nil: null },
  ),
});
const looks: fc.Arbitrary<LookBody> = fc.record({
  sump: fc.constant('oil' as const),
  source: fc.constantFrom(...LOOK_SOURCES),
  lookedAtMl: fc.integer({ min: 100, max: 900 }),
  hoursStood: fc.constantFrom(0, 0.17, 2, 20, 60),
  jarTempC: maybe([5, 20, 40]),
  level: maybe(LEVELS),
  colour: maybe([0.5, 1.5, 3, 4.5, 8]),
  clarity: maybe(CLARITIES),
  freeWaterMl: fc.option(fc.integer({ min: 0, max: 90 }), { nil: null }),
  sludgeMl: fc.option(fc.integer({ min: 0, max: 60 }), { nil: null }),
  creamMl: fc.option(fc.integer({ min: 0, max: 60 }), { nil: null }),
  particles: maybe(PARTICLE_AMOUNTS),
  smell: maybe(SMELLS),
  foam: maybe(FOAMS),
});
const contexts = fc.record({ look: looks, product: products, charge: charges, limits: fc.constant(OIL_LIMITS) });

const neverMilder = (worse: (look: LookBody) => LookBody) =>
  fc.assert(
    fc.property(contexts, (context) => {
      const before = readOil(context).level;
      const after = readOil({ ...context, look: worse(context.look) }).level;
      expect(rank(after)).toBeGreaterThanOrEqual(rank(before));
    }),
    { numRuns: 400 },
  );

test.each<[string, (look: LookBody) => LookBody]>([
  ['more water', (l) => ({ ...l, freeWaterMl: (l.freeWaterMl ?? 0) + 20 })],
  ['more cream', (l) => ({ ...l, creamMl: (l.creamMl ?? 0) + 20 })],
  ['more sludge', (l) => ({ ...l, sludgeMl: (l.sludgeMl ?? 0) + 8 })],
  ['more particles', (l) => ({ ...l, particles: l.particles === 'few' ? 'many' : (l.particles ?? 'few') })],
  [
    'glitter among them',
    (l) => ({ ...l, particles: l.particles === 'many' ? 'many' : 'few', particleKinds: ['glitter'] }),
  ],
  ['a worse smell', (l) => ({ ...l, smell: l.smell === 'none' || !l.smell ? 'rancid' : 'solvent' })],
  ['water at the pick-up', (l) => ({ ...l, waterAtPickUp: true })],
  ['foam that stays', (l) => ({ ...l, foam: 'stays' })],
])('%s never makes a verdict milder', (_what, worse) => {
  neverMilder(worse);
});

test('the level is that of the worst finding, and its act is the verdict’s', () => {
  fc.assert(
    fc.property(contexts, (context) => {
      const { level, act, findings } = readOil(context);
      expect(rank(level)).toBe(Math.max(0, ...findings.map((f) => rank(f.level))));
      expect(act).toBe(findings[0]?.act ?? null);
      expect(findings.map((f) => rank(f.level))).toEqual(findings.map((f) => rank(f.level)).sort((a, b) => b - a));
    }),
  );
});

const LOOK: LookBody = { sump: 'oil', source: 'sample', lookedAtMl: 300, hoursStood: 60 };
const CONTEXT = {
  look: LOOK,
  product: { base: 'mineral', waterBehaviour: 'demulsifying', freshColour: 1, densityKgM3: 870 },
  charge: {
    number: 2,
    chargeMl: 700,
    runs: 4,
    startColour: 1,
    waterTakenOutMl: 0,
    expectedWaterMl: null,
    purgedSinceSeen: false,
    addedSinceLevel: true,
    productChanged: false,
    pumpHours: null,
    gone: null,
  },
  limits: OIL_LIMITS,
} as const;

test('a limit of the pump lies over the oil’s, and that over the house’s', () => {
  const limits = resolveOilLimits(
    { 'waterPercent.lookSooner': 4, 'smell.rancid': 'beforeNextRun' },
    { 'waterPercent.lookSooner': 1 },
    { 'waterPercent.stop': null },
  );
  const level = (look: Partial<LookBody>) => readOil({ ...CONTEXT, limits, look: { ...LOOK, ...look } }).level;
  expect(level({ freeWaterMl: 8 })).toBe('lookSooner');
  expect(level({ freeWaterMl: 200 })).toBe('beforeNextRun');
  expect(level({ smell: 'rancid' })).toBe('beforeNextRun');
});

test('what would change it: the nearest values, harder and milder', () => {
  const tips = whatWouldChange({ ...CONTEXT, look: { ...LOOK, freeWaterMl: 20, colour: 1 } });
  // 700 mL: 2 % is 14 mL, 5 % is 35 mL; half of the cream counts as water, any cream asks for a look.
  expect(tips).toContainEqual({ reading: 'freeWaterMl', from: 20, to: 36, level: 'beforeNextRun', act: 'change' });
  expect(tips).toContainEqual({ reading: 'freeWaterMl', from: 20, to: 14, level: 'runOn', act: null });
  expect(tips).toContainEqual({ reading: 'sludgeMl', from: 0, to: 7, level: 'beforeNextRun', act: 'flush' });
  expect(tips).toContainEqual({ reading: 'colour', from: 1, to: 4, level: 'beforeNextRun', act: 'change' });
});

test('every tipping value does tip, and the one before it does not', () => {
  fc.assert(
    fc.property(contexts, (context) => {
      const now = readOil(context).level;
      for (const tip of whatWouldChange(context)) {
        expect(readOil({ ...context, look: { ...context.look, [tip.reading]: tip.to } }).level).toBe(tip.level);
        expect(tip.level).not.toBe(now);
        if (tip.reading === 'freeWaterMl' && tip.to > tip.from + 1)
          expect(readOil({ ...context, look: { ...context.look, freeWaterMl: tip.to - 1 } }).level).toBe(now);
      }
    }),
    { numRuns: 150 },
  );
});

test('a cloudy jar that has not settled warns; settled it would be a change', () => {
  const look = { ...LOOK, hoursStood: 3, clarity: 'cloudy' as const };
  const reading = readOil({ ...CONTEXT, look });
  expect(reading.level).toBe('lookSooner');
  const settled = whatWouldChange({ ...CONTEXT, look }).find((t) => t.reading === 'hoursStood');
  expect(settled).toMatchObject({ from: 3, to: reading.settling.neededHours, level: 'beforeNextRun' });
  expect(nextLook({ look, reading })).toEqual({
    when: 'onceSettled',
    inHours: reading.settling.neededHours - 3,
    at: ['water', 'cream', 'clarity'],
  });
});

test.each<[Partial<LookBody>, string, string[]]>([
  [{ clarity: 'bright', colour: 1, smell: 'none' }, 'firm', []],
  [{ clarity: 'bright', colour: 1, hoursStood: 3 }, 'early', ['notSettled']],
  [{ source: 'sightGlass', clarity: 'bright', colour: 1 }, 'fair', ['sightGlassOnly']],
  [{ lookedAtMl: 15, clarity: 'bright', colour: 1 }, 'fair', ['smallSample']],
  [{ clarity: 'bright' }, 'fair', ['littleSaid']],
])('a look saying %j is %s', (seen, word, doubts) => {
  const context = { ...CONTEXT, look: { ...LOOK, ...seen } };
  expect(confidenceOf(context, readOil(context))).toEqual({ word, doubts });
});

test('after a verdict that asks for an act the next look comes after it', () => {
  const next = (seen: Partial<LookBody>) => {
    const look = { ...LOOK, ...seen };
    return nextLook({ look, reading: readOil({ ...CONTEXT, look }) });
  };
  expect(next({ freeWaterMl: 40 })).toEqual({ when: 'afterTheAct', at: ['water'] });
  expect(next({ smell: 'rancid' })).toEqual({ when: 'afterNextRun', at: ['smell'] });
  expect(next({ smell: 'none' })).toEqual({ when: 'asUsual', at: [] });
});
