import { median } from './median.js';

/** From so many ended charges on, a pump has a usual of its own. */
export const LEAST_FOR_OWN_LIMIT = 5;
/** Three robust standard deviations above the median: a charge like those before it passes it about once in 700. */
const SPREADS = 3;
/** Median absolute deviation to standard deviation, for normal scatter. */
const MAD_TO_SD = 1.4826;

/**
 * What is unusual for this pump: the median of earlier charges and three robust deviations above it.
 * Source: Rousseeuw & Croux (1993) for the median absolute deviation times 1.4826. Null with fewer than five charges.
 * With charges all alike the deviation is 0; then `leastSpread` (the reading's own step) stands for it.
 * Example: 2, 3, 2.5, 3.5, 3 with a step of 0.5 → median 3, limit 5.2.
 */
export function ownLimit(input: {
  values: readonly number[];
  leastSpread: number;
}): { usual: number; limit: number } | null {
  const { values, leastSpread } = input;
  if (values.length < LEAST_FOR_OWN_LIMIT) return null;
  const usual = median(values);
  const spread = median(values.map((v) => Math.abs(v - usual))) * MAD_TO_SD;
  return { usual, limit: usual + SPREADS * Math.max(spread, leastSpread / 2) };
}
