import type { JarShape } from '../limits/index.js';
import { isDenserThanWater, settlingOf, type SettlingProduct } from '../oil/index.js';

/** Below this the water in a jar freezes and locks up; the clear oil is poured off cold. */
const FROZEN_C = -5;
/** A jar freezes through overnight, and a bucket in two days. */
const FROZEN_HOURS = { upToMl: 2000, small: 16, large: 48 } as const;
const HOUR_MS = 3_600_000;

/** When a drained container may be poured. */
export type Settle =
  | { readonly how: 'settles' | 'freezes'; readonly hours: number; readonly from: string; readonly ready: boolean }
  /** It holds its water up: filter or dispose. */
  | { readonly how: 'detergent' }
  /** The water floats: it is skimmed, and nothing is forecast. */
  | { readonly how: 'denser' }
  | { readonly how: 'unknownOil' };

/**
 * By the oil, the height that it stands at and its temperature: the time that a 50 µm droplet takes from the top to the bottom
 * (Stokes), two hours at least; corrected by what jars of this yard have shown.
 * @param input.ownFactor of this yard, see {@link settlingFactor}
 */
export function settleOf(input: {
  product: SettlingProduct | null;
  ml: number;
  tempC: number | null;
  shape: JarShape | null;
  filledAt: string;
  nowMs: number;
  ownFactor?: number;
}): Settle {
  const { product, ml, tempC, shape, filledAt, nowMs, ownFactor = 1 } = input;
  if (!product) return { how: 'unknownOil' };
  if (isDenserThanWater(product)) return { how: 'denser' };
  if (product.waterBehaviour === 'detergent') return { how: 'detergent' };
  const freezes = tempC !== null && tempC <= FROZEN_C;
  const look = { source: 'drained' as const, hoursStood: 0, lookedAtMl: ml, jarTempC: tempC };
  const hours = freezes
    ? ml <= FROZEN_HOURS.upToMl
      ? FROZEN_HOURS.small
      : FROZEN_HOURS.large
    : settlingOf({ look, product, shape }).neededHours * ownFactor;
  const fromMs = Date.parse(filledAt) + hours * HOUR_MS;
  return {
    how: freezes ? 'freezes' : 'settles',
    hours,
    from: new Date(fromMs).toISOString(),
    ready: nowMs >= fromMs,
  };
}

/** A jar that was read: what Stokes asked for, how long it had stood, and whether it was clear. */
export interface JarShown {
  readonly neededHours: number;
  readonly hoursStood: number;
  readonly clear: boolean;
}

const LEAST_SHOWN = 3;
const FACTORS = { least: 0.5, most: 4 } as const;

/**
 * How much longer jars of this yard take than Stokes says: the factor that the fewest of them speak against; a jar that was clear
 * speaks for less, one that was hazy for more. Of several the one nearest to 1.
 * @returns 1 while fewer than three were read; within 0.5 to 4
 */
export function settlingFactor(jars: readonly JarShown[]): number {
  if (jars.length < LEAST_SHOWN) return 1;
  const within = (ratio: number) => Math.min(FACTORS.most, Math.max(FACTORS.least, ratio));
  const ratios = jars.map((j) => ({ ratio: within(j.hoursStood / j.neededHours), clear: j.clear }));
  const candidates = [1, ...ratios.map(({ ratio }) => ratio)];
  const against = (f: number) => ratios.filter(({ ratio, clear }) => (clear ? ratio < f : ratio > f)).length;
  const far = (f: number) => Math.abs(Math.log(f));
  return candidates.toSorted((a, b) => against(a) - against(b) || far(a) - far(b))[0] ?? 1;
}
