import type { PumpEffect, RoundRow } from '@winter-jar/contracts';
import { initialState, type PumpState, onTheRound, rowOf } from '@winter-jar/core';
import { ofAnyVersion } from '../database/pump-state-in.js';
import type { SetUpStore } from '../journal/set-up-store.js';

/** A pump as it stands; one that is not on the Round has no row. */
export interface Side {
  readonly row: RoundRow | null;
  readonly state: PumpState;
}

export function sideOf(
  store: SetUpStore,
  { pumpId, state, unsettled, now }: { pumpId: string; state: PumpState; unsettled: number; now: string },
): Side {
  const setUp = store.book.pumpAt({ pumpId, instant: now });
  const row =
    setUp !== null && onTheRound(setUp.pump)
      ? ofAnyVersion(pumpId, state, (read) => rowOf({ setUp, state: read, now, unsettled }))
      : null;
  return { row, state };
}

/** What is otherwise than before at a pump; null when nothing is. */
export function differing(pumpId: string, was: Side | undefined, is: Side | undefined): PumpEffect | null {
  if (JSON.stringify([was?.row, was?.state.totals]) === JSON.stringify([is?.row, is?.state.totals])) return null;
  const { totals: before } = was?.state ?? initialState(pumpId);
  const { totals } = is?.state ?? initialState(pumpId);
  return {
    pumpId,
    name: (is?.row ?? was?.row)?.name ?? pumpId,
    before: was?.row ?? null,
    after: is?.row ?? null,
    runsBefore: before.runs,
    runsAfter: totals.runs,
    hoursBefore: before.minutes / 60,
    hoursAfter: totals.minutes / 60,
    weightBefore: before.weightMilli / 1000,
    weightAfter: totals.weightMilli / 1000,
  };
}
