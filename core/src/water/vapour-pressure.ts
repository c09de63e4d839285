import { KELVIN, mustLieWithin } from './constants.js';

/**
 * Vapour pressure over ice.
 * Source: Murphy & Koop (2005), Q. J. R. Meteorol. Soc. 131, eq. 7; T above 110 K up to the triple point.
 * @param tempC °C, -160 to 0.01
 * @returns Pa
 * @throws RangeError outside. Example: -40 °C → 12.84 Pa.
 */
export function iceVapourPressurePa({ tempC }: { tempC: number }): number {
  mustLieWithin('tempC', tempC, -160, 0.01, '°C');
  const t = tempC + KELVIN;
  return Math.exp(9.550426 - 5723.265 / t + 3.53068 * Math.log(t) - 0.00728332 * t);
}

const CRITICAL_K = 647.096;
const CRITICAL_PA = 22.064e6;
/** Coefficient and exponent of each term. */
const SATURATION_LINE: readonly (readonly [a: number, exponent: number])[] = [
  [-7.85951783, 1],
  [1.84408259, 1.5],
  [-11.7866497, 3],
  [22.6807411, 3.5],
  [-15.9618719, 4],
  [1.80122502, 7.5],
];

/**
 * Vapour pressure over liquid water.
 * Source: Wagner & Pruss (1993), J. Phys. Chem. Ref. Data 22, eq. 1 (IAPWS SR1-86(1992)); triple point to critical point.
 * Below 0.01 °C, down to -40, it goes on along the same line: supercooled water, within 1 % of Murphy & Koop (2005), eq. 10.
 * @param tempC °C, -40 to 373
 * @returns Pa
 * @throws RangeError outside. Example: 20 °C → 2339.2 Pa.
 */
export function waterSaturationPressurePa({ tempC }: { tempC: number }): number {
  mustLieWithin('tempC', tempC, -40, 373, '°C');
  const t = tempC + KELVIN;
  const theta = 1 - t / CRITICAL_K;
  const sum = SATURATION_LINE.reduce((s, [a, exponent]) => s + a * theta ** exponent, 0);
  return CRITICAL_PA * Math.exp((CRITICAL_K / t) * sum);
}
