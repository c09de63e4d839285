import { ATMOSPHERE_PA, GAS_CONSTANT, KELVIN, mustLieWithin, WATER_DEFAULTS, WATER_G_PER_MOL } from './constants.js';
import { waterSaturationPressurePa } from './vapour-pressure.js';

export interface Air {
  readonly airTempC?: number;
  /** Relative, 0 to 1. */
  readonly airHumidity?: number;
}

/** Water's part in the pressure of the room's air, Pa. */
export function airVapourPressurePa(air: Air): number {
  const { airTempC = WATER_DEFAULTS.airTempC, airHumidity = WATER_DEFAULTS.airHumidity } = air;
  mustLieWithin('airHumidity', airHumidity, 0, 1, '');
  return airHumidity * waterSaturationPressurePa({ tempC: airTempC });
}

/** What so much room air brings: dry air in mol, water in g. */
export function airBrings(air: Air & { volumeM3: number }): { dryAirMol: number; waterG: number } {
  const { airTempC = WATER_DEFAULTS.airTempC, volumeM3 } = air;
  const vapourPa = airVapourPressurePa(air);
  const molPerPa = volumeM3 / (GAS_CONSTANT * (airTempC + KELVIN));
  return { dryAirMol: (ATMOSPHERE_PA - vapourPa) * molPerPa, waterG: vapourPa * molPerPa * WATER_G_PER_MOL };
}

export interface Tolerance extends Air {
  /** Ballast flow over pumping speed, B/S. */
  readonly ballastRatio: number;
  readonly oilTempC: number;
  readonly exhaustPressureHpa?: number;
}

/** Pressures in hPa that both forms need; null where the oil is so hot that vapour leaves by itself. */
function pressures(t: Tolerance): { exhaust: number; oil: number; air: number } | null {
  const { ballastRatio, oilTempC, exhaustPressureHpa = WATER_DEFAULTS.exhaustPressureHpa } = t;
  mustLieWithin('ballastRatio', ballastRatio, 0, 1, '');
  mustLieWithin('exhaustPressureHpa', exhaustPressureHpa, 500, 5000, 'hPa');
  const oil = waterSaturationPressurePa({ tempC: oilTempC }) / 100;
  return oil >= exhaustPressureHpa ? null : { exhaust: exhaustPressureHpa, oil, air: airVapourPressurePa(t) / 100 };
}

/**
 * Water vapour that a pump on ballast can carry at its inlet, trade form: p_W = (B/S) p_n (p_s - p_a) / (p_n - p_s)
 * (docs/trade.md 5), p_s over the oil, p_a in the ballast air.
 * @returns hPa, never below 0; Infinity where the oil's saturation pressure is above the exhaust's
 * @example waterVapourToleranceHpa({ ballastRatio: 0.1, oilTempC: 70 }) // 39.2
 */
export function waterVapourToleranceHpa(t: Tolerance): number {
  const p = pressures(t);
  return p ? Math.max(0, (t.ballastRatio * p.exhaust * (p.oil - p.air)) / (p.exhaust - p.oil)) : Infinity;
}

/**
 * The same as a strict molar balance, not cut off at 0: below 0 the ballast brings more water than it carries out.
 * p_W = (B/S) (p_atm p_s - p_n p_a) / (p_n - p_s)
 */
export function molarBalanceHpa(t: Tolerance): number {
  const p = pressures(t);
  const atmosphere = ATMOSPHERE_PA / 100;
  return p ? (t.ballastRatio * (atmosphere * p.oil - p.exhaust * p.air)) / (p.exhaust - p.oil) : Infinity;
}

/**
 * Water vapour tolerance in the strict molar form (docs/trade.md 5).
 * @returns hPa, never below 0
 * @example waterVapourToleranceMolarHpa({ ballastRatio: 0.1, oilTempC: 70 }) // 29.4
 */
export const waterVapourToleranceMolarHpa = (t: Tolerance): number => Math.max(0, molarBalanceHpa(t));

export interface Removal extends Air {
  readonly ballastFlowM3h: number;
  readonly oilTempC: number;
  /** Of what saturated air could carry; real oil gives its water up slowly (0.1 for a purge). */
  readonly efficiency?: number;
}

/**
 * Water that the ballast carries out of the oil with the inlet closed: n_air (p_s/(p - p_s) - p_a/(p - p_a)) M, p the
 * atmosphere (docs/trade.md 5).
 * @returns g/h; below 0 the ballast adds water; Infinity at or above 100 °C
 * @example ballastRemovalGPerH({ ballastFlowM3h: 0.6, oilTempC: 70 }) // 192 at most
 */
export function ballastRemovalGPerH(removal: Removal): number {
  const { ballastFlowM3h, oilTempC, efficiency = 1 } = removal;
  mustLieWithin('ballastFlowM3h', ballastFlowM3h, 0, 1e5, 'm³/h');
  mustLieWithin('efficiency', efficiency, 0, 1, '');
  const oil = waterSaturationPressurePa({ tempC: oilTempC });
  if (oil >= ATMOSPHERE_PA) return Infinity;
  const air = airVapourPressurePa(removal);
  const { dryAirMol } = airBrings({ ...removal, volumeM3: ballastFlowM3h });
  return efficiency * dryAirMol * (oil / (ATMOSPHERE_PA - oil) - air / (ATMOSPHERE_PA - air)) * WATER_G_PER_MOL;
}
