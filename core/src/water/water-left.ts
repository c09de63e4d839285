import { mustLieWithin, WATER_DEFAULTS, WATER_G_PER_MOL } from './constants.js';
import { waterSaturationPressurePa } from './vapour-pressure.js';

export interface TakenIn {
  /** Past the trap and from wet product, g. */
  readonly processWaterG: number;
  /** With ballast and chamber air, g. */
  readonly airWaterG: number;
  /** All dry air that passes the pump, mol. */
  readonly dryAirMol: number;
  readonly oilTempC: number;
  /** How nearly the air leaves saturated, 0 to 1. */
  readonly efficiency?: number;
  readonly exhaustPressureHpa?: number;
}

/**
 * Water that stays in the oil of all that is taken in: max(0.05 n_process, n_w - η n_air x/(1 - x)), x = p_s(T_oil)/p_n
 * (domain section 5).
 * @returns g
 * @throws RangeError for negative amounts or an efficiency outside 0 to 1
 * @example waterLeftInOilG({ processWaterG: 17.1, airWaterG: 0, dryAirMol: 2, oilTempC: 60 }) // 13.9
 */
export function waterLeftInOilG(taken: TakenIn): number {
  const { processWaterG, airWaterG, dryAirMol, oilTempC } = taken;
  const { efficiency = WATER_DEFAULTS.carryOutEfficiency, exhaustPressureHpa = WATER_DEFAULTS.exhaustPressureHpa } =
    taken;
  mustLieWithin('processWaterG', processWaterG, 0, 1e9, 'g');
  mustLieWithin('airWaterG', airWaterG, 0, 1e9, 'g');
  mustLieWithin('dryAirMol', dryAirMol, 0, 1e9, 'mol');
  mustLieWithin('efficiency', efficiency, 0, 1, '');
  const least = WATER_DEFAULTS.leastShareLeft * processWaterG;
  const x = waterSaturationPressurePa({ tempC: oilTempC }) / (exhaustPressureHpa * 100);
  if (x >= 1) return least;
  const canCarryG = ((efficiency * dryAirMol * x) / (1 - x)) * WATER_G_PER_MOL;
  return Math.max(least, processWaterG + airWaterG - canCarryG);
}
