import type { EntryHistory } from '@winter-jar/contracts';
import { winningCorrection, type Correction, type Entry } from '@winter-jar/core';

/** What was said at one time: the entry as first written, or as a correction has it; null where it was taken back. */
export interface Revision {
  readonly key: string;
  readonly said: Entry | null;
  readonly who: string | null;
  readonly recordedAt: string;
  readonly counts: boolean;
  /** By how much the device's clock was ahead when it was written; its times stand put right. */
  readonly clockAheadS: number;
}

/** In the order of writing: the entry as it was first written, then each correction. */
export function revisionsOf({ original, corrections }: EntryHistory): Revision[] {
  const winner = winningCorrection(corrections);
  const ofCorrection = (c: Correction): Revision => ({
    key: c.id,
    said:
      c.body.action === 'void'
        ? null
        : ({ ...original, body: c.body.body, happenedAt: c.body.happenedAt ?? original.happenedAt } as Entry),
    who: c.who ?? null,
    recordedAt: c.recordedAt,
    counts: c === winner,
    clockAheadS: c.clockAheadS ?? 0,
  });
  const first = {
    key: original.id,
    said: original,
    who: original.who ?? null,
    recordedAt: original.recordedAt,
    clockAheadS: original.clockAheadS ?? 0,
  };
  const sorted = [...corrections].sort((a, b) => (a.recordedAt < b.recordedAt ? -1 : 1));
  return [{ ...first, counts: winner === null }, ...sorted.map(ofCorrection)];
}

/** What a clock that was off has to do with an entry's times: as they stand here, and as they were written. */
export function clockWords(aheadS: number): string {
  const minutes = Math.round(Math.abs(aheadS) / 60);
  const off =
    minutes < 120
      ? `${minutes}\u00a0min`
      : minutes < 2880
        ? `${Math.round(minutes / 60)}\u00a0h`
        : `${Math.round(minutes / 1440)}\u00a0days`;
  const way = aheadS > 0 ? 'ahead' : 'behind';
  return `on a device whose clock was ${off} ${way}: its times were written ${off} ${aheadS > 0 ? 'later' : 'earlier'} and stand here put right`;
}
