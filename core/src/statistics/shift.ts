import { median } from './median.js';

/** How much one group lies above another, with the ends between which eight in ten lie. */
export interface Shift {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** Of the standard normal distribution: eight in ten lie within. */
const Z_80 = 1.2816;
const FEWEST = 3;

/**
 * Hodges and Lehmann's shift between two groups, the median of all differences, with its distribution-free interval by the ranks of Mann
 * and Whitney (Hollander & Wolfe, Nonparametric Statistical Methods, 1999, 4.2 and 4.3; normal approximation of the rank).
 * @param input.before, input.after values in one unit, in any order
 * @returns null where either group has fewer than three: then nothing can be said
 */
export function shiftBetween(input: { before: readonly number[]; after: readonly number[] }): Shift | null {
  const { before, after } = input;
  const [m, n] = [before.length, after.length];
  if (m < FEWEST || n < FEWEST) return null;
  const differences = after.flatMap((a) => before.map((b) => a - b)).sort((a, b) => a - b);
  const rank = Math.max(0, Math.round((m * n) / 2 - Z_80 * Math.sqrt((m * n * (m + n + 1)) / 12)) - 1);
  const [low = 0, high = 0] = [differences[rank], differences[differences.length - 1 - rank]];
  return { p10: low, p50: median(differences), p90: high };
}
