/**
 * Upper tail of the standard normal distribution, Φc(z). Source: Abramowitz & Stegun (1964), 26.2.17; its error is below 7.5e-8.
 * No units; any z. Example: Φc(1.2816) = 0.1.
 */
export function normalTail(z: number): number {
  if (z < 0) return 1 - normalTail(-z);
  const t = 1 / (1 + 0.2316419 * z);
  const series = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * series;
}
