import { DIAGNOSIS_CASES } from '../testing/diagnosis-cases.js';

test('the table has 15 complaints of each process, none of one fact alone', () => {
  const count = (process: string): number => DIAGNOSIS_CASES.filter((c) => c.process === process).length;
  expect(['freezeDrying', 'packaging', 'composites', 'industrial'].map(count)).toEqual([15, 15, 15, 15]);
  expect(DIAGNOSIS_CASES.filter((c) => Object.keys(c.found).length < 3).map((c) => c.story)).toEqual([]);
});
