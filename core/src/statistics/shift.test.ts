import { seededRandom } from '../simulate/index.js';
import { shiftBetween } from './shift.js';

// By hand: differences of {4, 5, 6} and {1, 2, 3} are 1, 2, 2, 3, 3, 3, 4, 4, 5; rank 4.5 − 1.28 √5.25 = 1.56, so the second and the eighth.
test('of three and three', () => {
  expect(shiftBetween({ before: [2, 1, 3], after: [5, 6, 4] })).toEqual({ p10: 2, p50: 3, p90: 4 });
});

test('of fewer than three nothing is said', () => {
  expect(shiftBetween({ before: [1, 2], after: [5, 6, 4, 7] })).toBeNull();
  expect(shiftBetween({ before: [1, 2, 3, 4], after: [5, 6] })).toBeNull();
});

test('its interval holds what was made of it about eight times in ten', () => {
  const random = seededRandom(4);
  const noisy = (): number => random.next() + random.next() + random.next();
  let held = 0;
  for (let i = 0; i < 400; i++) {
    const shift = shiftBetween({
      before: Array.from({ length: 6 }, noisy),
      after: Array.from({ length: 7 }, () => noisy() - 2),
    });
    if (shift && shift.p10 <= -2 && shift.p90 >= -2) held += 1;
  }
  expect(held / 400).toBeGreaterThan(0.74);
  expect(held / 400).toBeLessThan(0.9);
});
