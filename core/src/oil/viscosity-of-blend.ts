const INNER = 0.7;
const wright = (v: number): number => Math.log10(Math.log10(v + INNER));

/**
 * Viscosity of a blend of oils at one temperature, by their volumes.
 * Source: ASTM D7152-11 (2023), procedure C: volume-weighted means of MacCoull-Walther-Wright functions log10 log10(v + 0.7).
 * Valid for base oils without thickeners from 2 mm²/s; a volatile solvent thins more than it says.
 * @returns mm²/s
 * @throws RangeError without a volume, or for a viscosity under 2. Example: 50 % of 68 and 50 % of 100 mm²/s → 82.1 mm²/s.
 */
export function blendViscosityMm2s(oils: readonly { readonly ml: number; readonly viscosityMm2s: number }[]): number {
  const all = oils.reduce((sum, o) => sum + o.ml, 0);
  if (!(all > 0)) throw new RangeError(`ml: ${all} is not above 0`);
  const thin = oils.find((o) => !(o.viscosityMm2s >= 2));
  if (thin) throw new RangeError(`viscosityMm2s: ${thin.viscosityMm2s} mm²/s is not at least 2`);
  const mean = oils.reduce((sum, o) => sum + (o.ml / all) * wright(o.viscosityMm2s), 0);
  return 10 ** (10 ** mean) - INNER;
}
