import type { SumpKey } from '@winter-jar/core';

/** What the sumps of a pump are called. */
export const SUMP_WORDS: Readonly<Record<SumpKey, string>> = {
  oil: 'oil case',
  gearA: 'gear end A',
  gearB: 'gear end B',
  sealCup: 'seal cup',
};
