import type { Check } from '../check.js';

export const shortLine: Check = {
  name: 'In-line filter out, or a short wide hose',
  settles: ['withoutFilter'],
  minutes: 30,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: ['Replace it by a straight piece, pump down, compare the first minutes.'],
  cautions: ['vent'],
};
