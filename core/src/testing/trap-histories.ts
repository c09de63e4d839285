import { seededRandom } from '../simulate/index.js';
import type { WaterSegment } from '../water/index.js';

/**
 * Histories of runs on a 6 m³/h pump, written out here with a formula of their own: the Magnus form over ice (WMO, 2018,
 * guide no. 8, annex 4.B), the ideal gas, a trap read to within a kelvin, and water that is read by eye.
 */
const icePa = (c: number): number => 611.2 * Math.exp((22.46 * c) / (272.62 + c));
const pastG = (c: number, hours: number): number => (icePa(c) * 6 * hours * 18.015) / (8.3145 * 293.15);

export interface TrapHistory {
  readonly truth: number;
  readonly segments: WaterSegment[];
}

/** @param spoil one run of it has its trap read 15 K too cold */
export function trapHistory(seed: number, spoil?: number, runs = 20): TrapHistory {
  const random = seededRandom(seed);
  const gauss = () =>
    Math.sqrt(-2 * Math.log(random.between([1e-9, 1]))) * Math.cos(2 * Math.PI * random.between([0, 1]));
  const truth = 0.2 * 20 ** random.between([0, 1]);
  const segments = Array.from({ length: runs }, (_, i): WaterSegment => {
    const hours = random.between([15, 45]);
    const really = random.between([-50, -36]);
    const read = i === spoil ? really - 15 : Math.round(really + gauss());
    const foundMl = Math.max(0, Math.round((pastG(really, hours) / truth) * Math.exp(0.12 * gauss()) + 2 * gauss()));
    return { foundMl, leftMl: (efficiency) => pastG(read, hours) / efficiency };
  });
  return { truth, segments };
}
