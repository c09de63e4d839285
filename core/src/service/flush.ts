import type { PumpModel } from '../set-up/index.js';

/**
 * What is left of what was in the oil after so many fills, each run and drained: perfect mixing, C_n = C_0 hⁿ (docs/trade.md 8-D).
 * Deposits that release again, and corners that do not mix, leave more.
 * @param holdUp share of a charge that stays behind after a drain, from 0 to below 1
 * @param fills whole, from 0; the new charge counts as the last
 * @returns share, 0-1
 * @throws RangeError where the shares or the fills cannot be
 */
export function flushResidual({ holdUp, fills }: { holdUp: number; fills: number }): number {
  if (!(holdUp >= 0 && holdUp < 1)) throw new RangeError(`holdUp: ${holdUp} is no share from 0 to below 1`);
  if (!Number.isInteger(fills) || fills < 0) throw new RangeError(`fills: ${fills} is not a whole number from 0`);
  return holdUp ** fills;
}

/** What so many fills leave and take, at best. */
export interface FlushFill {
  readonly fills: number;
  /** Of what was there, 0-1. */
  readonly left: number;
  readonly oilMl: number;
}

const FILLS_SHOWN = 3;

/** What a drain leaves of the main charge: also what the oil filter soaks up, where it is not renewed. 0 without a sump. */
export function holdUpShare(model: PumpModel, isFilterNew: boolean): number {
  const sump = model.sumps[0];
  if (!sump) return 0;
  const filterMl = model.hasOilFilter && !isFilterNew ? (model.oilFilterHoldUpMl ?? 0) : 0;
  // A model whose drain leaves all of it is none; the door keeps hold-up below the charge.
  return Math.min((sump.holdUpMl + filterMl) / sump.chargeMl, 0.99);
}

/** The first fills of a flush. Empty without a sump. */
export function flushFills(model: PumpModel, isFilterNew: boolean): FlushFill[] {
  const sump = model.sumps[0];
  if (!sump) return [];
  const holdUp = holdUpShare(model, isFilterNew);
  return Array.from({ length: FILLS_SHOWN }, (_, i) => ({
    fills: i + 1,
    left: flushResidual({ holdUp, fills: i + 1 }),
    oilMl: (i + 1) * sump.chargeMl,
  }));
}
