import type { JournalEntry } from '@winter-jar/core';

/** Less is no wrong clock: answers take their time, and people round to minutes. */
const OFF_MS = 120_000;
/** An answer that took longer says too little of its moment. */
const QUICK_MS = 10_000;

let aheadMs: number | null = null;

/** Holds this device's clock against the server's. @param askedMs, heardMs by this device, around the answer */
export function heldAgainst(serverNow: string, askedMs: number, heardMs: number): void {
  if (heardMs - askedMs > QUICK_MS) return;
  aheadMs = (askedMs + heardMs) / 2 - Date.parse(serverNow);
}

/** By how many seconds this device's clock is ahead (behind: negative); 0 where it is right, null before it was held against another. */
export const clockAheadS = (): number | null =>
  aheadMs === null ? null : Math.abs(aheadMs) < OFF_MS ? 0 : Math.round(aheadMs / 1000);

const earlier = (at: string, seconds: number): string => new Date(Date.parse(at) - seconds * 1000).toISOString();

/**
 * What was written by a clock that is off, as it really was; how far it was off stays with it.
 * @param isOwn whether an entry was written by the same clock: what corrects another may say its moment as the server has it
 */
export function timedRight(entry: JournalEntry, aheadS: number, isOwn: (entryId: string) => boolean): JournalEntry {
  if (aheadS === 0) return entry;
  const timed = {
    ...entry,
    happenedAt: earlier(entry.happenedAt, aheadS),
    recordedAt: earlier(entry.recordedAt, aheadS),
    clockAheadS: aheadS,
  };
  if (timed.kind !== 'correction' || !timed.body.happenedAt || !isOwn(timed.body.targetId)) return timed;
  return { ...timed, body: { ...timed.body, happenedAt: earlier(timed.body.happenedAt, aheadS) } };
}
