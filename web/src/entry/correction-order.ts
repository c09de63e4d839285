import type { Correction } from '@winter-jar/core';

/** A correction must come after the one that it saw, also when this device's clock is behind: the latest recorded wins. */
export function recordedAfter(corrections: readonly Pick<Correction, 'recordedAt'>[], now: string): string {
  const latest = corrections.reduce((max, c) => (c.recordedAt > max ? c.recordedAt : max), '');
  return latest < now ? now : new Date(Date.parse(latest) + 1).toISOString();
}

/** The correction in force, which the next one names as the one that it saw. */
export const lastCorrectionId = (corrections: readonly Pick<Correction, 'id' | 'recordedAt'>[]): string | null =>
  [...corrections].sort((a, b) => (a.recordedAt < b.recordedAt ? -1 : 1)).at(-1)?.id ?? null;
