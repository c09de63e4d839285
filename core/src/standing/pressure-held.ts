import type { Equipment } from '../set-up/index.js';
import type { BestPressures } from '../fold/index.js';

/** One pressure of a run, held against the set's acceptance target and against its own best. */
export interface PressureHeld {
  readonly which: 'first' | 'lowest';
  readonly reachedPa: number;
  readonly targetPa: number | null;
  /** Null where the set has no target. */
  readonly met: boolean | null;
  readonly bestPa: number | null;
  /** How many times the best it is; null without one. */
  readonly timesBest: number | null;
}

/** Both pressures of a run that were logged. Targets are the equipment's, the best is this pump's on it before the run. */
export function heldAgainst(input: {
  firstPa: number | null;
  lowestPa: number | null;
  equipment: Pick<Equipment, 'targetFirstPa' | 'targetUltimatePa'>;
  best: BestPressures | null;
}): PressureHeld[] {
  const { firstPa, lowestPa, equipment, best } = input;
  const held = (
    which: PressureHeld['which'],
    reachedPa: number | null,
    targetPa: number | null,
    bestPa: number | null,
  ): PressureHeld[] =>
    reachedPa === null
      ? []
      : [
          {
            which,
            reachedPa,
            targetPa,
            met: targetPa === null ? null : reachedPa <= targetPa,
            bestPa,
            timesBest: bestPa === null ? null : reachedPa / bestPa,
          },
        ];
  return [
    ...held('first', firstPa, equipment.targetFirstPa ?? null, best?.firstPa ?? null),
    ...held('lowest', lowestPa, equipment.targetUltimatePa ?? null, best?.lowestPa ?? null),
  ];
}
