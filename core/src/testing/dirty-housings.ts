import type { Random } from '../simulate/index.js';

/** A housing as it is, in amounts per charge: what nobody beside it can see. */
export interface DirtyHousing {
  readonly holdUp: number;
  /** Corners that no drain empties, as a share of the charge, and which part of their oil a fill carries off. */
  readonly corners: number;
  readonly exchange: number;
  /** What a fill takes off the walls, as a share of what sits there. */
  readonly takenOff: number;
  readonly inOil: number;
  readonly inCorners: number;
  readonly onWalls: number;
}

/** Drained, filled, run half an hour warm. Nothing is made and nothing is lost: what is not in the drained oil is still in the housing. */
export function afterFlushFill(housing: DirtyHousing): DirtyHousing {
  const { holdUp, corners, exchange, takenOff, inOil, inCorners, onWalls } = housing;
  const released = takenOff * onWalls;
  const mixed = holdUp * inOil + released;
  const moved = (exchange * corners * (inCorners - mixed)) / (1 + corners);
  return {
    ...housing,
    inOil: mixed + moved,
    inCorners: corners === 0 ? inCorners : inCorners - moved / corners,
    onWalls: onWalls - released,
  };
}

/** Half of them have clean walls, half corners that mix badly. */
export function dirtyHousing(random: Random, start: number): DirtyHousing {
  const hasWalls = random.chance(0.5);
  const hasCorners = random.chance(0.5);
  return {
    holdUp: random.between([0.05, 0.2]),
    corners: hasCorners ? random.between([0.02, 0.15]) : 0,
    exchange: random.between([0.2, 1]),
    takenOff: random.between([0.03, 0.5]),
    inOil: start,
    inCorners: start,
    onWalls: hasWalls ? start * Math.exp(random.between([Math.log(0.1), Math.log(6)])) : 0,
  };
}

/** What is read in the jar of a fill: to a tenth of it, and no finer than the scale. */
export const readingOf = (random: Random, { inOil }: DirtyHousing, coarse: number): number =>
  Math.max(0, inOil * (1 + 0.1 * random.normal()) + coarse * random.normal());
