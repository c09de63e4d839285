/**
 * A random number of the gamma distribution with mean `shape`.
 * Source: Marsaglia & Tsang (2000), ACM Trans. Math. Softw. 26, 363: squeeze and rejection, with U^(1/shape) below shape 1; normal
 * numbers by Box & Muller (1958).
 * @param shape above 0, no unit
 * @param uniform the next number of a stream, from 0 to below 1
 * @throws RangeError for a shape that is not above 0
 */
export function gammaSample({ shape, uniform }: { shape: number; uniform: () => number }): number {
  if (!(shape > 0) || !Number.isFinite(shape)) throw new RangeError(`shape: ${shape} is not above 0`);
  if (shape < 1) return gammaSample({ shape: shape + 1, uniform }) * (1 - uniform()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
    const v = (1 + c * x) ** 3;
    if (v <= 0) continue;
    const u = 1 - uniform();
    if (Math.log(u) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}
