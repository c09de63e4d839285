import { ATMOSPHERE_PA, GAS_CONSTANT, KELVIN, mustLieWithin, WATER_G_PER_MOL } from './constants.js';
import { waterSaturationPressurePa } from './vapour-pressure.js';

const LITRES_PER_M3 = 1000;

export interface Cycles {
  readonly cycles: number;
  readonly chamberVolumeL: number;
  /** Of the product, which the chamber's air takes on. */
  readonly productTempC: number;
  /** Relative, 0 to 1. */
  readonly humidity: number;
  /** What a wet product gives off per cycle once the pressure is below its saturation pressure, g. */
  readonly flashGPerCycle?: number;
  /** Lowest pressure of a cycle; without it nothing is taken to flash off. */
  readonly endPressurePa?: number | null;
}

/**
 * What the cycles of a packaging machine bring to the pump: chamber volume x vapour density, and what flashes off a wet
 * product (docs/trade.md 5; ideal gas).
 * @returns water in g, by where it comes from, and dry air in mol
 * @throws RangeError for negative counts or volumes, or a humidity outside 0 to 1
 * @example cycleWater({ cycles: 2000, chamberVolumeL: 50, productTempC: 20, humidity: 1 }).chamberG // 1728
 */
export function cycleWater(input: Cycles): { chamberG: number; flashG: number; dryAirMol: number } {
  const { cycles, chamberVolumeL, productTempC, humidity, flashGPerCycle = 0, endPressurePa = null } = input;
  mustLieWithin('cycles', cycles, 0, 1e8, '');
  mustLieWithin('chamberVolumeL', chamberVolumeL, 0, 1e6, 'L');
  mustLieWithin('humidity', humidity, 0, 1, '');
  mustLieWithin('flashGPerCycle', flashGPerCycle, 0, 1e5, 'g');
  const saturationPa = waterSaturationPressurePa({ tempC: productTempC });
  const molPerPa = (cycles * (chamberVolumeL / LITRES_PER_M3)) / (GAS_CONSTANT * (productTempC + KELVIN));
  const vapourPa = humidity * saturationPa;
  const flashes = endPressurePa !== null && endPressurePa < saturationPa;
  return {
    chamberG: vapourPa * molPerPa * WATER_G_PER_MOL,
    flashG: flashes ? cycles * flashGPerCycle : 0,
    dryAirMol: (ATMOSPHERE_PA - vapourPa) * molPerPa,
  };
}
