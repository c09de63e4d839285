import type { Entry, FigureRead, JudgedLog, TestBody } from '../journal/index.js';
import { isFairBlankOff } from '../machine/index.js';
import { median, trendOf } from '../statistics/index.js';

/**
 * What is followed over the years: the leak of a rise, Pa·m³/s; where what flattened levels off, Pa; the chamber's pressure and the
 * pump's own blanked off, Pa; the speed of a pump-down, m³/h; what a bag rises by in ten minutes, Pa; the pull-down of a packer's cycle, s.
 */
export const VACUUM_SERIES = ['leak', 'moisture', 'chamber', 'blankOff', 'speed', 'bagRise', 'pullDown'] as const;
export type VacuumSeriesOf = (typeof VACUUM_SERIES)[number];

/** Up to where each is right, in its own unit; of a speed from where on. Null where nothing says. */
export type VacuumLimits = Readonly<Record<VacuumSeriesOf, number | null>>;

export interface VacuumPoint {
  readonly entryId: string;
  readonly at: string;
  readonly pumpId: string | null;
  readonly value: number;
  /** Null of a reading that nobody fitted. */
  readonly range: FigureRead | null;
  /** None was found: it is not more than this. */
  readonly atMost: boolean;
}

export interface VacuumTrend {
  readonly goes: 'worse' | 'better' | 'none' | 'tooFew';
  /** From one test to the next: 0.08 is 8 % more. */
  readonly perTestShare: number;
  /** The first test since the set was last mended. */
  readonly sinceAt: string | null;
  readonly tests: number;
}

export interface VacuumSeries {
  readonly of: VacuumSeriesOf;
  /** The oldest first; one at least. */
  readonly points: readonly VacuumPoint[];
  readonly limit: number | null;
  /** The last one against the limit; null where none is known. */
  readonly stands: 'within' | 'outside' | null;
  /** Of the last one among all: 1 is the best. */
  readonly standing: { readonly place: number; readonly of: number };
  readonly best: number;
  readonly trend: VacuumTrend;
}

/** When a cause was found and something was done about it. */
export interface VacuumMended {
  readonly entryId: string;
  readonly at: string;
  readonly remedy: string;
}

export interface VacuumRecord {
  readonly series: readonly VacuumSeries[];
  readonly mended: readonly VacuumMended[];
}

type Found = Pick<VacuumPoint, 'value'> &
  Partial<Pick<VacuumPoint, 'range' | 'atMost'>> & { readonly of: VacuumSeriesOf; readonly limit?: number | null };

/** A pull-down is slow when it takes so much longer than its own good one. */
export const PULL_DOWN_SLOW_TIMES = 1.3;
const GOOD_TESTS = 3;

/** A set's own good pull-down, s: the median of its first three tests. @returns null of fewer than three */
export function goodPullDownS(points: readonly Pick<VacuumPoint, 'value'>[]): number | null {
  return points.length < GOOD_TESTS ? null : median(points.slice(0, GOOD_TESTS).map((p) => p.value));
}

const figure = (of: VacuumSeriesOf, range: FigureRead | null | undefined): Found[] =>
  range && range.p50 > 0 ? [{ of, value: range.p50, range }] : [];
const atMost = (of: VacuumSeriesOf, range: FigureRead | null | undefined): Found[] =>
  range && range.p90 > 0 ? [{ of, value: range.p90, range, atMost: true }] : [];

function ofLog({ log }: TestBody): Found[] {
  if (!log || log.verdict === 'undecided') return [];
  switch (log.of) {
    case 'pumpDown':
      return [...figure('speed', log.speedM3h), ...figure('chamber', log.ultimatePa)];
    case 'bagDrop':
      return figure('bagRise', log.rise10MinPa).map((found) => ({ ...found, limit: log.limitPa ?? null }));
    case 'cycles':
      return figure('pullDown', log.pullDownS);
    case 'ultimate':
      // Its reading stands among the test's own, as one that was written by hand does.
      return [];
    case 'rise':
      return ofRise(log);
  }
}

function ofRise(log: JudgedLog): Found[] {
  const leaks = log.verdict === 'leak' || log.verdict === 'leakAndMoisture';
  const flattens = log.verdict === 'moisture' || log.verdict === 'leakAndMoisture';
  return [
    ...(leaks ? figure('leak', log.leakPaM3PerS) : atMost('leak', log.leakPaM3PerS)),
    ...(flattens ? figure('moisture', log.moisturePa) : []),
  ];
}

