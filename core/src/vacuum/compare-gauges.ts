import type { GaugeKind } from '../journal/index.js';
import type { WatchedReading } from './valve-moved.js';

export const GAUGES_STATES = ['agree', 'gapCloses', 'gapStays'] as const;
export type GaugesState = (typeof GAUGES_STATES)[number];

export type GaugesCompared =
  | {
      readonly ok: true;
      readonly state: GaugesState;
      /** The second over the first, at the beginning and at the end of what was compared. */
      readonly timesAtFirst: number;
      readonly timesAtLast: number;
      readonly pairs: number;
    }
  | { readonly ok: false; readonly code: 'tooFew' | 'restless' | 'maybeVapour' };

/** Read at one moment: no further apart. */
const TOGETHER_MS = 2000;
const FEWEST = 24;
/** Two sound gauges of different kinds are some 15 % apart at most in dry gas; our own limit. */
const AGREE_TIMES = 1.2;
/** Water vapour makes a thermal gauge show 1.6 times what there is; with what gauges differ by. */
const VAPOUR_TIMES = 1.75;
/** Within a stretch the two go together, or nothing can be said. */
const RESTLESS_TIMES = 1.5;

const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 1;
const apart = (times: number): number => Math.max(times, 1 / times);

/**
 * A second gauge held against the first over one stretch of time: the median of their quotient in its first and its last quarter. A gap
 * that closes is vapour, which a thermal gauge shows some 1.6 times too high; one that stays is a gauge that lies,
 * unless it is a thermal gauge above the other by no more than vapour makes: then only dry gas tells.
 */
export function compareGauges(input: {
  first: readonly WatchedReading[];
  second: readonly WatchedReading[];
  firstKind?: GaugeKind | null;
  secondKind?: GaugeKind | null;
}): GaugesCompared {
  const { first, second, firstKind, secondKind } = input;
  const quotients: number[] = [];
  let s = 0;
  for (const { atMs, pa } of first) {
    while (
      s + 1 < second.length &&
      Math.abs((second[s + 1]?.atMs ?? 0) - atMs) <= Math.abs((second[s]?.atMs ?? 0) - atMs)
    )
      s += 1;
    const other = second[s];
    if (other && Math.abs(other.atMs - atMs) <= TOGETHER_MS && pa > 0) quotients.push(other.pa / pa);
  }
  if (quotients.length < FEWEST) return { ok: false, code: 'tooFew' };
  const quarter = Math.ceil(quotients.length / 4);
  const parts = [quotients.slice(0, quarter), quotients.slice(-quarter)].map((part) => part.sort((a, b) => a - b));
  const [timesAtFirst = 1, timesAtLast = 1] = parts.map((part) => quantile(part, 0.5));
  if (parts.some((part) => quantile(part, 0.9) / quantile(part, 0.1) > RESTLESS_TIMES))
    return { ok: false, code: 'restless' };
  const isOff = apart(timesAtLast) > AGREE_TIMES;
  const thermalTimes =
    firstKind === secondKind
      ? null
      : secondKind === 'thermal'
        ? timesAtLast
        : firstKind === 'thermal'
          ? 1 / timesAtLast
          : null;
  if (isOff && thermalTimes !== null && thermalTimes > 1 && thermalTimes <= VAPOUR_TIMES)
    return { ok: false, code: 'maybeVapour' };
  const state = isOff ? 'gapStays' : apart(timesAtFirst) > AGREE_TIMES ? 'gapCloses' : 'agree';
  return { ok: true, state, timesAtFirst, timesAtLast, pairs: quotients.length };
}
