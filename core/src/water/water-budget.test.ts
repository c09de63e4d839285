import { bookOf, at, runAt } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { waterBudget } from './water-budget.js';

const setUp = bookOf().pumpAt({ pumpId: 'p1', instant: at(1) })!;
const { body } = runAt(1, 20, 'any-empty', { body: { trapTempC: -90 } }) as Extract<Entry, { kind: 'run' }>;
/** A trap so cold that nothing passes: what is found then is scatter of the reading alone, 2 mL. */
const nothingPasses = { body, minutes: 1200, equipment: setUp.equipment, model: setUp.model };
const budget = (foundMl: number) =>
  waterBudget({ runs: [nothingPasses], expectedUl: 0, foundMl, fit: null, setUpEfficiency: 1 });

test('where nothing is expected, the interval is that of a reading that is good to 2 mL', () => {
  expect(budget(0).expectedMl).toBeCloseTo(0, 1);
  // 1.645 x 2 mL.
  expect(budget(0)).toMatchObject({ expectedLowMl: 0, expectedHighMl: expect.closeTo(3.29, 1) as number });
});

// Well outside the interval: 1.7 x 1.645 x 2 mL = 5.6 mL.
test.each([
  [0, 'asExpected'],
  [5.5, 'asExpected'],
  [5.7, 'more'],
])('%f mL where nothing is expected: %s', (foundMl, says) => {
  expect(budget(foundMl).says).toBe(says);
});
