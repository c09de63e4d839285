import type { MeasuredPressure } from '../journal/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { median, ownLimit } from '../statistics/index.js';
import type { PressureLimit } from './machine-finding.js';

/** Gauges scatter by a fifth. */
const POOR_TIMES = 1.2;
/** So many times its target or usual is far above it. */
const FAR_TIMES = 5;
/** Of the logarithm: runs that are all alike still scatter by a quarter. */
const LEAST_SPREAD = 0.2;
/** Blanked off a pump scatters by factors, with oil and gauge (docs/trade.md 4, by the gauge). */
const OWN_TIMES = 3;
/** Tests on fresh oil of which the good value is the median. */
export const GOOD_TESTS = 3;
/** Oil that has run half an hour. */
const WARM_C = 50;

export interface HeldTo {
  readonly limitPa: number;
  readonly against: PressureLimit;
}

/** What a run is held to, and from where on it stands far above its target or usual. */
export interface RunHeldTo extends HeldTo {
  readonly farPa: number;
}

/**
 * What a run's pressure is held to: the acceptance target of its set, else what earlier runs on it have reached. Pressures scatter
 * by factors, so what is unusual is estimated on their logarithms.
 * @returns null with no target and too few runs
 */
export function runLimit(
  targetPa: number | null | undefined,
  reachedPa: readonly (number | null | undefined)[],
): RunHeldTo | null {
  if (targetPa) return { limitPa: POOR_TIMES * targetPa, farPa: FAR_TIMES * targetPa, against: 'target' };
  const values = reachedPa.flatMap((pa) => (pa ? [Math.log10(pa)] : []));
  const own = ownLimit({ values, leastSpread: LEAST_SPREAD });
  return own && { limitPa: 10 ** own.limit, farPa: FAR_TIMES * 10 ** own.usual, against: 'usual' };
}

/** Of a pump in order where nobody says better: of one stage, and of two. */
const USUAL_ULTIMATE_PA = { one: 50, two: 0.5 } as const;

/** What a pump comes to when it is well, Pa: its own good tests, what its record or its model says, else what such pumps do. */
export function pumpUltimatePa(goodPa: readonly number[], { pump, model }: Pick<PumpSetUp, 'pump' | 'model'>): number {
  if (goodPa.length > 0) return median(goodPa);
  return pump.blankOffPa ?? model.ultimatePa ?? USUAL_ULTIMATE_PA[model.stages === 1 ? 'one' : 'two'];
}

/** What a set is to come to, Pa: its acceptance target, else three times what its pump comes to (docs/trade.md 4). */
export const setTargetPa = (
  goodPa: readonly number[],
  setUp: Pick<PumpSetUp, 'pump' | 'model' | 'equipment'>,
): number => setUp.equipment.targetUltimatePa ?? OWN_TIMES * pumpUltimatePa(goodPa, setUp);

/** What a log of the pump blanked off is held to, Pa: its limit, else three times what such pumps come to. */
export const blankOffHeldToPa = (goodPa: readonly number[], setUp: Pick<PumpSetUp, 'pump' | 'model'>): number =>
  blankOffLimit(goodPa, setUp)?.limitPa ?? OWN_TIMES * pumpUltimatePa(goodPa, setUp);

export const isByTheGauge = ({ pump }: Pick<PumpSetUp, 'pump'>): boolean => pump.preset === 'byTheGauge';

/**
 * What the pump is held to, blanked off: three times its own good value (the median of three tests on fresh oil), else of what its
 * record or its model says. Who cares by the gauge holds it to the acceptance target as well, where that is stricter.
 * @param goodPa tests on fresh oil, three at most
 */
export function blankOffLimit(goodPa: readonly number[], setUp: Pick<PumpSetUp, 'pump' | 'model'>): HeldTo | null {
  const { blankOffPa = null } = setUp.pump;
  const modelPa = setUp.model.ultimatePa ?? null;
  const good = goodPa.length >= GOOD_TESTS ? OWN_TIMES * median(goodPa) : null;
  if (good !== null && isByTheGauge(setUp) && blankOffPa !== null && blankOffPa < good)
    return { limitPa: blankOffPa, against: 'target' };
  if (good !== null) return { limitPa: good, against: 'good' };
  if (blankOffPa !== null) return { limitPa: OWN_TIMES * blankOffPa, against: 'own' };
  return modelPa === null ? null : { limitPa: OWN_TIMES * modelPa, against: 'model' };
}

/** At the pump, ballast closed, oil warm where anybody said it: only such a reading is held to a limit. */
export const isFairBlankOff = ({ where, ballast, oilTempC }: MeasuredPressure): boolean =>
  where === 'pump' && ballast !== 'open' && (oilTempC ?? WARM_C) >= WARM_C;
