import { vacuumRecord, type Entry, type VacuumLimits, type VacuumSeries } from '@winter-jar/core';
import { creepWords, recordThen, recordWords, standingWords, standsWords, valueWords } from './vacuum-record-words.js';

const print = {
  volume: (ml: number) => `${ml} mL`,
  pressure: (pa: number) => `${pa} Pa`,
  temperature: (c: number) => `${c} °C`,
  flow: (v: number) => `${v} m³/h`,
  duration: (m: number) => `${m} min`,
};
const words = { print, zone: 'UTC', now: '2026-03-01T00:00:00.000Z' };
const LIMITS: VacuumLimits = {
  ...{ leak: null, moisture: null, chamber: null, blankOff: 5, speed: null, bagRise: null, pullDown: null },
};
/** Blanked off, day by day. */
const series = (...pa: number[]): VacuumSeries => {
  const entries = pa.map(
    (value, i) =>
      ({
        ...{ id: String(i), kind: 'test', happenedAt: `2026-01-${String(i + 1).padStart(2, '0')}T00:00:00.000Z` },
        subjects: [{ type: 'pump', id: 'p' }],
        body: { findings: [], measured: [{ pa: value, where: 'pump', ballast: 'closed' }] },
      }) as unknown as Entry,
  );
  return vacuumRecord({ entries, limits: LIMITS, pumpId: 'p' }).series[0]!;
};

test.each([
  [[3], 'the first one here'],
  [[3, 3], 'the same as all 2'],
  [[3, 4, 1], 'the lowest of 3'],
  [[3, 4, 9], 'the highest of 3'],
  [[1, 2, 4, 5, 6, 3], '3rd lowest of 6'],
  [[1, 2, 3, 5, 9, 6], '2nd highest of 6'],
  // It shares the highest place.
  [[1, 9, 9], 'the highest of 3'],
])('the last of %j is %s', (values, expected) => expect(standingWords(series(...values))).toBe(expected));

test.each([
  ['over its limit, though it falls', [9, 8, 7, 6.5, 6], 'over its limit', 'The pump by itself is over its limit'],
  ['creeps below its limit', [1, 1.1, 1.2, 1.3, 1.4], 'creeping up', 'The pump’s own pressure is creeping up'],
  ['quiet', [1, 1.3, 1.1, 1.2, 1], 'within its limit', 'Within its limits'],
])('%s', (_, values, stands, record) => {
  const one = series(...values);
  expect(standsWords(one)).toBe(stands);
  expect(recordWords([one])).toBe(record);
  expect(recordThen([one]) !== null).toBe(record !== 'Within its limits');
});

test('a trend in words: 10 % a test, by hand; of four tests nothing is said', () => {
  const creep = creepWords(series(1, 1.1, 1.21, 1.331, 1.4641), words);
  expect(creep).toMatch(/^creeping up: 10 % a test, 5 tests since /);
  expect(creepWords(series(1, 1.1, 1.21, 1.331), words)).toBeNull();
});

test.each([
  ['leak', 1.6e-4, '0.16 Pa·L/s'],
  ['speed', 6, '6 m³/h'],
  ['pullDown', 12.1, '12 s'],
  ['pullDown', 150, '2 min 30'],
  ['bagRise', 2000, '2000 Pa'],
] as const)('%s of %d is %s', (of, value, expected) => expect(valueWords(of, value, print)).toBe(expected));
