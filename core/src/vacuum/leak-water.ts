import { waterSaturationPressurePa } from '../water/index.js';

const GAS_CONSTANT = 8.314_462_618;
const WATER_G_PER_MOL = 18.015;
const KELVIN = 273.15;
const DAY_S = 86_400;
const AIR_PA = 101_325;

/**
 * Water that the air of a room brings through a leak: the part of vapour in it, by Dalton, of what leaks in, by the ideal gas law.
 * @param input.leakPaM3PerS 0 or more
 * @param input.roomTempC of the air, 0 to 60
 * @param input.humidity of it, 0-1
 * @returns g in a day. Example: 1.6e-4 Pa·m³/s at 20 °C and one half brings 1.18 mg
 * @throws RangeError below 0 or outside
 */
export function leakWaterGPerDay(input: { leakPaM3PerS: number; roomTempC?: number; humidity?: number }): number {
  const { leakPaM3PerS, roomTempC = 20, humidity = 0.5 } = input;
  if (!(leakPaM3PerS >= 0)) throw new RangeError(`leakPaM3PerS: ${leakPaM3PerS} is below 0`);
  if (!(roomTempC >= 0 && roomTempC <= 60)) throw new RangeError(`roomTempC: ${roomTempC} is not 0 to 60 °C`);
  if (!(humidity >= 0 && humidity <= 1)) throw new RangeError(`humidity: ${humidity} is not 0 to 1`);
  const vapour = (humidity * waterSaturationPressurePa({ tempC: roomTempC })) / AIR_PA;
  const molPerS = leakPaM3PerS / (GAS_CONSTANT * (roomTempC + KELVIN));
  return molPerS * vapour * WATER_G_PER_MOL * DAY_S;
}
