import type { PumpPage } from '@winter-jar/contracts';
import {
  effectiveEntries,
  pumpIdsOf,
  roundRow,
  standingAt,
  step,
  type Entry,
  type JournalEntry,
  type PumpSetUp,
  type PumpState,
} from '@winter-jar/core';

/** A pump's page with what waits on this device. */
export type HeldPage = PumpPage & {
  /** Entries that lie before others, or correct what the server has: what they change is computed when there is a connection. */
  readonly notComputed: number;
};

/**
 * Only what comes last can be folded here: before others the order decides what it means. A run counts the same wherever it lies on
 * the charge that goes on.
 */
export function isLate({ last, takenOver, sumps }: PumpState, { kind, happenedAt }: Entry): boolean {
  if (last === null || happenedAt >= last.happenedAt) return false;
  const since = [sumps[0]?.charge.since.at ?? '', takenOver?.at ?? ''];
  return kind !== 'run' || since.some((at) => happenedAt < at);
}

/** Words on it that do not count yet, as the server counted them. */
export const unsettledIn = ({ standing }: Pick<PumpPage, 'standing'>): number =>
  standing.reasons.find((r) => r.code === 'unsettled')?.corrections ?? 0;

/** Null where it names what this device's set-up does not have: the server says what is wrong with it when it comes there. */
function stepped(state: PumpState, entry: Entry, setUp: PumpSetUp): PumpState | null {
  try {
    return step(state, entry, setUp);
  } catch {
    return null;
  }
}

/** How a pump stands at a moment by the last state that the server told and what waits on this device, by the server's own functions. */
export function foldOn(page: PumpPage, waiting: readonly JournalEntry[], now: string): HeldPage {
  const about = waiting.filter((e) => pumpIdsOf(e).includes(page.row.pumpId));
  const own = effectiveEntries(about);
  const ids = new Set(about.map(({ id }) => id));
  let { state } = page;
  let notComputed = about.filter((e) => e.kind === 'correction' && !ids.has(e.body.targetId)).length;
  for (const entry of own) {
    const after = isLate(state, entry) ? null : stepped(state, entry, page.setUp);
    if (after) state = after;
    else notComputed += 1;
  }
  const standing = standingAt({ state, setUp: page.setUp, now, unsettled: unsettledIn(page) });
  return { ...page, state, standing, row: roundRow({ setUp: page.setUp, state, standing }), notComputed };
}
