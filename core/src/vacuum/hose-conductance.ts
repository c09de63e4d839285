/**
 * Conductance of a straight round hose for air at 20 °C, from molecular to viscous flow.
 * Source: interpolation after Knudsen (1909), Ann. Phys. 28, 75, in the units of the trade: C = 135 d⁴ p / l + 12.1 d³ / l · (1 + 192 d p) / (1 + 237 d p)
 * with d and l in cm, p in mbar. Valid for a hose many times longer than wide, laminar flow, up to about 100 mbar; above that it says
 * more than flows.
 * @param input.diameterCm inside, above 0
 * @param input.lengthCm above 0
 * @param input.meanPressureMbar of both ends
 * @returns L/s
 * @throws RangeError where one is not above 0 (the pressure: below 0). Example: 2.5 cm, 100 cm, 1 mbar → 54.27 L/s
 */
export function hoseConductanceLPerS(input: {
  diameterCm: number;
  lengthCm: number;
  meanPressureMbar: number;
}): number {
  const { diameterCm: d, lengthCm: l, meanPressureMbar: p } = input;
  for (const [key, value] of [
    ['diameterCm', d],
    ['lengthCm', l],
  ] as const)
    if (!(value > 0)) throw new RangeError(`${key}: ${value} is not above 0`);
  if (!(p >= 0)) throw new RangeError(`meanPressureMbar: ${p} is below 0`);
  return (135 * d ** 4 * p) / l + ((12.1 * d ** 3) / l) * ((1 + 192 * d * p) / (1 + 237 * d * p));
}
