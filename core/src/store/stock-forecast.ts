import { gammaSample } from '../statistics/index.js';
import { wholeUL } from './volume-at-20.js';

/** New oil that went into one pump. */
export interface FillMade {
  readonly pumpId: string;
  /** Days, on any clock. */
  readonly atDays: number;
  readonly ml: number;
}

/** What is known of how oil is drawn. */
interface UseSeen {
  readonly fills: readonly FillMade[];
  readonly nowDays: number;
  /** How far back the fills go. */
  readonly lookedBackDays: number;
  /** A stream of numbers from 0 to below 1: the same stream gives the same answer. */
  readonly uniform: () => number;
  /** How many are tried. */
  readonly futures?: number;
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
 * @returns null where nothing draws on it; 730 for longer than two years
 */
export function stockLasts(input: UseSeen & { stockMl: number }): readonly [number, number, number] | null {
  const stockMl = wholeUL(input.stockMl) / 1000;
  const at = over(input, (draws) => {
    let left = stockMl;
    for (const { atDays, ml } of draws) {
      if (ml > left) return atDays;
      left -= ml;
    }
    return MOST_DAYS;
  });
  return at && [at(0.1), at(0.5), at(0.9)];
}

/** Of so many futures the share that an order covers; over simulated yards it then covers nine in ten. */
const ORDER_SHARE = 0.95;

/**
 * mL of new oil that covers what all pumps draw within so many days from now, 9 times in 10; by the same futures as
 * {@link stockLasts}.
 * @param input.days up to 730
 * @returns null where nothing draws on it
 */
export function coversDays(input: UseSeen & { days: number }): number | null {
  const at = over(input, (draws) => {
    let drawn = 0;
    for (const { atDays, ml } of draws) {
      if (atDays > input.days) break;
      drawn += ml;
    }
    return drawn;
  });
  return at && at(ORDER_SHARE);
}

/** One figure of each future, by the share of futures that stay under it. */
function over(
  { fills, nowDays, lookedBackDays, uniform, futures = FUTURES }: UseSeen,
  figure: (draws: Iterable<Draw>) => number,
): ((share: number) => number) | null {
  const ids = [...new Set(fills.map((f) => f.pumpId))];
  const ofPump = (id: string) => fills.filter((f) => f.pumpId === id);
  const pumps = ids.flatMap((id) => useOf(ofPump(id), nowDays, lookedBackDays) ?? []);
  if (pumps.length === 0) return null;
  const found = Array.from({ length: futures }, () => figure(drawsOf(pumps, uniform))).sort((a, b) => a - b);
  return (share) => found[Math.min(futures - 1, Math.floor(share * futures))] ?? 0;
}

interface Draw {
  readonly atDays: number;
  readonly ml: number;
}

/** The fills of all pumps as they come, one by one, for two years. */
function* drawsOf(pumps: readonly PumpUse[], uniform: () => number): Generator<Draw> {
  const streams = pumps.map(({ meanDays, cv, intervals, sinceDays, amounts }) => {
    const shape = 1 / cv ** 2;
    // The mean itself is known from so many intervals only.
    const mean = (meanDays * intervals * shape) / gammaSample({ shape: intervals * shape, uniform });
    const gap = () => Math.max(LEAST_GAP_DAYS, (gammaSample({ shape, uniform }) * mean) / shape);
    return { next: nextAfter(gap, sinceDays), gap, amounts };
  });
  for (;;) {
    let first = streams[0];
    for (const stream of streams) if (first && stream.next < first.next) first = stream;
    if (!first || first.next >= MOST_DAYS) return;
    yield { atDays: first.next, ml: first.amounts[Math.floor(uniform() * first.amounts.length)] ?? 0 };
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
