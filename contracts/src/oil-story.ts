import type { ChargeStory, ChargeTrend, OilProduct } from '@winter-jar/core';

/** The charges of one pump as its looks tell them. */
export interface OilStory {
  /** Oldest first; the last one goes on. */
  readonly charges: readonly ChargeStory[];
  readonly trends: readonly ChargeTrend[];
  /** The unused oil of what is in it now, to hold a jar against. */
  readonly product: OilProduct | null;
}
