/** Where the straight line of log S against 1/T is good for an additive-free mineral base. */
const VALID_C = { min: 0, max: 110 } as const;

/**
 * Water that a mineral base oil without additives holds dissolved: log10 S = 7.42 - 1670 / T, T in K (docs/trade.md 6).
 * @param input `tempC` oil temperature in °C, 0 to 110
 * @returns ppm by mass
 * @throws RangeError outside that range; detergent, ester and PAG oils hold far more and have no such line
 * @example waterSolubilityPpm({ tempC: 20 }) // 52.9
 */
export function waterSolubilityPpm({ tempC }: { tempC: number }): number {
  if (!(tempC >= VALID_C.min && tempC <= VALID_C.max))
    throw new RangeError(`tempC: ${tempC} is not between ${VALID_C.min} and ${VALID_C.max} °C`);
  return 10 ** (7.42 - 1670 / (tempC + 273.15));
}
