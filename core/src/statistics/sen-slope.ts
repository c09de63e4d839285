import { median } from './median.js';

/**
 * Slope of values over where they were taken, as the median of all pairs, with an interval that holds it eight times in ten: one
 * reading in four may be wrong altogether. Sources: Sen (1968), JASA 63, 1379; interval by Kendall's variance as in Gilbert (1987),
 * Statistical Methods for Environmental Pollution Monitoring, 16.4.
 * @param at rising; as many as values
 * @returns per unit of `at`; null of fewer than three
 */
export function senSlope(
  at: readonly number[],
  values: readonly number[],
): { p10: number; p50: number; p90: number } | null {
  const n = values.length;
  if (n < 3) return null;
  const slopes: number[] = [];
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const apart = (at[j] ?? 0) - (at[i] ?? 0);
      if (apart > 0) slopes.push(((values[j] ?? 0) - (values[i] ?? 0)) / apart);
    }
  if (slopes.length === 0) return null;
  slopes.sort((a, b) => a - b);
  const wide = 1.2816 * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const nth = (i: number) => slopes[Math.max(0, Math.min(slopes.length - 1, i))] ?? 0;
  return {
    p10: nth(Math.floor((slopes.length - wide) / 2) - 1),
    p50: median(slopes),
    p90: nth(Math.ceil((slopes.length + wide) / 2)),
  };
}
