import type { PumpPlace } from '@winter-jar/core';

export const PLACE_WORDS: Readonly<Record<PumpPlace, string>> = {
  inService: 'in service',
  lent: 'lent',
  spare: 'spare',
  retired: 'retired',
};

/** What being there means for a pump; null for one that is in service. */
export const PLACE_MEANS: Readonly<Record<PumpPlace, string | null>> = {
  inService: null,
  lent: 'Lent: it stands on the Round, and somebody else runs it.',
  spare: 'Spare: it is not on the Round until it is put in service.',
  retired: 'Retired: it is not on the Round, and takes no new runs. Its record stays.',
};
