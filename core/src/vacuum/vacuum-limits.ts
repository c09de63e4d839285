import { blankOffLimit, setTargetPa } from '../machine/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { BAG_LIMIT_PA } from './judge-bag.js';
import { SLOW_SHARE } from './judge-pump-down.js';
import { leakLimit } from './leak-at-pump.js';
import type { VacuumLimits } from './vacuum-record.js';

/** Of a set where no pump stands. */
export const NO_VACUUM_LIMITS: VacuumLimits = {
  ...{ leak: null, moisture: null, chamber: null, blankOff: null, speed: null },
  ...{ bagRise: BAG_LIMIT_PA, pullDown: null },
};

/**
 * What a set's tests are held to: the leak that would matter to it, its acceptance target, what its pump is held to blanked off, and
 * the speed from which on it is slow.
 * @param goodPa the pump's tests on fresh oil
 */
export function vacuumLimits(
  goodPa: readonly number[],
  setUp: Pick<PumpSetUp, 'pump' | 'model' | 'equipment'>,
): VacuumLimits {
  const { pumpingSpeedM3h } = setUp.model;
  return {
    leak: leakLimit({ pumpingSpeedM3h, targetPa: setTargetPa(goodPa, setUp) }),
    moisture: null,
    chamber: setUp.equipment.targetUltimatePa ?? null,
    blankOff: blankOffLimit(goodPa, setUp)?.limitPa ?? null,
    bagRise: BAG_LIMIT_PA,
    pullDown: null,
    speed: SLOW_SHARE * pumpingSpeedM3h,
  };
}
