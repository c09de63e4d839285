import { NO_TRACE, placeAt, pointsIn, withReadings, type Trace } from './trace.js';

const traceOf = (values: readonly number[], everyMs = 100): Trace => ({
  atMs: values.map((_, i) => i * everyMs),
  value: values,
});

test('what comes is put behind what is there; what is sent late is left to the next fetch', () => {
  const trace = withReadings(
    withReadings(NO_TRACE, [
      [100, 1],
      [200, 2],
    ]),
    [
      [150, 9],
      [300, 3],
    ],
  );
  expect(trace).toEqual({ atMs: [100, 200, 300], value: [1, 2, 3] });
  expect(withReadings(trace, [[250, 9]])).toBe(trace);
});

test('a trace does not grow for ever', () => {
  const long = withReadings(traceOf(Array.from({ length: 20_000 }, () => 1)), [[9e9, 7]]);
  expect(long.atMs).toHaveLength(20_000);
  expect([long.atMs[0], long.value.at(-1)]).toEqual([100, 7]);
});

test.each([
  [0, 0],
  [50, 1],
  [100, 1],
  [101, 2],
  [999, 3],
])('the first place at or behind %i is %i', (ms, place) => expect(placeAt([0, 100, 200], ms)).toBe(place));

test('few readings are shown as they are, within the window alone', () => {
  const points = pointsIn(traceOf([5, 6, 7, 8]), { fromMs: 100, toMs: 300 });
  expect(points).toEqual([
    { ms: 100, value: 6 },
    { ms: 200, value: 7 },
  ]);
});

test('of many no peak is lost, and where it lies does not move while the window moves on', () => {
  const values = Array.from({ length: 18_000 }, (_, i) => (i === 9001 ? 500 : i === 9500 ? 0.01 : 3));
  const at = (fromMs: number) => pointsIn(traceOf(values), { fromMs, toMs: fromMs + 1_500_000 });
  for (const fromMs of [0, 100, 700]) {
    const points = at(fromMs);
    expect(points.length).toBeLessThan(900);
    expect(points).toContainEqual({ ms: 900_100, value: 500 });
    expect(points).toContainEqual({ ms: 950_000, value: 0.01 });
  }
});

test('a silence is a gap', () => {
  const trace = { atMs: [0, 100, 60_000, 60_100], value: [1, 2, 3, 4] };
  const points = pointsIn(trace, { fromMs: 0, toMs: 120_000 });
  expect(points.map((p) => p.value)).toEqual([1, 2, null, 3, 4]);
});
