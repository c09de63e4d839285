import type { FigureRead } from '../journal/index.js';
import { normalTail } from '../statistics/index.js';

export const NOTHING: FigureRead = { p10: 0, p50: 0, p90: 0 };

/** Of a normal distribution eight in ten lie within so many standard deviations. */
export const Z80 = 1.2816;

/** Standard deviations above nothing from which on a figure is seen. */
const SEEN = 1.6;

/** A way with its weight, and how it has a figure. */
export interface Normal {
  readonly weight: number;
  readonly mean: number;
  readonly sigma: number;
}

/** Nodes and weights of a normal distribution in five points (Gauss and Hermite; Abramowitz & Stegun 1964, table 25.10). */
const NODES: readonly (readonly [at: number, weight: number])[] = [
  [-2.85697, 0.011257],
  [-1.355626, 0.222076],
  [0, 0.533333],
  [1.355626, 0.222076],
  [2.85697, 0.011257],
];

/** Belief that a figure is above a value, each way cut off at nothing, times what is not known of the volume. */
export function tail(of: readonly Normal[], value: number, factorSigma: number): number {
  if (value < 0) return 1;
  return NODES.reduce((sum, [at, share]) => {
    const factor = Math.max(0.05, 1 + at * factorSigma);
    return (
      sum +
      share *
        of.reduce((belief, { weight, mean, sigma }) => {
          const whole = sigma > 0 ? normalTail(-mean / sigma) : mean >= 0 ? 1 : 0;
          if (whole < 1e-12) return belief;
          const over = sigma > 0 ? normalTail((value / factor - mean) / sigma) : mean > value / factor ? 1 : 0;
          return belief + weight * Math.min(1, over / whole);
        }, 0)
    );
  }, 0);
}

/** Over simulated logs with spikes, steps and a volume that is not known well, intervals as the fit gives them hold 75 % for 80: so much wider they hold 85 to 95. */
const WIDER = 1.7;

/** Of a figure that is not below nothing. */
export function quantiles(fitted: readonly Normal[], factorSigma: number): FigureRead {
  const of = fitted.map((n) => ({ ...n, sigma: n.sigma * WIDER }));
  const highest = Math.max(...of.map((n) => Math.max(0, n.mean) + 6 * n.sigma)) * (1 + 4 * factorSigma);
  const at = (share: number): number => {
    let [low, high] = [0, highest];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (tail(of, middle, factorSigma) > share) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  // Where one in ten says that it is hardly seen, the lower end is nothing.
  const maybeNone = of.reduce((sum, { weight, mean, sigma }) => (mean < SEEN * sigma ? sum + weight : sum), 0);
  return { p10: maybeNone > 0.1 ? 0 : at(0.9), p50: at(0.5), p90: at(0.1) };
}
