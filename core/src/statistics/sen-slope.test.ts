import { senSlope } from './sen-slope.js';

// By Gilbert (1987): of four without ties the variance of S is 8.667, C = 1.2816 · 2.944 = 3.773; of six pairs the lower end is number
// (6 - 3.773) / 2 = 1.1, the upper one number (6 + 3.773) / 2 + 1 = 5.9, both taken outwards.
test('by hand: of 10, 15, 14, 20 the pairs are -1, 2, 2.5, 3.33, 5, 6', () => {
  expect(senSlope([0, 1, 2, 3], [10, 15, 14, 20])).toEqual({
    p10: -1,
    p50: expect.closeTo(35 / 12, 9) as number,
    p90: 6,
  });
});

test('a straight line with one reading in five far off', () => {
  const at = Array.from({ length: 50 }, (_, i) => i);
  const found = senSlope(
    at,
    at.map((x) => 3 + 0.5 * x + (x % 5 === 2 ? 400 : 0)),
  );
  expect(found?.p50).toBeCloseTo(0.5, 6);
  expect(found!.p10).toBeLessThanOrEqual(0.5);
  expect(found!.p90).toBeGreaterThanOrEqual(0.5);
});

test.each([
  ['two', [0, 1], [1, 2]],
  ['all at one time', [1, 1, 1], [1, 2, 3]],
])('%s tell nothing', (_, at, values) => {
  expect(senSlope(at, values)).toBeNull();
});
