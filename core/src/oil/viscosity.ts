const KELVIN = 273.15;
/** Where ASTM D341 is used here: oils of 2 to 2e6 mm²/s that are still liquid. */
const VALID_C = { min: -30, max: 150 } as const;

const walther = (v: number): number => Math.log10(Math.log10(v + 0.7));

/**
 * Kinematic viscosity of an oil at a temperature, from its values at 40 and 100 °C.
 * Source: ASTM D341-20 (Walther), log10 log10(v + 0.7) = A - B log10 T with T in K; v above 2 mm²/s.
 * @param v40 mm²/s at 40 °C
 * @param v100 mm²/s at 100 °C
 * @param tempC °C, -30 to 150
 * @returns mm²/s (cSt)
 * @throws RangeError outside, naming the key. Example: 68 and 8.7 mm²/s at 20 °C → 214.8 mm²/s.
 */
export function kinematicViscosityMm2s({ v40, v100, tempC }: { v40: number; v100: number; tempC: number }): number {
  if (!(v100 >= 2 && v100 < 1e5)) throw new RangeError(`v100: ${v100} mm²/s is not within 2 to 100,000`);
  if (!(v40 > v100 && v40 < 1e6)) throw new RangeError(`v40: ${v40} mm²/s is not above v100 and below 1,000,000`);
  if (!(tempC >= VALID_C.min && tempC <= VALID_C.max))
    throw new RangeError(`tempC: ${tempC} °C is not within ${VALID_C.min} to ${VALID_C.max}`);
  const log40 = Math.log10(40 + KELVIN);
  const slope = (walther(v40) - walther(v100)) / (Math.log10(100 + KELVIN) - log40);
  return 10 ** (10 ** (walther(v40) - slope * (Math.log10(tempC + KELVIN) - log40))) - 0.7;
}

/**
 * Viscosity at 100 °C of an oil known at 40 °C only, its line drawn parallel to a known oil's: lines of mineral oils of one
 * viscosity index are nearly parallel in ASTM D341 coordinates. An estimate, for settling times alone.
 * @returns mm²/s. Example: 46 mm²/s, like 68 / 8.7 → 6.96 mm²/s.
 */
export function parallelV100Mm2s({ v40, like }: { v40: number; like: { v40: number; v100: number } }): number {
  return 10 ** (10 ** (walther(v40) - (walther(like.v40) - walther(like.v100)))) - 0.7;
}
