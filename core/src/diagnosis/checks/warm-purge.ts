import type { Check } from '../check.js';

export const warmPurge: Check = {
  name: 'Warm purge, look again',
  settles: ['afterPurge', 'waterAgain'],
  minutes: 75,
  cost: 0,
  skill: 1,
  stopsPump: true,
  how: [
    'Inlet closed, ballast open, oil at 60 °C or more, one hour.',
    'Let it stand, look again; and look once more after the next run.',
  ],
  cautions: ['hotOil', 'exhaust', 'noAir'],
  never: ['solvent'],
  needs: 'ballast',
};
