import { VACUUM_CASES } from '../testing/vacuum-cases.js';

test('each story has a name of its own', () => {
  expect(new Set(VACUUM_CASES.map((c) => c.name)).size).toBe(VACUUM_CASES.length);
});
