import { isHydrocarbon } from '../oil/index.js';
import type { OilProduct, PumpSetUp } from '../set-up/index.js';
import type { PumpState } from '../fold/index.js';

type Oil = Pick<OilProduct, 'base' | 'waterBehaviour' | 'foodGrade'>;

/** How another product may follow one, from the mildest: drained and filled, flushed or washed, or not by whoever is at it. */
export const WAYS = ['same', 'badly', 'never'] as const;
export type Way = (typeof WAYS)[number];

/** Why: each is a cell of the table of docs/trade.md 4 and 8-J. */
export type WayReason =
  /** Same base, same way with water. */
  | 'alike'
  /** Same base, but one keeps water in suspension and the other lets it settle. */
  | 'otherWithWater'
  | 'otherBase'
  /** PFPE and hydrocarbon do not mix: the heavy one lies at the pick-up. */
  | 'doNotMix'
  /** Nobody has said what one of them is. */
  | 'unknownOil'
  /** Hydrocarbon where oxygen is pumped: what is left of it can ignite. */
  | 'oxygen'
  | 'notFood';

export interface ChangeOfProduct {
  readonly way: Way;
  readonly why: WayReason;
}

/**
 * How one oil may follow another in a pump.
 * @param held null where nobody knows what is in it
 * @param oxygen gas with more oxygen than air is or was pumped through it
 * @param food its service is food
 */
export function wayOfChange(input: {
  held: Oil | null;
  added: Oil | null;
  oxygen: boolean;
  food: boolean;
}): ChangeOfProduct {
  const { held, added, oxygen, food } = input;
  if (oxygen && (isHydrocarbon(held) || isHydrocarbon(added))) return { way: 'never', why: 'oxygen' };
  if (!held || !added) return { way: 'never', why: 'unknownOil' };
  if (food && !added.foodGrade) return { way: 'never', why: 'notFood' };
  if (isHydrocarbon(held) !== isHydrocarbon(added)) return { way: 'badly', why: 'doNotMix' };
  if (held.base !== added.base) return { way: 'badly', why: 'otherBase' };
  if (held.waterBehaviour !== added.waterBehaviour) return { way: 'badly', why: 'otherWithWater' };
  return { way: 'same', why: 'alike' };
}

/** The same, for a pump as it stands. */
export function changeOfProduct(state: PumpState, setUp: PumpSetUp, addedId: string): ChangeOfProduct {
  const { oilProduct } = setUp.house;
  const sump = state.sumps.find(({ key }) => key === 'oil');
  const heldId = sump?.charge.productId ?? setUp.pump.oilProductId ?? null;
  return wayOfChange({
    held: heldId === null ? null : (oilProduct[heldId] ?? null),
    added: oilProduct[addedId] ?? null,
    oxygen: setUp.service.includes('oxygen') || (sump?.oxygenAt ?? null) !== null,
    food: setUp.service.includes('food'),
  });
}
