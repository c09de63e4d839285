import type { Level } from '../journal/index.js';
import type { LevelMark, PumpModel } from '../set-up/index.js';

/** Where oil stands right in a glass, as shares of its height: between the two, and best in their middle. */
export const GLASS_MARKS: Readonly<Record<LevelMark, { readonly low: number; readonly high: number }>> = {
  twoLines: { low: 0.25, high: 0.75 },
  windowHalf: { low: 0.42, high: 0.58 },
  windowThreeQuarters: { low: 0.67, high: 0.83 },
  upperCircle: { low: 0.55, high: 0.85 },
};

/** How the oil stands in a glass. */
export interface GlassLevel {
  readonly level: Extract<Level, 'low' | 'right' | 'high'>;
  /** From the middle of the marks, below it less than 0; null where nobody has said how much lies between two lines. */
  readonly offMl: number | null;
}

/**
 * A level as it was tapped.
 * @param share of the glass's height, 0-1
 * @throws RangeError outside of it
 */
export function glassLevel(share: number, { levelMark, sumps }: Pick<PumpModel, 'levelMark' | 'sumps'>): GlassLevel {
  if (!(share >= 0 && share <= 1)) throw new RangeError(`share: ${share} is not within 0 to 1`);
  const mark = levelMark ?? 'twoLines';
  const { low, high } = GLASS_MARKS[mark];
  const between = mark === 'twoLines' ? (sumps[0]?.betweenMarksMl ?? null) : null;
  const offMl = between === null ? null : Math.round((between * (share - (low + high) / 2)) / (high - low));
  return { level: share < low ? 'low' : share > high ? 'high' : 'right', offMl };
}

/** Mineral and synthetic pump oils, per K (ASTM D1250, lubricating oils at 0.87 to 0.90 g/mL); PFPE grows more. */
const EXPANSION_PER_K = 0.00075;
const ROOM_C = 20;

/**
 * How much more room a charge takes when it is warm: so much higher it is read. ΔV = V β ΔT.
 * @param chargeMl mL at the warmth of the room
 * @param oilC °C
 * @returns mL, below 0 where it is colder than the room
 * @example warmRiseMl({ chargeMl: 1000, oilC: 60 }) // 30
 */
export const warmRiseMl = ({ chargeMl, oilC }: { chargeMl: number; oilC: number }): number =>
  chargeMl * EXPANSION_PER_K * (oilC - ROOM_C);
