import type { Process } from '@winter-jar/core';

export const PROCESS_WORDS: Readonly<Record<Process, string>> = {
  freezeDrying: 'Freeze drying',
  packaging: 'Packaging',
  composites: 'Composites',
  industrial: 'Industrial',
};
