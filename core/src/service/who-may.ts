import { HOUSE_RULES_ID, type HouseSetUp } from '../set-up/index.js';
import type { Procedure } from './procedure.js';

/** Why somebody may not do a piece of service: the house does not open pump modules, or their record does not allow it. */
export type MayNot = 'house' | 'person';

/**
 * A specialist's work is done where the house's rules allow it, by people who may (docs/trade.md 4 and 8-L).
 * @param who null where nobody has said who writes
 * @returns null where nothing speaks against it
 */
export function mayNot(
  { skill }: Pick<Procedure, 'skill'>,
  { houseRules, person }: Pick<HouseSetUp, 'houseRules' | 'person'>,
  who: string | null,
): MayNot | null {
  if (skill !== 'specialist') return null;
  if (!houseRules[HOUSE_RULES_ID]?.opensModules) return 'house';
  return who !== null && person[who]?.maySpecialist ? null : 'person';
}