const ofReadings = ({ measured }: TestBody): Found[] =>
  (measured ?? []).flatMap((one): Found[] => {
    if (one.where === 'chamber') return [{ of: 'chamber', value: one.pa }];
    return isFairBlankOff(one) ? [{ of: 'blankOff', value: one.pa }] : [];
  });

const byTime = (a: Entry, b: Entry): number => (a.happenedAt < b.happenedAt ? -1 : a.happenedAt > b.happenedAt ? 1 : 0);

/**
 * The vacuum record of a set: each of its tests that gave a figure, how the last one stands, and whether the figures creep.
 * Trends by Mann and Kendall on the logarithms ({@link trendOf}), of the tests since a case was last closed with a cause, without
 * those that only said “at most”.
 * What is of a pump by itself is compared among the tests of that pump, and held to the limits of the one that stands there.
 * @param input.entries tests and closed cases of the set, in any order
 * @param input.pumpId that the limits are of; null where none stands there
 */
export function vacuumRecord(input: {
  entries: readonly Entry[];
  limits: VacuumLimits;
  pumpId: string | null;
}): VacuumRecord {
  const sorted = [...input.entries].sort(byTime);
  const mended = sorted.flatMap((entry): VacuumMended[] =>
    entry.kind === 'caseClosed' && entry.body.causeId !== null
      ? [{ entryId: entry.id, at: entry.happenedAt, remedy: entry.body.remedy }]
      : [],
  );
  const points = sorted.flatMap((entry) => {
    if (entry.kind !== 'test') return [];
    const pumpId = entry.subjects.find((s) => s.type === 'pump')?.id ?? null;
    return [...ofLog(entry.body), ...ofReadings(entry.body)].map(
      ({ of, value, limit = null, range = null, atMost = false }) => ({
        ...{ of, limit },
        point: { entryId: entry.id, at: entry.happenedAt, pumpId, value, range, atMost },
      }),
    );
  });
  const lastMended = mended.at(-1)?.at ?? '';
  return {
    mended,
    series: VACUUM_SERIES.flatMap((of) => {
      const own = points.filter((p) => p.of === of);
      const among = own.map((p) => p.point);
      const good = of === 'pullDown' ? goodPullDownS(among) : null;
      const last = own.at(-1);
      const isOther = OF_A_PUMP.includes(of) && last?.point.pumpId !== input.pumpId;
      const known = isOther ? null : input.limits[of];
      const limit = last?.limit ?? (good === null ? known : PULL_DOWN_SLOW_TIMES * good);
      return own.length > 0 ? [seriesOf(of, among, limit, lastMended)] : [];
    }),
  };
}

/** What says more of the pump than of its set. */
const OF_A_PUMP: readonly VacuumSeriesOf[] = ['blankOff', 'speed'];

function seriesOf(of: VacuumSeriesOf, points: VacuumPoint[], limit: number | null, lastMended: string): VacuumSeries {
  /** Below 0 where the first is the better one. */
  const worse = of === 'speed' ? -1 : 1;
  const last = points.at(-1)!;
  const alike = OF_A_PUMP.includes(of) ? points.filter((p) => p.pumpId === last.pumpId) : points;
  const best = alike.reduce((a, p) => (worse * (p.value - a) < 0 ? p.value : a), last.value);
  const better = alike.filter((p) => worse * (p.value - last.value) < 0).length;
  const outside = limit !== null && !last.atMost && worse * (last.value - limit) > 0;
  return {
    ...{ of, points, limit, best },
    stands: limit === null ? null : outside ? 'outside' : 'within',
    standing: { place: better + 1, of: alike.length },
    trend: trendSince(
      alike.filter((p) => !p.atMost && p.at > lastMended),
      worse,
    ),
  };
}

function trendSince(points: readonly VacuumPoint[], worse: 1 | -1): VacuumTrend {
  const { verdict, slope } = trendOf({ values: points.map((p) => Math.log(p.value)) });
  const goes = { rising: worse > 0, falling: worse < 0 };
  return {
    goes: verdict === 'none' || verdict === 'tooFew' ? verdict : goes[verdict] ? 'worse' : 'better',
    perTestShare: points.length > 1 ? Math.exp(slope) - 1 : 0,
    sinceAt: points[0]?.at ?? null,
    tests: points.length,
  };
}
