import { filterBrought } from './filter-brought.js';
import type { ChargeStory } from './oil-story.js';

const month = (i: number): string => new Date(Date.UTC(2031, i, 1)).toISOString();
/** A charge for each month; the last goes on. */
const charge = (number: number, runs: number, last = false): ChargeStory => ({
  ...{ number, since: month(number), until: last ? null : month(number + 1), productId: 'oil', runs },
  ...{ weightMilli: runs * 1000, startColour: null, points: [], lab: {} },
});
const runs = [6, 7, 5, 6, 9, 11, 10, 12, 3];
const charges = runs.map((n, i) => charge(i, n, i === runs.length - 1));
const iron = {
  measure: 'ironPpmPer100h',
  values: [8, 9, 7, 8, 6, 3, 4, 2].map((value, number) => ({ number, value })),
} as const;

test('what ended before is held against what began since; the charge in between says nothing, nor the one that goes on', () => {
  const [longer, cleaner, ...more] = filterBrought({ charges, trends: [iron], fittedAt: '2031-05-15T00:00:00.000Z' });
  // Four before: 6, 7, 5, 6. Three since: 11, 10, 12.
  expect(longer).toMatchObject({ measure: 'runs', before: 6, after: 11, charges: [4, 3] });
  expect(longer?.shift.p50).toBe(5);
  expect(cleaner).toMatchObject({ measure: 'ironPpmPer100h', before: 8, after: 3, charges: [4, 3] });
  expect(cleaner?.shift.p90).toBeLessThan(0);
  expect(more).toEqual([]);
});

test('with fewer than three charges on a side nothing is said', () => {
  expect(filterBrought({ charges, trends: [iron], fittedAt: month(7) })).toEqual([]);
  expect(filterBrought({ charges, trends: [iron], fittedAt: month(2) })).toEqual([]);
});
