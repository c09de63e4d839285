/** Standard deviation of what is left, by its median so that spikes do not count. */
export function spreadOf(residuals: Float64Array, weights: Float64Array): number {
  const sizes = new Float64Array(residuals.length);
  let n = 0;
  for (let i = 0; i < residuals.length; i++) if ((weights[i] ?? 0) > 0) sizes[n++] = Math.abs(residuals[i] ?? 0);
  sizes.subarray(0, n).sort();
  return (sizes[n >> 1] ?? 0) * 1.4826;
}

const MOST_LIKENESS = 50;

/** How much less readings tell that err like the one before: (1 + ρ) / (1 − ρ) of a first-order process (Box & Jenkins 1970, 2.1.4). */
export function likeness(residuals: Float64Array, weights: Float64Array): number {
  let [both, own] = [0, 0];
  for (let i = 1; i < residuals.length; i++) {
    if (!weights[i] || !weights[i - 1]) continue;
    both += (residuals[i] ?? 0) * (residuals[i - 1] ?? 0);
    own += (residuals[i] ?? 0) ** 2;
  }
  const rho = own > 0 ? Math.min(0.98, Math.max(0, both / own)) : 0;
  // What chance alone gives in so few readings is no likeness.
  const chance = 2 / Math.sqrt(Math.max(4, residuals.length));
  return rho <= chance ? 1 : Math.min(MOST_LIKENESS, (1 + rho) / (1 - rho));
}
