import { isDenserThanWater } from './settling.js';
import type { LookInContext, OilReading } from './read-oil.js';

/** Why a verdict is less than firm. */
export type Doubt =
  'notSettled' | 'sightGlassOnly' | 'smallSample' | 'productUnknown' | 'neverSeparates' | 'littleSaid';

export interface Confidence {
  /** `early`: the oil has not had its time. `fair`: seen, but not all that could be. */
  readonly word: 'firm' | 'fair' | 'early';
  readonly doubts: readonly Doubt[];
}

/** A jar that is less than this share of the charge may have missed what lies elsewhere. */
const SMALL_SHARE = 0.03;
const READINGS = ['colour', 'clarity', 'freeWaterMl', 'particles', 'smell'] as const;

/** How far one look can be relied on, in words and with the reasons for doubt. */
export function confidenceOf(context: LookInContext, { settling }: Pick<OilReading, 'settling'>): Confidence {
  const { look, product, charge } = context;
  const said = READINGS.filter((r) => (look[r] ?? null) !== null).length;
  const glass = look.source === 'sightGlass';
  const doubts: Doubt[] = [];
  if (!settling.settled && look.hoursStood > 0) doubts.push('notSettled');
  if (glass) doubts.push('sightGlassOnly');
  if (!glass && (look.lookedAtMl ?? 0) < charge.chargeMl * SMALL_SHARE) doubts.push('smallSample');
  if (context.productUnknown) doubts.push('productUnknown');
  if (!glass && (product.waterBehaviour === 'detergent' || isDenserThanWater(product))) doubts.push('neverSeparates');
  if (said < 2) doubts.push('littleSaid');
  const word = doubts.includes('notSettled') ? 'early' : doubts.length > 0 ? 'fair' : 'firm';
  return { word, doubts };
}
