import { inverseOf } from './least-squares.js';

export interface Fitted {
  readonly values: readonly number[];
  /** For a scatter of one; null where nothing acts. */
  readonly covariance: readonly (readonly number[])[] | null;
  /** Weighted sum of squares. */
  readonly chiSquared: number;
  readonly rounds: number;
  readonly converged: boolean;
}

const MOST_ROUNDS = 40;
const STEP = 1e-4;
const CONVERGED = 1e-6;
const HELD = 1e-9;

/**
 * Weighted nonlinear least squares with derivatives by differences (Marquardt 1963, J. SIAM 11, 431).
 * @param input.model what is measured, for some values of the parameters; logarithms are good parameters
 * @param input.low,high bounds of each
 */
export function levenbergMarquardt(input: {
  model: (values: readonly number[]) => Float64Array;
  measured: Float64Array;
  weights: Float64Array;
  start: readonly number[];
  low: readonly number[];
  high: readonly number[];
}): Fitted {
  const { model, measured, weights, low, high } = input;
  const bounded = (values: readonly number[]) =>
    values.map((v, i) => Math.min(high[i] ?? Infinity, Math.max(low[i] ?? -Infinity, v)));
  const squares = (of: Float64Array) => {
    let sum = 0;
    for (let i = 0; i < of.length; i++) sum += (weights[i] ?? 0) * ((measured[i] ?? 0) - (of[i] ?? 0)) ** 2;
    return sum;
  };
  let values = bounded(input.start);
  let now = model(values);
  let chiSquared = squares(now);
  let damping = 1e-3;
  let converged = false;
  let rounds = 0;
  let normal = normalOf();
  for (; rounds < MOST_ROUNDS && !converged; rounds++) {
    const damped = normal.matrix.map((row, i) => row.map((v, j) => (i === j ? v * (1 + damping) + 1e-12 : v)));
    const inverse = inverseOf(damped);
    const step = inverse?.map((row) => row.reduce((sum, v, j) => sum + v * (normal.gradient[j] ?? 0), 0));
    const tried = step ? bounded(values.map((v, i) => v + (step[i] ?? 0))) : values;
    const then = model(tried);
    const better = squares(then);
    if (step && better <= chiSquared) {
      converged = chiSquared - better <= CONVERGED * chiSquared;
      [values, now, chiSquared] = [tried, then, better];
      damping = Math.max(1e-9, damping / 8);
      if (!converged) normal = normalOf();
    } else {
      damping *= 8;
      converged = damping > 1e9;
    }
  }
  // What does not act at all is not known at all, and takes the others' certainty with it as little as it acts.
  const largest = Math.max(...normal.matrix.map((row, i) => row[i] ?? 0));
  const held = normal.matrix.map((row, i) => row.map((v, j) => (i === j ? v + largest * HELD : v)));
  return { values, covariance: inverseOf(held), chiSquared, rounds, converged };

  function normalOf() {
    const slopes = values.map((v, i) => {
      // Away from a bound.
      const by = v + STEP > (high[i] ?? Infinity) ? -STEP : STEP;
      const moved = model(values.map((w, j) => (j === i ? w + by : w)));
      return moved.map((m, k) => (m - (now[k] ?? 0)) / by);
    });
    const product = (a: Float64Array, b: (k: number) => number) => {
      let sum = 0;
      for (let k = 0; k < a.length; k++) sum += (weights[k] ?? 0) * (a[k] ?? 0) * b(k);
      return sum;
    };
    return {
      matrix: slopes.map((a) => slopes.map((b) => product(a, (k) => b[k] ?? 0))),
      gradient: slopes.map((a) => product(a, (k) => (measured[k] ?? 0) - (now[k] ?? 0))),
    };
  }
}
