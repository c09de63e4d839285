import { ownLimit } from './own-limit.js';
import { trendOf } from './trend.js';

// Computed independently with scipy 1.17: kendalltau(method="exact"), theilslopes, and the tie-corrected variance by hand.
test.each([
  {
    of: 'rising',
    values: [2.1, 2.6, 2.4, 3.3, 3.1, 4.0, 4.4, 4.1, 5.2],
    s: 30,
    p: 0.000854277,
    slope: 0.3690476,
    verdict: 'rising',
  },
  {
    of: 'falling, just not certain',
    values: [9.1, 8.7, 8.9, 7.2, 6.8, 6.9],
    s: -11,
    p: 0.05555556,
    slope: -0.45,
    verdict: 'none',
  },
  { of: 'no row', values: [3.0, 1.0, 2.5, 1.7, 2.8, 1.2, 2.2], s: -3, p: 0.77261905, slope: -0.075, verdict: 'none' },
  {
    of: 'tied values',
    values: [1, 1, 2, 2, 2, 3, 3, 4, 4, 5, 5, 6],
    s: 59,
    p: 5.102194e-5,
    slope: 0.4772727,
    verdict: 'rising',
  },
  { of: 'all alike', values: [2, 2, 2, 2, 2, 2], s: 0, p: 1, slope: 0, verdict: 'none' },
  {
    of: 'fifteen',
    values: [5.2, 4.9, 5.6, 6.1, 5.8, 6.4, 6.0, 6.9, 7.3, 6.6, 7.1, 7.7, 7.4, 8.3, 8.0],
    s: 87,
    p: 9.951377e-7,
    slope: 0.22,
    verdict: 'rising',
  },
])('Mann-Kendall and Sen’s slope: $of', ({ values, s, p, slope, verdict }) => {
  const trend = trendOf({ values });
  expect(trend).toMatchObject({ n: values.length, s, verdict });
  expect(Math.abs(trend.p / p - 1)).toBeLessThan(0.005);
  expect(trend.slope).toBeCloseTo(slope, 6);
});

test('falling is the mirror of rising', () => {
  const values = [2.1, 2.6, 2.4, 3.3, 3.1, 4.0, 4.4, 4.1, 5.2];
  const up = trendOf({ values });
  expect(trendOf({ values: values.map((v) => -v) })).toEqual({ ...up, s: -30, slope: -up.slope, verdict: 'falling' });
});

test('four charges say nothing, however steep', () => {
  expect(trendOf({ values: [1, 2, 3, 4] }).verdict).toBe('tooFew');
  expect(trendOf({ values: [] })).toMatchObject({ n: 0, verdict: 'tooFew', slope: 0 });
});

test('a value that is none is refused by its place', () => {
  expect(() => trendOf({ values: [1, NaN, 3] })).toThrow('values: number 2 is NaN');
});

test('what is usual for a pump, from five charges on', () => {
  expect(ownLimit({ values: [2, 3, 2.5, 3.5], leastSpread: 0.5 })).toBeNull();
  expect(ownLimit({ values: [2, 3, 2.5, 3.5, 3], leastSpread: 0.5 })?.limit).toBeCloseTo(5.2239, 4);
  const robust = ownLimit({ values: [4, 9, 6, 5, 30, 7], leastSpread: 1 });
  expect(robust?.usual).toBe(6.5);
  expect(robust?.limit).toBeCloseTo(15.3956, 4);
  expect(ownLimit({ values: [3, 3, 3, 3, 3], leastSpread: 0.5 })).toEqual({ usual: 3, limit: 3.75 });
});
