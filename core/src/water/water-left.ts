import { mustLieWithin, WATER_DEFAULTS, WATER_G_PER_MOL } from './constants.js';
import { waterSaturationPressurePa } from './vapour-pressure.js';

/** More than the largest chamber that can be set up brings in a million cycles. */
const MOST = 1e15;

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
 * (docs/trade.md 5).
 * @returns g
 * @throws RangeError for negative amounts or an efficiency outside 0 to 1
 * @example waterLeftInOilG({ processWaterG: 17.1, airWaterG: 0, dryAirMol: 2, oilTempC: 60 }) // 13.9
 */
export function waterLeftInOilG(taken: TakenIn): number {
  const { processWaterG, airWaterG } = taken;
  mustLieWithin('processWaterG', processWaterG, 0, MOST, 'g');
  mustLieWithin('airWaterG', airWaterG, 0, MOST, 'g');
  return leftOfG({ processWaterG, airWaterG, canCarryG: airCarriesG(taken) });
}

/** What the air that passes could carry out, g: η n_air x/(1 - x); Infinity where the oil boils water off by itself. */
export function airCarriesG(air: Omit<TakenIn, 'processWaterG' | 'airWaterG'>): number {
  const { dryAirMol, oilTempC } = air;
  const { efficiency = WATER_DEFAULTS.carryOutEfficiency, exhaustPressureHpa = WATER_DEFAULTS.exhaustPressureHpa } =
    air;
  mustLieWithin('dryAirMol', dryAirMol, 0, MOST, 'mol');
  mustLieWithin('efficiency', efficiency, 0, 1, '');
  const x = waterSaturationPressurePa({ tempC: oilTempC }) / (exhaustPressureHpa * 100);
  return x >= 1 ? Infinity : ((efficiency * dryAirMol * x) / (1 - x)) * WATER_G_PER_MOL;
}

/** What stays of what came, less what the air carries out. */
export const leftOfG = (of: { processWaterG: number; airWaterG: number; canCarryG: number }): number =>
  Math.max(WATER_DEFAULTS.leastShareLeft * of.processWaterG, of.processWaterG + of.airWaterG - of.canCarryG);
