import { median } from './median.js';

/** Fewer values than this cannot show a trend at all: with four, even a perfect row happens one time in twelve. */
export const LEAST_FOR_TREND = 5;
const CERTAIN_BELOW = 0.05;
const EXACT_UP_TO = 30;

export interface Trend {
  readonly n: number;
  /** Mann-Kendall's S: rising pairs less falling ones. */
  readonly s: number;
  /** Two-sided: how often chance alone would make at least so strong a row. */
  readonly p: number;
  /** Sen's slope: per step from one value to the next. */
  readonly slope: number;
  readonly method: 'exact' | 'normal';
  readonly verdict: 'rising' | 'falling' | 'none' | 'tooFew';
}

/**
 * Does a row of values, one after another, rise or fall?
 * Sources: Mann (1945), Kendall (1975) for S; its exact distribution without ties up to n = 30, else the normal approximation with
 * continuity correction and the variance corrected for ties; Sen (1968) for the slope, the median of all pairwise slopes.
 * A trend is stated where p < 0.05 and n is at least 5. Values in any unit; the slope is in that unit per step.
 * @throws RangeError for a value that is not finite. Example: 2.1 2.6 2.4 3.3 3.1 4.0 4.4 4.1 5.2 → S 30, p 0.00085, slope 0.369.
 */
export function trendOf({ values }: { values: readonly number[] }): Trend {
  const bad = values.findIndex((v) => !Number.isFinite(v));
  if (bad >= 0) throw new RangeError(`values: number ${bad + 1} is ${values[bad]}, not a finite number`);
  const n = values.length;
  let s = 0;
  const slopes: number[] = [];
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const rise = (values[j] ?? 0) - (values[i] ?? 0);
      s += Math.sign(rise);
      slopes.push(rise / (j - i));
    }
  }
  const method = new Set(values).size === n && n <= EXACT_UP_TO ? 'exact' : 'normal';
  const p = method === 'exact' ? exactP(n, s) : normalP(values, s);
  const verdict = n < LEAST_FOR_TREND ? 'tooFew' : p >= CERTAIN_BELOW ? 'none' : s > 0 ? 'rising' : 'falling';
  return { n, s, p, slope: median(slopes), method, verdict };
}

/** From the number of orders of n values with so many falling pairs (Kendall 1975, chapter 5), counted up value by value. */
function exactP(n: number, s: number): number {
  let orders = [1];
  for (let size = 2; size <= n; size++) {
    const next = Array.from({ length: orders.length + size - 1 }, () => 0);
    for (const [falling, share] of orders.entries())
      for (let added = 0; added < size; added++) next[falling + added] = (next[falling + added] ?? 0) + share / size;
    orders = next;
  }
  const pairs = (n * (n - 1)) / 2;
  const atMost = (pairs - Math.abs(s)) / 2;
  const tail = orders.slice(0, atMost + 1).reduce((sum, share) => sum + share, 0);
  return Math.min(1, 2 * tail);
}

function normalP(values: readonly number[], s: number): number {
  const n = values.length;
  const ties = new Map<number, number>();
  for (const v of values) ties.set(v, (ties.get(v) ?? 0) + 1);
  const part = (k: number) => k * (k - 1) * (2 * k + 5);
  const variance = (part(n) - [...ties.values()].reduce((sum, k) => sum + part(k), 0)) / 18;
  if (s === 0 || variance <= 0) return 1;
  return 2 * upperNormal((Math.abs(s) - 1) / Math.sqrt(variance));
}

/** Upper tail of the standard normal for z of at least 0. Source: Abramowitz & Stegun (1964), 26.2.17, |error| < 7.5e-8. */
function upperNormal(z: number): number {
  const t = 1 / (1 + 0.2316419 * z);
  const series = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * series;
}
