import type { Entry } from '@winter-jar/core';

export const isStillRunning = (entry: Entry | null): boolean =>
  entry?.kind === 'run' && entry.body.stillRunning === true;
