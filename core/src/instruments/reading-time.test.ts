import { readingTimes, type OwnClock } from './reading-time.js';

const T = Date.UTC(2031, 2, 9, 8);
const S = 1000;
const MIN = 60 * S;

/** Where each of these readings counts, in seconds since T; given as [said, came] in seconds since T. */
function counts(readings: readonly (readonly [said: number | null, came: number])[]): number[] {
  let clock: OwnClock<number> | null = null;
  const at: number[] = [];
  readings.forEach(([said, came], i) => {
    const read = readingTimes(clock, { saidMs: said === null ? null : T + said * S, cameMs: T + came * S, of: i });
    clock = read.clock;
    for (const { atMs, of } of read.placed) at[of] = (atMs - T) / S;
  });
  return at;
}
const each = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, i) => from + i);

test('without a clock a reading counts when it came', () => {
  expect(
    counts([
      [null, 0],
      [null, 7],
    ]),
  ).toEqual([0, 7]);
});

test('with a clock that is right it counts at its own time', () => {
  expect(
    counts([
      [0, 1],
      [10, 12],
    ]),
  ).toEqual([0, 10]);
});

test('what was kept while the network was down counts at its own time', () => {
  // Down from 60 to 360; then a hundred a second.
  const before = each(0, 60).map((s) => [s, s] as const);
  const late = each(60, 360).map((s, i) => [s, 360 + i / 100] as const);
  const after = each(364, 380).map((s) => [s, s] as const);
  expect(counts([...before, ...late, ...after])).toEqual([...each(0, 360), ...each(364, 380)]);
});

test('what is sent late between readings of now counts at its own time', () => {
  const now = each(0, 20).map((s) => [s, s] as const);
  const late = each(0, 40).map((i) => [-600 + i, 5.01 + i * 0.02] as const);
  const at = counts([...now.slice(0, 6), ...late, ...now.slice(6)]);
  expect(at.slice(6, 46)).toEqual(each(-600, -560));
  expect(at.slice(46)).toEqual(each(6, 20));
});

test('a clock that is set back an hour does not put what comes into the past', () => {
  const before = each(0, 60).map((s) => [s, s] as const);
  const after = each(60, 200).map((s) => [s - 3600, s] as const);
  expect(counts([...before, ...after])).toEqual(each(0, 200));
});

test('a clock that jumps an hour ahead does not put what comes into the future', () => {
  const after = each(60, 200).map((s) => [s + 3600, s] as const);
  expect(counts([[0, 0], ...after])).toEqual([0, ...each(60, 200)]);
});

test('a clock that was always wrong is found out within ten readings', () => {
  const at = counts(each(0, 60).map((s) => [s - 900, s] as const));
  expect(at.slice(10)).toEqual(each(10, 60));
});

test('a clock that is put right is believed again', () => {
  const wrong = each(0, 60).map((s) => [s - 3600, s] as const);
  expect(counts([...wrong, [60, 61]]).at(-1)).toBe(60);
});

test('an impossible stamp counts when it came: 1970, and the year 2100', () => {
  expect(
    counts([
      [-T / S, 5],
      [70 * 365 * 24 * 3600, 6],
    ]),
  ).toEqual([5, 6]);
  expect(readingTimes(null, { saidMs: 0, cameMs: T, of: 0 }).wrongByMs).toBe(-T);
  expect(readingTimes(null, { saidMs: T - 8 * 24 * 60 * MIN, cameMs: T, of: 0 }).placed).toEqual([{ atMs: T, of: 0 }]);
});
