import { ATMOSPHERE_PA, GAS_CONSTANT, KELVIN, mustLieWithin, WATER_DEFAULTS, WATER_G_PER_MOL } from './constants.js';
import { iceVapourPressurePa, waterSaturationPressurePa } from './vapour-pressure.js';

/** A reading of the trap over the run. */
export interface TrapReading {
  readonly minutes: number;
  readonly tempC: number;
}

const TRIPLE_POINT_C = 0.01;

/** What a trap lets the pump see: vapour over ice, or over water once it has thawed. */
const trapPressurePa = (tempC: number): number =>
  tempC <= TRIPLE_POINT_C ? iceVapourPressurePa({ tempC }) : waterSaturationPressurePa({ tempC });

/** Temperatures of a profile are joined by straight lines, cut into pieces of so many minutes, or longer ones where it is endless. */
const PIECE_MINUTES = 5;
/** Over a month. */
const MOST_PIECES = 10_000;

/**
 * The one temperature that lets as much water past as a profile does: its vapour pressure is the profile's mean over time.
 * A few warm hours count more than many cold ones, so this is warmer than the mean temperature.
 * @param readings at least one, minutes rising
 * @returns °C
 * @throws RangeError for no reading, or minutes that do not rise
 * @example effectiveTrapTempC([{ minutes: 0, tempC: -50 }, { minutes: 600, tempC: -30 }]) // -38.3
 */
export function effectiveTrapTempC(readings: readonly TrapReading[]): number {
  const [first] = readings;
  if (!first) throw new RangeError('readings: none; at least one is needed');
  let weighed = 0;
  let minutes = 0;
  readings.slice(1).forEach((next, i) => {
    const before = readings[i] ?? first;
    const span = next.minutes - before.minutes;
    if (!(span > 0 && span < Infinity))
      throw new RangeError(`readings: minute ${next.minutes} does not come after ${before.minutes}`);
    const pieces = Math.min(MOST_PIECES, Math.max(1, Math.ceil(span / PIECE_MINUTES)));
    for (let k = 0; k < pieces; k++) {
      const tempC = before.tempC + ((next.tempC - before.tempC) * (k + 0.5)) / pieces;
      weighed += trapPressurePa(tempC) * (span / pieces);
    }
    minutes += span;
  });
  return minutes === 0 ? first.tempC : tempOfPressureC(weighed / minutes);
}

/** The trap temperature of a vapour pressure, by halving. */
function tempOfPressureC(pa: number): number {
  let low = -150;
  let high = 100;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (trapPressurePa(middle) < pa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Five times as good as S·p says: a fifth of it is swallowed, or caught. */
export const BEST_TRAP = 5;

export interface TrapCarryover {
  /** Of its coldest surface, °C; above 0.01 it has thawed. */
  readonly trapTempC: number;
  readonly pumpingSpeedM3h: number;
  readonly hours: number;
  /** On its way to the pump, °C. */
  readonly gasTempC?: number;
  /** 1: the pump swallows vapour at the ice vapour pressure; half as good a trap lets twice as much past, a thin hose less than S·p. */
  readonly efficiency?: number;
}

/**
 * Water that the pump takes in past a cold trap: m = p_ice(T_trap) S t M / (R T_gas) / efficiency (docs/trade.md 5; ideal gas).
 * @returns g
 * @throws RangeError for a negative speed or time, or an efficiency outside 0 (excluded) to {@link BEST_TRAP}
 * @example trapCarryoverG({ trapTempC: -40, pumpingSpeedM3h: 6, hours: 30 }) // 17.1
 */
export function trapCarryoverG(trap: TrapCarryover): number {
  const { trapTempC, pumpingSpeedM3h, hours } = trap;
  const { gasTempC = WATER_DEFAULTS.gasTempC, efficiency = WATER_DEFAULTS.trapEfficiency } = trap;
  mustLieWithin('pumpingSpeedM3h', pumpingSpeedM3h, 0, 1e6, 'm³/h');
  mustLieWithin('hours', hours, 0, 1e6, 'h');
  mustLieWithin('efficiency', efficiency, 1e-6, BEST_TRAP, '');
  const mol = (trapPressurePa(trapTempC) * pumpingSpeedM3h * hours) / (GAS_CONSTANT * (gasTempC + KELVIN));
  return (mol * WATER_G_PER_MOL) / efficiency;
}

/** The air leak that would bring so much water at half humidity, and the pressure at which it would hold the chamber. */
export interface LeakNeeded {
  readonly leakHpaLPerS: number;
  readonly chamberHpa: number;
}

const LITRES_PER_M3 = 1000;
const SECONDS_PER_H = 3600;

/**
 * How large a leak of room air explains an amount of water, and what pressure Q/S it would hold: this excludes most leaks at
 * once (docs/trade.md 5).
 * @param humidWaterPa water's part in the pressure of the room's air
 * @example leakToExplain({ waterG: 17, hours: 30, pumpingSpeedM3h: 6, humidWaterPa: 1170 }) // about 18 hPa L/s, 11 hPa
 */
export function leakToExplain(input: {
  waterG: number;
  hours: number;
  pumpingSpeedM3h: number;
  humidWaterPa: number;
}): LeakNeeded {
  const { waterG, hours, pumpingSpeedM3h, humidWaterPa } = input;
  mustLieWithin('hours', hours, 1e-6, 1e6, 'h');
  mustLieWithin('pumpingSpeedM3h', pumpingSpeedM3h, 1e-6, 1e6, 'm³/h');
  const kelvin = WATER_DEFAULTS.airTempC + KELVIN;
  // The vapour's own throughput in Pa m³/s, and that of the air which carries it.
  const vapour = ((waterG / WATER_G_PER_MOL) * GAS_CONSTANT * kelvin) / (hours * SECONDS_PER_H);
  const air = vapour * (ATMOSPHERE_PA / humidWaterPa);
  return {
    leakHpaLPerS: (air / 100) * LITRES_PER_M3,
    chamberHpa: air / (pumpingSpeedM3h / SECONDS_PER_H) / 100,
  };
}
