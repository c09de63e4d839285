import type { EntryHistory } from '@winter-jar/contracts';
import { winningCorrection, type Correction, type Entry } from '@winter-jar/core';

/** What was said at one time: the entry as first written, or as a correction has it; null where it was taken back. */
export interface Revision {
  readonly key: string;
  readonly said: Entry | null;
  readonly who: string | null;
  readonly recordedAt: string;
  readonly counts: boolean;
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
  });
  const first = { key: original.id, said: original, who: original.who ?? null, recordedAt: original.recordedAt };
  const sorted = [...corrections].sort((a, b) => (a.recordedAt < b.recordedAt ? -1 : 1));
  return [{ ...first, counts: winner === null }, ...sorted.map(ofCorrection)];
}
