import { gammaQuantile, normalTail } from '../statistics/index.js';

/** Days until something, at 10, 50 and 90 %. */
export type DaysBand = readonly [p10: number, p50: number, p90: number];

/** When a pump's runs began, as its next ones follow from it. */
export interface RunStream {
  /** Days between one run's start and the next, oldest first. */
  readonly gaps: readonly number[];
  /** How much each gap tells of the next one; together 1. */
  readonly weights: readonly number[];
  /** Weighted mean of the gaps, and their variance. */
  readonly mean: number;
  readonly variance: number;
  /** As many independent gaps as the weighted ones are worth. */
  readonly worth: number;
  /** Variance of a sum of several gaps in a row over that of as many unrelated ones: below 1 where a run that came late is followed soon. */
  readonly ratio: number;
  /** Since the last run began. */
  readonly sinceDays: number;
}

/** A gap so many runs ago tells half as much: use changes with the season. */
const HALF_AFTER = 7;
/** Blur of one gap, as a share of what a kernel estimate of that many takes (Silverman 1986, Density Estimation, 3.4.2). */
const BLUR = { share: 0.9, least: 0.005 } as const;
/** Chance that the pattern does not hold any longer: then runs come at any time. */
const PATTERN_ENDS = 0.03;
/** Gaps in a row by which it is seen whether they make up for each other. */
const IN_A_ROW = 4;
/** What the scatter of few gaps and a mean that drifts leave out, measured over six kinds of use: run-stream.test.ts. */
const WIDER = { scatter: 1.15, mean: 2.5 } as const;

/** Less than numbers can tell apart. */
const LEAST_CHANCE = 1e-12;
/** Of a Gamma: a band of 2 in 10,000 of the time that is left. */
const NARROWEST = 1e8;

const sum = (values: readonly number[]): number => values.reduce((total, v) => total + v, 0);

/** @param gaps at least two, above 0 */
export function runStream(gaps: readonly number[], sinceDays: number): RunStream {
  const raw = gaps.map((_, i) => 0.5 ** ((gaps.length - 1 - i) / HALF_AFTER));
  const weights = raw.map((w) => w / sum(raw));
  const worth = 1 / sum(weights.map((w) => w * w));
  const mean = sum(gaps.map((g, i) => g * (weights[i] ?? 0)));
  const spread = sum(gaps.map((g, i) => (weights[i] ?? 0) * (g - mean) ** 2));
  const variance = (spread * worth) / (worth - 1);
  return { gaps, weights, mean, variance, worth, ratio: varianceRatio(gaps), sinceDays };
}

/** Source: Lo & MacKinlay (1988), Rev. Financ. Stud. 1, 41: variance of overlapping sums, with the loss of so few of them given back. */
function varianceRatio(gaps: readonly number[]): number {
  const mean = sum(gaps) / gaps.length;
  const variance = sum(gaps.map((g) => (g - mean) ** 2)) / (gaps.length - 1);
  const k = Math.min(IN_A_ROW, Math.floor(gaps.length / 2));
  if (k < 2 || variance === 0) return 1;
  const sums = gaps.slice(k - 1).map((_, i) => sum(gaps.slice(i, i + k)));
  const middle = sum(sums) / sums.length;
  const ofSums = sum(sums.map((s) => (s - middle) ** 2)) / sums.length;
  return Math.min(3, Math.max(0.02, ofSums / (k * variance) / (1 - (k - 1) / gaps.length)));
}

/** Each gap seen stands for gaps like it: log-normal about it. */
const blurOf = ({ mean, variance, gaps }: RunStream): number =>
  Math.max(BLUR.least, BLUR.share * Math.min(1, Math.sqrt(variance) / mean) * gaps.length ** -0.2);

