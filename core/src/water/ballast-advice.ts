import type { PumpModel } from '../set-up/index.js';
import {
  ballastRemovalGPerH,
  molarBalanceHpa,
  waterVapourToleranceHpa,
  waterVapourToleranceMolarHpa,
  type Air,
} from './ballast.js';
import { WATER_DEFAULTS, WATER_G_PER_ML } from './constants.js';
import { ballastFlowM3h } from './run-water.js';

/** Water vapour that the pump can carry, as the strict and the trade form have it, hPa. */
export interface ToleranceRange {
  readonly molarHpa: number;
  readonly tradeHpa: number;
}

export interface BallastAdvice {
  readonly rule: PumpModel['ballastRule'];
  readonly oilTempC: number;
  readonly tolerance: ToleranceRange;
  readonly hotter: { readonly oilTempC: number; readonly tolerance: ToleranceRange };
  /** The oil is too cold for a wet run. */
  readonly warmUp: boolean;
  /** At this temperature the ballast's air brings more water than it carries out. */
  readonly addsWater: boolean;
  /** Hours of purge to clear the water, once warm; null where there is none to clear, or no end. */
  readonly purgeHours: number | null;
  /** Solvent or styrene: never with air. */
  readonly neverWithAir: boolean;
}

const HOTTER_BY_K = 20;
/** Above it oil should not run. */
const HOTTEST_C = 100;

/**
 * What the gas ballast of a pump can do at an oil temperature (docs/trade.md 5). A purge is estimated at 10 % of what saturated
 * air could carry: the answer is always to look again.
 */
export function ballastAdvice(
  input: Air & {
    model: Pick<PumpModel, 'ballastFlowM3h' | 'pumpingSpeedM3h' | 'ballastRule'>;
    oilTempC: number;
    waterMl: number;
    solvent: boolean;
  },
): BallastAdvice | null {
  const { model, oilTempC, waterMl, solvent, ...air } = input;
  if (model.ballastRule === 'none') return null;
  const flow = ballastFlowM3h(model);
  const ballastRatio = Math.min(1, flow / model.pumpingSpeedM3h);
  const toleranceAt = (tempC: number): ToleranceRange => {
    const at = { ballastRatio, oilTempC: Math.min(tempC, HOTTEST_C), ...air };
    return { molarHpa: waterVapourToleranceMolarHpa(at), tradeHpa: waterVapourToleranceHpa(at) };
  };
  const hotterC = Math.min(HOTTEST_C, oilTempC + HOTTER_BY_K);
  const perHour = ballastRemovalGPerH({
    ballastFlowM3h: flow,
    oilTempC: Math.min(oilTempC, HOTTEST_C - 1),
    efficiency: WATER_DEFAULTS.purgeEfficiency,
    ...air,
  });
  const addsWater = molarBalanceHpa({ ballastRatio, oilTempC: Math.min(oilTempC, HOTTEST_C), ...air }) < 0;
  return {
    rule: model.ballastRule,
    oilTempC,
    tolerance: toleranceAt(oilTempC),
    hotter: { oilTempC: hotterC, tolerance: toleranceAt(hotterC) },
    warmUp: oilTempC < WATER_DEFAULTS.warmOilC,
    addsWater,
    purgeHours: waterMl > 0 && perHour > 0 && !addsWater ? (waterMl * WATER_G_PER_ML) / perHour : null,
    neverWithAir: solvent,
  };
}
