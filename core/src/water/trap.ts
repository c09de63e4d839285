import { GAS_CONSTANT, KELVIN, mustLieWithin, WATER_DEFAULTS, WATER_G_PER_MOL } from './constants.js';
import { iceVapourPressurePa } from './vapour-pressure.js';

export interface TrapCarryover {
  /** Of its coldest surface, °C, -160 to 0. */
  readonly trapTempC: number;
  readonly pumpingSpeedM3h: number;
  readonly hours: number;
  /** On its way to the pump, °C. */
  readonly gasTempC?: number;
  /** 1 at best: the pump then swallows vapour at the ice vapour pressure; half as good a trap lets twice as much past. */
  readonly efficiency?: number;
}

/**
 * Water that the pump takes in past a cold trap: m = p_ice(T_trap) S t M / (R T_gas) / efficiency (domain section 5; ideal gas).
 * @returns g
 * @throws RangeError for a trap above 0 °C, a negative speed or time, or an efficiency outside 0 (excluded) to 1
 * @example trapCarryoverG({ trapTempC: -40, pumpingSpeedM3h: 6, hours: 30 }) // 17.1
 */
export function trapCarryoverG(trap: TrapCarryover): number {
  const { trapTempC, pumpingSpeedM3h, hours } = trap;
  const { gasTempC = WATER_DEFAULTS.gasTempC, efficiency = WATER_DEFAULTS.trapEfficiency } = trap;
  mustLieWithin('pumpingSpeedM3h', pumpingSpeedM3h, 0, 1e6, 'm³/h');
  mustLieWithin('hours', hours, 0, 1e6, 'h');
  mustLieWithin('efficiency', efficiency, 1e-6, 1, '');
  const mol =
    (iceVapourPressurePa({ tempC: trapTempC }) * pumpingSpeedM3h * hours) / (GAS_CONSTANT * (gasTempC + KELVIN));
  return (mol * WATER_G_PER_MOL) / efficiency;
}
