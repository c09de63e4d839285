/** The value below which a share of the weights lies, between grid points. */
export function weightedQuantile(values: readonly number[], weights: readonly number[], share: number): number {
  const total = weights.reduce((a, b) => a + b, 0);
  let below = 0;
  for (const [i, value] of values.entries()) {
    const weight = (weights[i] ?? 0) / total;
    if (below + weight >= share) {
      const before = values[i - 1] ?? value;
      return weight === 0 ? value : before + (value - before) * ((share - below) / weight);
    }
    below += weight;
  }
  return values.at(-1) ?? NaN;
}
