import { weightedQuantile } from '../statistics/index.js';
import { READING_SD_ML } from './constants.js';

/** Water found after some runs, and what those runs should have left for a trap of any efficiency. */
export interface WaterSegment {
  readonly foundMl: number;
  readonly leftMl: (efficiency: number) => number;
}

export type TrapFit =
  | {
      readonly ok: true;
      /** Median of the posterior and its 90 % interval. */
      readonly efficiency: number;
      readonly low: number;
      readonly high: number;
      /** Median relative scatter of a segment about its expectation. */
      readonly scatter: number;
      readonly segments: number;
      /** The interval, as a ratio, is narrower than half of what was known without any data. */
      readonly knowsEnough: boolean;
    }
  | { readonly ok: false; readonly why: 'tooFewSegments'; readonly segments: number };

/** Fewer say nothing that a single odd one would not turn over. */
const LEAST_SEGMENTS = 4;
/** From a poor trap to a thin hose that lets the pump swallow a fifth of S·p; alike in the logarithm. */
const PRIOR = { low: 0.1, high: 5 } as const;
const EFFICIENCY_STEPS = 100;
/** Relative scatter, wide enough for a trap read 5 K wrong each time; beforehand the larger the less likely, in proportion. */
const SCATTERS = [0.06, 0.1, 0.15, 0.22, 0.32, 0.46, 0.65] as const;
/** Student's t: heavy tails, so that one wrong trap temperature does not carry the fit away. */
const DEGREES_OF_FREEDOM = 4;
const INTERVAL = { low: 0.05, middle: 0.5, high: 0.95 } as const;
/** Logarithm of high over low, of the prior. */
const PRIOR_WIDTH = (INTERVAL.high - INTERVAL.low) * Math.log(PRIOR.high / PRIOR.low);

/** So many factors are multiplied before their logarithm is taken; none of them can overflow then. */
const AT_ONCE = 8;

/** Log likelihood of what was found, but for its constant, by Student's t about what was expected. */
function logLikelihood(found: readonly number[], expected: readonly number[], scatter: number): number {
  let [log, tails, variances] = [0, 1, 1];
  for (let i = 0; i < found.length; i++) {
    const mean = expected[i] ?? 0;
    const variance = (scatter * mean) ** 2 + READING_SD_ML ** 2;
    tails *= 1 + ((found[i] ?? 0) - mean) ** 2 / (DEGREES_OF_FREEDOM * variance);
    variances *= variance;
    if (i % AT_ONCE === AT_ONCE - 1 || i === found.length - 1) {
      log -= ((DEGREES_OF_FREEDOM + 1) / 2) * Math.log(tails) + Math.log(variances) / 2;
      [tails, variances] = [1, 1];
    }
  }
  return log;
}

/**
 * How good a cold trap is, from the water that was found after runs with known trap temperatures: above 1 where less is swallowed
 * than S·p, or where not all of it settles and is caught. The posterior on a grid, for a prior that is uniform in the logarithm of
 * 0.1-5, Student-t errors (4 degrees of freedom) and an unknown relative scatter, over which it is
 * averaged. Source of the method: Gelman et al. (2013), Bayesian Data Analysis, 3rd ed., sections 3.7 and 17.2.
 * @returns the efficiency with its 90 % interval; too few segments are data, not a fault
 */
export function fitTrapEfficiency(segments: readonly WaterSegment[]): TrapFit {
  if (segments.length < LEAST_SEGMENTS) return { ok: false, why: 'tooFewSegments', segments: segments.length };
  const grid = Array.from(
    { length: EFFICIENCY_STEPS },
    (_, i) => PRIOR.low * (PRIOR.high / PRIOR.low) ** ((i + 0.5) / EFFICIENCY_STEPS),
  );
  const found = segments.map((s) => s.foundMl);
  const logs = grid.map((efficiency) => {
    const expected = segments.map((s) => s.leftMl(efficiency));
    return SCATTERS.map((scatter) => logLikelihood(found, expected, scatter) - Math.log(scatter));
  });
  const top = Math.max(...logs.flat());
  const weights = logs.map((row) => row.map((log) => Math.exp(log - top)));
  const ofEfficiency = weights.map((row) => row.reduce((a, b) => a + b, 0));
  const ofScatter = SCATTERS.map((_, k) => weights.reduce((sum, row) => sum + (row[k] ?? 0), 0));
  const at = (share: number) => weightedQuantile(grid, ofEfficiency, share);
  const [low, efficiency, high] = [at(INTERVAL.low), at(INTERVAL.middle), at(INTERVAL.high)];
  return {
    ok: true,
    efficiency,
    low,
    high,
    scatter: weightedQuantile(SCATTERS, ofScatter, INTERVAL.middle),
    segments: segments.length,
    knowsEnough: Math.log(high / low) < PRIOR_WIDTH / 2,
  };
}
