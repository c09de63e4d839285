/** Median of numbers; 0 of none. */
export function median(values: readonly number[]): number {
  if (values.length === 0) return 0;
  // A typed column sorts by number, and many times faster.
  const sorted = new Float64Array(values).sort();
  const middle = sorted.length >> 1;
  const high = sorted[middle] ?? 0;
  return sorted.length % 2 === 1 ? high : ((sorted[middle - 1] ?? 0) + high) / 2;
}
