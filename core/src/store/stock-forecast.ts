import { gammaSample } from '../statistics/index.js';
import { wholeUL } from './volume-at-20.js';

/** New oil that went into one pump. */
export interface FillMade {
  readonly pumpId: string;
  /** Days, on any clock. */
  readonly atDays: number;
  readonly ml: number;
}

/** Of a pump with few fills the scatter of its intervals is taken as this, weighed as so many intervals. */
const USUAL_CV = 0.6;
const USUAL_WEIGHT = 3;
/** Futures that are tried. */
const FUTURES = 400;
/** Nobody plans further. */
const MOST_DAYS = 730;

interface PumpUse {
  readonly meanDays: number;
  readonly cv: number;
  readonly intervals: number;
  readonly sinceDays: number;
  readonly amounts: readonly number[];
}

/** How a pump drew, from its fills within what is looked back on. */
function useOf(fills: readonly FillMade[], nowDays: number, lookedBackDays: number): PumpUse | null {
  const sorted = [...fills].sort((a, b) => a.atDays - b.atDays);
  const last = sorted.at(-1);
  if (!last) return null;
  const gaps = sorted.slice(1).map((f, i) => Math.max(0.01, f.atDays - (sorted[i]?.atDays ?? 0)));
  const sinceDays = Math.max(0, nowDays - last.atDays);
  // By all of the time that is looked back on: of the gaps between fills the long ones are the likelier to be cut off.
  const mean = lookedBackDays / sorted.length;
  const own = gaps.length > 0 ? gaps.reduce((sum, g) => sum + g, 0) / gaps.length : mean;
  const squares = gaps.reduce((sum, g) => sum + (g / own - 1) ** 2, 0);
  const cv = Math.sqrt((squares + USUAL_WEIGHT * USUAL_CV ** 2) / (Math.max(0, gaps.length - 1) + USUAL_WEIGHT));
  return {
    meanDays: mean,
    cv,
    intervals: Math.max(1, gaps.length),
    sinceDays,
    amounts: sorted.map(({ ml }) => ml),
  };
}

/**
 * Days until a stock of new oil runs out at the use of all pumps that draw on it, at 10, 50 and 90 %: when the next fill asks for more
 * than is left. Each pump's fills are a renewal stream with gamma intervals (docs/trade.md 4), its mean as uncertain as its fills are
 * few; tried over {@link FUTURES} futures.
 * @param input.lookedBackDays how far back the fills go
 * @param input.uniform a stream of numbers from 0 to below 1: the same stream gives the same answer
 * @returns null where nothing draws on it; 730 for longer than two years
 */
export function stockLasts(input: {
  stockMl: number;
  fills: readonly FillMade[];
  nowDays: number;
  lookedBackDays: number;
  uniform: () => number;
  futures?: number;
}): readonly [number, number, number] | null {
  const { stockMl, fills, nowDays, lookedBackDays, uniform, futures = FUTURES } = input;
  const pumps = [...new Set(fills.map((f) => f.pumpId))].flatMap(
    (id) =>
      useOf(
        fills.filter((f) => f.pumpId === id),
        nowDays,
        lookedBackDays,
      ) ?? [],
  );
  if (pumps.length === 0) return null;
  const ends = Array.from({ length: futures }, () => oneFuture(pumps, wholeUL(stockMl) / 1000, uniform)).sort(
    (a, b) => a - b,
  );
  const at = (p: number) => ends[Math.min(futures - 1, Math.floor(p * futures))] ?? MOST_DAYS;
  return [at(0.1), at(0.5), at(0.9)];
}

/** The fills of all pumps as they come, one by one, until one asks for more than is left. */
function oneFuture(pumps: readonly PumpUse[], stockMl: number, uniform: () => number): number {
  const streams = pumps.map(({ meanDays, cv, intervals, sinceDays, amounts }) => {
    const shape = 1 / cv ** 2;
    // The mean itself is known from so many intervals only.
    const mean = (meanDays * intervals * shape) / gammaSample({ shape: intervals * shape, uniform });
    const gap = () => Math.max(LEAST_GAP_DAYS, (gammaSample({ shape, uniform }) * mean) / shape);
    return { next: nextAfter(gap, sinceDays), gap, amounts };
  });
  let left = stockMl;
  for (;;) {
    let first = streams[0];
    for (const stream of streams) if (first && stream.next < first.next) first = stream;
    if (!first || first.next >= MOST_DAYS) return MOST_DAYS;
    const ml = first.amounts[Math.floor(uniform() * first.amounts.length)] ?? 0;
    if (ml > left) return first.next;
    left -= ml;
    first.next += first.gap();
  }
}

/** Nobody fills a pump oftener than every hour. */
const LEAST_GAP_DAYS = 1 / 24;

/** Tries of an interval that is longer than what has gone already. */
const TRIES = 40;

/** The rest of an interval of which some has gone; overdue, it comes soon. */
function nextAfter(gap: () => number, sinceDays: number): number {
  for (let i = 0; i < TRIES; i++) {
    const whole = gap();
    if (whole > sinceDays) return whole - sinceDays;
  }
  return gap() / TRIES;
}
