import { seededRandom } from '../simulate/index.js';
import { afterFlushFill, dirtyHousing, readingOf, type DirtyHousing } from '../testing/dirty-housings.js';
import { colourAbsorbance, DIRT_SCALES } from './dirt-scales.js';
import { flushPlan, MOST_FILLS, type FlushInput } from './flush-plan.js';

const EFFORT = {
  fill: { litres: 1, minutes: 28, hours: 1, money: 40 },
  wash: { litres: 2, minutes: 85, hours: 2, money: 110 },
};
const plan = (input: Partial<FlushInput>) =>
  flushPlan({ start: 4, target: 0.1, readings: [], holdUp: 0.1, coarse: 0.02, ...EFFORT, ...input });

// By hand: 4, 0.4, 0.04 with a tenth left each time; the new charge is the last fill.
test.each<[string, Partial<FlushInput>, number]>([
  ['0.4 is too much, 0.04 is not: one fill and the new charge', {}, 1],
  ['1 to 0.1: the new charge alone', { start: 1 }, 0],
  ['a quarter stays: 4, 1, 0.25, 0.0625', { holdUp: 0.25 }, 2],
  ['half stays: 4 · 0.5^6 = 0.0625', { holdUp: 0.5 }, 5],
  ['nothing in it', { start: 0 }, 0],
  ['nearly all stays: it never ends', { holdUp: 0.99 }, MOST_FILLS],
])('at best, %s', (_, input, fills) => {
  expect(plan(input).atBest).toBe(fills);
});

// What is read in the jars, and what somebody who has flushed many housings would say of it.
test.each<[string, Partial<FlushInput>, ReturnType<typeof plan>['verdict']]>([
  ['not begun: a fill', {}, 'fillOnce'],
  ['as it should go: the new charge', { readings: [0.4] }, 'newCharge'],
  ['a tenth and a tenth', { readings: [0.4, 0.04] }, 'newCharge'],
  ['no cleaner after two: wash', { readings: [3.8, 3.6] }, 'wash'],
  ['a third, and then it stays: wash', { readings: [1.3, 1.2] }, 'wash'],
  ['it goes, if slowly: once more', { readings: [1.2, 0.4] }, 'fillOnce'],
  ['a wash costs ten fills: once more', { readings: [1.6, 0.9], wash: { ...EFFORT.wash, money: 400 } }, 'fillOnce'],
  [
    'nobody has said what oil costs: by the hours',
    { readings: [3.8, 3.6], fill: { ...EFFORT.fill, money: null } },
    'wash',
  ],
  ['nobody read the first: the second says it', { readings: [null, 0.04] }, 'newCharge'],
  ['it was clean already', { start: 0.02, target: 0.1 }, 'newCharge'],
])('%s', (_, input, verdict) => {
  expect(plan(input).verdict).toBe(verdict);
});

test('what the walls give: of 4 a fill should leave 0.4, and 1.2 are there, so a fifth of the start', () => {
  const { release, left } = plan({ readings: [1.2, 1.1] });
  expect(release!.low).toBeGreaterThan(0.1);
  expect(release!.high).toBeLessThan(0.3);
  expect(left).toBeCloseTo(1.1 / 4, 9);
  expect(plan({ readings: [0.4, 0.04] }).release!.high).toBeLessThan(0.01);
});

// Of 100 % of an old product: 8, 0.64; and with a filter that is not renewed 25, 6.25, 1.56, 0.39.
test.each([
  [0.08, 1, 3],
  [0.25, 3, 6],
])(
  'an old product leaves a film, no deposits: %d stays, at best %d fills before the first charge',
  (holdUp, best, most) => {
    const { atBest, fills } = plan({ start: 100, target: 1, coarse: 0.5, holdUp, film: true });
    expect(atBest).toBe(best);
    expect(fills[1]).toBeGreaterThanOrEqual(best);
    expect(fills[1]).toBeLessThanOrEqual(most);
  },
);

test('more readings narrow what is expected', () => {
  const width = (readings: readonly number[]) => {
    const [low, , high] = plan({ start: 8, target: 0.05, readings }).fills;
    return high - low;
  };
  expect(width([])).toBeGreaterThan(width([1.6, 0.5, 0.2]));
});

test.each([
  ['start', { start: -1 }],
  ['target', { target: 0 }],
  ['holdUp', { holdUp: 1 }],
  ['start', { start: NaN }],
])('%s that cannot be', (key, input) => {
  expect(() => plan(input)).toThrow(new RegExp(`^${key}: `));
});

// ASTM D1500, table 1: -log10 of 0.86, 0.55 and 0.0025, by a pocket calculator.
test.each([
  [0, 0],
  [0.5, 0.0655],
  [2, 0.2596],
  [8, 2.6021],
  [1.75, (0.1739 + 0.2596) / 2],
])('colour %d absorbs %d', (colour, absorbance) => {
  expect(colourAbsorbance(colour)).toBeCloseTo(absorbance, 3);
});

test('fresh oil has no dirt, one number of ISO 4406 more is twice as many', () => {
  expect(DIRT_SCALES.colour.dirtOf(1, { base: 'mineral', dyed: false, freshColour: 1.5 })).toBe(0);
  expect(DIRT_SCALES.particles.dirtOf(17, null) / DIRT_SCALES.particles.dirtOf(16, null)).toBe(2);
  expect(DIRT_SCALES.colour.fits({ base: 'pfpe', dyed: false, freshColour: 0.5 })).toBe(false);
});

test('of the dirt of a simulated housing nothing is lost', () => {
  const random = seededRandom(3);
  for (let n = 0; n < 50; n += 1) {
    let housing = dirtyHousing(random, 3);
    const all = ({ inOil, corners, inCorners, onWalls }: DirtyHousing) => inOil + corners * inCorners + onWalls;
    for (let fill = 0; fill < 5; fill += 1) {
      const drained = (1 - housing.holdUp) * housing.inOil;
      const next = afterFlushFill(housing);
      expect(all(next)).toBeCloseTo(all(housing) - drained, 9);
      housing = next;
    }
  }
});

// Sixty here; five hundred in `npm run bench`.
test('wash first is said when, and only when, it is cheaper by the true course of the housing', () => {
  const random = seededRandom(11);
  const verdicts = Array.from({ length: 60 }, () => washFirstIsRight(random));
  expect(verdicts.filter((right) => right).length).toBeGreaterThanOrEqual(54);
});

function washFirstIsRight(random: ReturnType<typeof seededRandom>): boolean {
  let housing = dirtyHousing(random, random.between([1, 8]));
  const [target, coarse] = [0.2, 0.05];
  const start = readingOf(random, housing, coarse);
  const readings: number[] = [];
  for (;;) {
    const { verdict } = plan({ start, target, coarse, readings, holdUp: housing.holdUp });
    if (verdict !== 'fillOnce' || readings.length === 2) {
      const isCheaper = fillsTrulyWanted(housing, target) * EFFORT.fill.money > EFFORT.wash.money;
      return isCheaper === (verdict === 'wash');
    }
    housing = afterFlushFill(housing);
    readings.push(readingOf(random, housing, coarse));
  }
}

function fillsTrulyWanted(housing: DirtyHousing, target: number): number {
  let next = afterFlushFill(housing);
  for (let fills = 0; fills < 60; fills += 1) {
    if (next.inOil <= target) return fills;
    next = afterFlushFill(next);
  }
  return 60;
}
