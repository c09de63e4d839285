/** Of mineral oil, per kelvin: 3.5 % for 50 K (docs/trade.md 6). */
export const OIL_EXPANSION_PER_K = 0.0007;
const BOOK_C = 20;
const UL_PER_ML = 1000;

/**
 * A volume of oil as the store keeps it, at 20 °C: V · (1 - 0.0007 · (T - 20)), straight within -30 to 150 °C.
 * @returns whole µL
 * @throws RangeError outside, naming the key. Example: 5,000 mL at 60 °C → 4,860,000 µL.
 */
export function volumeAt20uL({ ml, tempC }: { ml: number; tempC: number | null }): number {
  if (!(ml >= 0 && ml <= 1e9)) throw new RangeError(`ml: ${ml} is not within 0 to 1,000,000,000`);
  if (tempC !== null && !(tempC >= -30 && tempC <= 150))
    throw new RangeError(`tempC: ${tempC} is not within -30 to 150`);
  return Math.round(ml * UL_PER_ML * (1 - OIL_EXPANSION_PER_K * ((tempC ?? BOOK_C) - BOOK_C)));
}

/** Water barely expands: as it was read. @returns whole µL */
export const wholeUL = (ml: number): number => Math.round(ml * UL_PER_ML);
export const mlOf = (uL: number): number => uL / UL_PER_ML;
