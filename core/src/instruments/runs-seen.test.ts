import type { PumpSetUp } from '../set-up/index.js';
import { loadAbovePaOf, loadByOf } from './load-by.js';
import { forgetBefore, hearSignal, nothingHeard, runsSeen, type LoadBy } from './runs-seen.js';

const T = Date.UTC(2031, 2, 9);
const MIN = 60_000;
const EVERY_MIN = 0.25;
const LOAD_PA = 40;

type Told = readonly [fromMin: number, toMin: number];
const on = (told: readonly Told[], minute: number): number => Number(told.some(([a, b]) => minute >= a && minute < b));

interface Day {
  readonly turns: readonly Told[];
  readonly valve?: readonly Told[];
  readonly cycling?: readonly Told[];
  readonly loaded?: readonly Told[];
  readonly silent?: readonly Told[];
  /** The counter begins anew at this minute. */
  readonly counterResetMin?: number;
}
const loadBy = (day: Day): LoadBy =>
  day.valve ? 'valveOpen' : day.cycling ? 'cycles' : day.loaded ? 'pressure' : 'running';

/** What is seen by a minute, in minutes: start, end, how both are known, cycles. */
function seenBy(day: Day, untilMin: number) {
  const heard = nothingHeard();
  let count = 500;
  for (let minute = 0; minute < untilMin; minute += EVERY_MIN) {
    if (on(day.silent ?? [], minute)) continue;
    const atMs = T + minute * MIN;
    const tell = (means: LoadBy, value: number) => hearSignal(heard, { means, atMs, value }, { loadAbovePa: LOAD_PA });
    tell('running', on(day.turns, minute));
    if (day.valve) tell('valveOpen', on(day.valve, minute));
    if (day.loaded) tell('pressure', on(day.loaded, minute) ? 900 : 4);
    if (!day.cycling) continue;
    if (minute === day.counterResetMin) count = 0;
    if (on(day.cycling, minute)) count += 1;
    tell('cycles', count);
  }
  const { runs, turningMs } = runsSeen({ heard, loadBy: loadBy(day), nowMs: T + untilMin * MIN });
  const minutes = (ms: number | null) => (ms === null ? null : Math.round((ms - T) / MIN));
  return {
    runs: runs.map((r) => [minutes(r.startMs), minutes(r.endMs), r.startSeen, r.endSeen]),
    cycles: runs.map((r) => r.cycles),
    turned: Math.round(turningMs / MIN),
  };
}

const SEEN = [true, true];
describe('a pump with a valve to its chamber', () => {
  test.each<[string, Day, number, unknown[], number]>([
    [
      'warmed up for 30, run for 240, purged for 20',
      { turns: [[10, 300]], valve: [[40, 280]] },
      400,
      [[40, 280, ...SEEN]],
      290,
    ],
    ['a run that goes on', { turns: [[10, 300]], valve: [[40, 280]] }, 200, [[40, null, true, false]], 190],
    [
      'one that ended two minutes ago is not settled',
      { turns: [[10, 300]], valve: [[40, 280]] },
      282,
      [[40, null, ...SEEN]],
      272,
    ],
    [
      'a valve that is opened with the pump at rest',
      { turns: [[200, 300]], valve: [[40, 280]] },
      400,
      [[200, 280, ...SEEN]],
      100,
    ],
    [
      'a pump that is stopped with its valve open',
      { turns: [[10, 100]], valve: [[40, 280]] },
      400,
      [[40, 100, ...SEEN]],
      90,
    ],
    ['a leak test of 8 minutes', { turns: [[10, 30]], valve: [[12, 20]] }, 100, [], 20],
    ['dried out for an hour, inlet shut', { turns: [[10, 70]], valve: [] }, 200, [], 60],
    [
      'a trip of two minutes',
      {
        turns: [
          [10, 100],
          [102, 300],
        ],
        valve: [[40, 280]],
      },
      400,
      [[40, 280, ...SEEN]],
      288,
    ],
    [
      'stopped for ten minutes',
      {
        turns: [
          [10, 100],
          [110, 300],
        ],
        valve: [[40, 280]],
      },
      400,
      [
        [40, 100, ...SEEN],
        [110, 280, ...SEEN],
      ],
      280,
    ],
    [
      'nobody listened for 20 minutes',
      { turns: [[10, 300]], valve: [[40, 280]], silent: [[100, 120]] },
      400,
      [[40, 280, ...SEEN]],
      290,
    ],
    [
      'power failed: silent from then, standing when it is back',
      { turns: [[10, 100]], valve: [[40, 100]], silent: [[100, 190]] },
      400,
      [[40, 100, true, false]],
      90,
    ],
    [
      'nobody listened when it began',
      { turns: [[10, 300]], valve: [[40, 280]], silent: [[0, 60]] },
      400,
      [[60, 280, false, true]],
      240,
    ],
    [
      'silent for two hours with the run on before and after',
      { turns: [[0, 400]], valve: [[40, 380]], silent: [[100, 220]] },
      500,
      [
        [40, 100, true, false],
        [220, 380, false, true],
      ],
      280,
    ],
    [
      'silent for good',
      { turns: [[0, 400]], valve: [[40, 380]], silent: [[100, 999]] },
      300,
      [[40, 100, true, false]],
      100,
    ],
    [
      'silent for ten minutes by now',
      { turns: [[0, 400]], valve: [[40, 380]], silent: [[100, 999]] },
      110,
      [[40, null, true, false]],
      100,
    ],
  ])('%s', (_, day, untilMin, runs, turned) => {
    const seen = seenBy(day, untilMin);
    expect(seen.runs).toEqual(runs);
    expect(Math.abs(seen.turned - turned)).toBeLessThanOrEqual(1);
  });
});