/** The moment of order 0, 1 or 2 of a gap like those seen, beyond so many days: ∫ x^order f(x) dx from there on. */
function beyond(stream: RunStream, days: number, order: 0 | 1 | 2): number {
  const { gaps, weights } = stream;
  const blur = blurOf(stream);
  return sum(
    gaps.map((gap, i) => {
      const z = (Math.log(Math.max(days, 1e-9) / gap) + (blur * blur) / 2) / blur;
      const size = gap ** order * Math.exp(order === 2 ? blur * blur : 0);
      return (weights[i] ?? 0) * size * normalTail(z - order * blur);
    }),
  );
}

/** Chance that a gap lasts longer: by the pattern, or at any time where that has ended. */
const lastsBeyond = (stream: RunStream, days: number): number =>
  (1 - PATTERN_ENDS) * beyond(stream, days, 0) + PATTERN_ENDS * Math.exp(-days / stream.mean);

/** What is left of the gap that goes on: its mean and variance. Longer than any seen, its end comes at any time. */
function restOfGap(stream: RunStream): { mean: number; variance: number } {
  const { sinceDays, mean } = stream;
  const chance = beyond(stream, sinceDays, 0);
  if (chance < PATTERN_ENDS) return { mean, variance: mean ** 2 };
  const whole = beyond(stream, sinceDays, 1) / chance;
  return { mean: whole - sinceDays, variance: beyond(stream, sinceDays, 2) / chance - whole ** 2 };
}

/** The gap that goes on, given how long it has lasted already, by halving. */
function nextRunDays(stream: RunStream, p: number): number {
  const { sinceDays } = stream;
  const wanted = (1 - p) * lastsBeyond(stream, sinceDays);
  if (wanted < LEAST_CHANCE) return -stream.mean * Math.log(1 - p);
  const stillOpen = (days: number) => lastsBeyond(stream, sinceDays + days) > wanted;
  let [low, high] = [0, stream.mean];
  while (stillOpen(high)) [low, high] = [high, high * 2];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (stillOpen(middle)) low = middle;
    else high = middle;
  }
  return high;
}

/**
 * Days until the n-th run from now begins, at 10, 50 and 90 %, from how this pump's runs came and from how long ago the last one
 * was: a pump that runs every Monday is due tomorrow on Sunday. The next run is a gap like those seen that has lasted so long
 * already (kernel estimate, log-normal kernels); further ones add their mean and variance, and the sum is taken as Gamma by its
 * first two moments. Coverage of the band over six kinds of use: run-stream.test.ts.
 * @param useCv scatter of what one run uses up: with it the runs that are needed scatter too
 * @throws RangeError when runs is not above 0
 */
export function daysToRun(stream: RunStream, { runs, useCv = 0 }: { runs: number; useCv?: number }): DaysBand {
  if (!(runs > 0)) throw new RangeError(`runs: ${runs} is not above 0`);
  if (runs <= 1 && useCv === 0) return [nextRunDays(stream, 0.1), nextRunDays(stream, 0.5), nextRunDays(stream, 0.9)];
  const { mean, variance, worth, ratio } = stream;
  const rest = restOfGap(stream);
  const further = Math.max(0, runs - 1);
  const whole = Math.max(LEAST_CHANCE, rest.mean + further * mean);
  const ofGaps = rest.variance + WIDER.scatter * further * variance + (WIDER.mean * further ** 2 * variance) / worth;
  const scatter = ofGaps * ratio + runs * (useCv * mean) ** 2;
  const shape = Math.min(NARROWEST, whole ** 2 / scatter);
  const at = (p: 0.1 | 0.5 | 0.9) => (gammaQuantile({ shape, p }) / shape) * whole;
  return [at(0.1), at(0.5), at(0.9)];
}

/** Without a run for so long nobody knows when the next one will be. */
const IDLE = { days: 14, times: 3, share: 0.9 } as const;

export function isIdle(gaps: readonly number[], sinceDays: number): boolean {
  const long = [...gaps].sort((a, b) => a - b)[Math.ceil(IDLE.share * gaps.length) - 1] ?? 0;
  return sinceDays > Math.max(IDLE.days, IDLE.times * long);
}
