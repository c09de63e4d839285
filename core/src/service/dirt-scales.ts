import type { OilProduct } from '../set-up/index.js';

/** How dirty oil is read while a housing is flushed. A new scale is an entry of DIRT_SCALES. */
export const DIRT_SCALE_IDS = ['sludge', 'colour', 'particles', 'share'] as const;
export type DirtScaleId = (typeof DIRT_SCALE_IDS)[number];

type Fresh = Pick<OilProduct, 'base' | 'dyed' | 'freshColour'>;

/** A reading, and what it is in an amount that mixing adds up. */
export interface DirtScale {
  readonly min: number;
  readonly max: number;
  /** A film of it is on the walls, and no deposits. */
  readonly film?: true;
  /** So finely it is read. */
  readonly step: number;
  /** In proportion to what is in the oil. @param reading within min and max */
  dirtOf(reading: number, fresh: Fresh | null): number;
  /** Whether it says anything of this oil. */
  fits(fresh: Fresh | null): boolean;
  /** What a flush usually goes for. */
  target(fresh: Fresh | null): number;
}

/**
 * Luminous transmittance of the glass standards 0.5, 1.0 … 8.0.
 * Source: ASTM D1500-12, table 1.
 */
const TRANSMITTANCE = [
  0.86, 0.77, 0.67, 0.55, 0.44, 0.31, 0.22, 0.152, 0.109, 0.081, 0.058, 0.04, 0.026, 0.016, 0.0081, 0.0025,
];

/**
 * Absorbance of a colour, between the standards straight on: what colours the oil adds up in it (Beer and Lambert).
 * @param colour ASTM D1500, 0.5-8; below 0.5 in proportion
 * @example colourAbsorbance(2) // -log10(0.55) = 0.26
 */
export function colourAbsorbance(colour: number): number {
  const at = (i: number): number => (i === 0 ? 0 : -Math.log10(TRANSMITTANCE[i - 1] ?? 1));
  const place = Math.min(Math.max(colour, 0) * 2, TRANSMITTANCE.length);
  const below = Math.floor(place);
  return place === below ? at(below) : at(below) + (place - below) * (at(below + 1) - at(below));
}

/** The half step of ASTM D1500 whose absorbance is nearest. @example colourOfAbsorbance(0.26) // 2 */
export function colourOfAbsorbance(absorbance: number): number {
  const steps = TRANSMITTANCE.map((_, i) => (i + 1) / 2);
  const far = (colour: number) => Math.abs(colourAbsorbance(colour) - absorbance);
  return steps.reduce((best, colour) => (far(colour) < far(best) ? colour : best), 0.5);
}

/** Half a colour above the unused oil's: darker would be called a rise again soon. */
const COLOUR_TARGET_RISE = 0.5;
/** Of an oil that nobody has described. */
const UNKNOWN_FRESH_COLOUR = 1;
const freshColourOf = (fresh: Fresh | null): number => fresh?.freshColour ?? UNKNOWN_FRESH_COLOUR;

export const DIRT_SCALES: Readonly<Record<DirtScaleId, DirtScale>> = {
  /** Percent of what stands in the jar. */
  sludge: { min: 0, max: 100, step: 0.1, dirtOf: (percent) => percent, fits: () => true, target: () => 0.2 },
  /** ASTM D1500. PFPE is not judged by it, nor a dyed oil. */
  colour: {
    ...{ min: 0.5, max: 8, step: 0.5 },
    dirtOf: (colour, fresh) => Math.max(0, colourAbsorbance(colour) - colourAbsorbance(freshColourOf(fresh))),
    fits: (fresh) => fresh?.base !== 'pfpe' && !fresh?.dyed,
    target: (fresh) => Math.min(freshColourOf(fresh) + COLOUR_TARGET_RISE, 8),
  },
  /** Scale number of ISO 4406 at 6 µm(c), the middle one: each stands for twice as many as the one below it. */
  particles: { min: 1, max: 28, step: 1, dirtOf: (number) => 0.01 * 2 ** number, fits: () => true, target: () => 15 },
  /** Percent of the old product. */
  share: { min: 0, max: 100, film: true, step: 1, dirtOf: (percent) => percent, fits: () => true, target: () => 1 },
};
