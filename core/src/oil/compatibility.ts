import type { OilProduct } from '../set-up/index.js';
import type { FindingOf } from './finding.js';

type Oil = Pick<OilProduct, 'base'>;

/** Whatever burns; of an oil that nobody has said a word about, that is assumed. */
export const isHydrocarbon = (oil: Oil | null): boolean => oil?.base !== 'pfpe';

/**
 * What follows where one product comes to another in a sump (docs/trade.md 4 and 8-J). PFPE and hydrocarbon do not mix, and the PFPE
 * lies at the pick-up: change and clean. All else is flushed: grades, additives and the way with water differ. That hydrocarbon in
 * oxygen service is a Stop beside it, fitness for the service says.
 */
export function mixedWith(
  held: Oil | null,
  added: Oil | null,
): Pick<FindingOf<'otherProduct'>, 'level' | 'act' | 'answeredBy'> {
  return held && added && isHydrocarbon(held) !== isHydrocarbon(added)
    ? { level: 'beforeNextRun', act: 'washHousing', answeredBy: 'washAndChange' }
    : { level: 'lookSooner', act: 'flush', answeredBy: 'flush' };
}