describe('a pump of a packing machine', () => {
  test.each<[string, Day, number, unknown[], (number | null)[]]>([
    [
      'four cycles a minute for two hours',
      { turns: [[5, 200]], cycling: [[60, 180]] },
      300,
      [[60, 180, ...SEEN]],
      [480],
    ],
    [
      'a break of ten minutes',
      {
        turns: [[5, 200]],
        cycling: [
          [60, 100],
          [110, 180],
        ],
      },
      300,
      [[60, 180, ...SEEN]],
      [440],
    ],
    [
      'a break of half an hour',
      {
        turns: [[5, 200]],
        cycling: [
          [60, 100],
          [130, 180],
        ],
      },
      300,
      [
        [60, 100, ...SEEN],
        [130, 180, ...SEEN],
      ],
      [160, 200],
    ],
    [
      'its counter begins anew',
      { turns: [[5, 200]], cycling: [[60, 180]], counterResetMin: 120 },
      300,
      [[60, 180, ...SEEN]],
      [480],
    ],
    ['a few cycles to see whether it pulls', { turns: [[5, 60]], cycling: [[20, 23]] }, 100, [], []],
  ])('%s', (_, day, untilMin, runs, cycles) => {
    const seen = seenBy(day, untilMin);
    expect(seen.runs).toEqual(runs);
    expect(seen.cycles).toEqual(cycles);
  });
});

test('a central pump that turns for days is split by its load', () => {
  const day: Day = {
    turns: [[0, 5000]],
    loaded: [
      [100, 300],
      [1500, 1700],
      [1710, 1900],
      [3000, 3005],
    ],
  };
  expect(seenBy(day, 4000).runs).toEqual([
    [100, 300, ...SEEN],
    [1500, 1900, ...SEEN],
  ]);
});

test('where nothing but its turning is known, each turning of a quarter of an hour is a run', () => {
  expect(
    seenBy(
      {
        turns: [
          [10, 20],
          [60, 120],
        ],
      },
      300,
    ).runs,
  ).toEqual([[60, 120, ...SEEN]]);
});

test('what is forgotten takes nothing from what came behind it', () => {
  const heard = nothingHeard();
  for (let minute = 0; minute < 600; minute++)
    hearSignal(
      heard,
      {
        means: 'running',
        atMs: T + minute * MIN,
        value: on(
          [
            [100, 200],
            [300, 400],
          ],
          minute,
        ),
      },
      { loadAbovePa: 1 },
    );
  forgetBefore(heard, T + 250 * MIN);
  const { runs } = runsSeen({ heard, loadBy: 'running', nowMs: T + 600 * MIN });
  expect(runs.map((r) => Math.round((r.startMs - T) / MIN))).toEqual([300]);
});

test.each<[string[], LoadBy | null]>([
  [['running', 'valveOpen', 'cycles', 'pressure'], 'valveOpen'],
  [['running', 'cycles', 'pressure'], 'cycles'],
  [['pressure', 'running'], 'pressure'],
  [['running'], 'running'],
  [['pressure', 'valveOpen'], null],
])('of %j the load is told by %s', (means, by) =>
  expect(loadByOf({ channels: means.map((m) => ({ key: m, means: m as LoadBy })) })).toBe(by),
);

test.each<[string, object, object, number]>([
  ['two stages, 0.5 Pa: by its ballast, six times that, twice', { ultimatePa: 0.5 }, {}, 6],
  ['what its maker says of the ballast', { ultimatePa: 0.5, ultimateBallastPa: 1 }, {}, 2.5],
  ['what its record says', { ultimatePa: 0.5 }, { loadAbovePa: 30 }, 30],
])('a load is above: %s', (_, model, instrument, pa) =>
  expect(loadAbovePaOf(instrument, { model, pump: {} } as unknown as PumpSetUp)).toBe(pa),
);
