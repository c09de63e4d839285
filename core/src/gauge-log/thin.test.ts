import { thinned } from './thin.js';

test('of a hundred thousand readings some hundred are left, the peak and the dip among them', () => {
  const n = 100_000;
  const s = Float64Array.from({ length: n }, (_, i) => i);
  const pa = Float64Array.from({ length: n }, (_, i) => (i === 54_321 ? 900 : i === 12_345 ? 0.1 : 10));
  const { s: at, pa: left } = thinned({ s, pa }, 400);
  expect(left.length).toBeLessThanOrEqual(402);
  expect(at[left.indexOf(900)]).toBe(54_321);
  expect(at[left.indexOf(0.1)]).toBe(12_345);
  expect([...at].every((t, i) => i === 0 || t > (at[i - 1] ?? 0))).toBe(true);
});

test('few readings stay as they are', () => {
  const few = { s: Float64Array.of(0, 1, 2), pa: Float64Array.of(3, 2, 1) };
  expect(thinned(few, 400)).toEqual(few);
});
