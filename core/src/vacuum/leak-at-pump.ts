/** Of what the set should come to: a leak that adds less is not why it does not come there. */
const MATTERS_SHARE = 0.1;

interface Set {
  /** Above 0. */
  readonly pumpingSpeedM3h: number;
  /** That the set should come to, above 0. */
  readonly targetPa: number;
}

/**
 * What a leak does to the pressure behind a pump: it stands Q / S above where the pump would end by itself (docs/trade.md 6a).
 * @param input.leakPaM3PerS 0 or more
 * @returns the pressure that it adds, Pa, and whether that is a tenth of the target or more. Example: 1.6e-4 Pa·m³/s at 6 m³/h add
 *   0.096 Pa; of 1.8 Pa that is no matter
 * @throws RangeError where speed or target is not above 0
 */
export function leakAtPump(input: Set & { leakPaM3PerS: number }): {
  readonly addsPa: number;
  readonly matters: boolean;
} {
  const { leakPaM3PerS, pumpingSpeedM3h } = input;
  return { matters: leakPaM3PerS >= leakLimit(input), addsPa: (leakPaM3PerS * 3600) / pumpingSpeedM3h };
}

/**
 * From where on a leak matters to a set, Pa·m³/s: it adds a tenth of the target.
 * @throws RangeError where speed or target is not above 0
 */
export function leakLimit({ pumpingSpeedM3h, targetPa }: Set): number {
  if (!(pumpingSpeedM3h > 0)) throw new RangeError(`pumpingSpeedM3h: ${pumpingSpeedM3h} is not above 0`);
  if (!(targetPa > 0)) throw new RangeError(`targetPa: ${targetPa} is not above 0`);
  return (MATTERS_SHARE * targetPa * pumpingSpeedM3h) / 3600;
}
