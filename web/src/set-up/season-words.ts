import type { Season } from '@winter-jar/core';

export const SEASON_WORDS: Readonly<Record<Season, string>> = {
  none: 'never',
  decToFeb: 'Dec – Feb',
  marToMay: 'Mar – May',
  junToAug: 'Jun – Aug',
  sepToNov: 'Sep – Nov',
};
