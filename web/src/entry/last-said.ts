import type { EntryHistory } from '@winter-jar/contracts';
import { effectiveEntry, type Entry } from '@winter-jar/core';

/** What an entry said before it was taken back. */
export const lastSaid = ({ original, corrections }: Pick<EntryHistory, 'original' | 'corrections'>): Entry | null =>
  effectiveEntry(
    original,
    corrections.filter(({ body }) => body.action !== 'void'),
  );
