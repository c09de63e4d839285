import { waterUlOfG } from './constants.js';
import type { WaterSegment } from './fit-trap-efficiency.js';
import { leftWithTrapG, type RunWater } from './run-water.js';

/** Times as good as S·p, at which it is kept what a stretch should have left. */
const FACTORS = [0.1, 0.3, 0.6, 1, 2, 5] as const;

/** Runs between two looks for water: what was found, and what they should have left for a trap of each of the factors, µL. */
export interface TrapStretch {
  readonly foundUl: number;
  readonly leftUl: readonly number[];
}

export const NOTHING_LEFT: readonly number[] = FACTORS.map(() => 0);

/** @param factor of the trap that the run's water was estimated with */
export const leftAtFactorsUl = (water: Extract<RunWater, { ok: true }>, factor: number): number[] =>
  FACTORS.map((other) => waterUlOfG(leftWithTrapG(water, other / factor)));

/** As the fit reads it. What passes a trap goes with 1/factor, so between two factors it runs straight in that; from 0.1 to 5. */
export function asSegment({ foundUl, leftUl }: TrapStretch): WaterSegment {
  return {
    foundMl: foundUl / 1000,
    leftMl: (efficiency) => {
      const above = FACTORS.findIndex((factor) => factor >= efficiency);
      const i = above < 0 ? FACTORS.length - 1 : Math.max(1, above);
      const [low, high] = [FACTORS[i - 1] ?? 1, FACTORS[i] ?? 1];
      const [most, least] = [leftUl[i - 1] ?? 0, leftUl[i] ?? 0];
      const share = (1 / low - 1 / efficiency) / (1 / low - 1 / high);
      return (most + (least - most) * share) / 1000;
    },
  };
}
