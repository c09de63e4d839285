import type { Check } from '../check.js';

export const crackleTest: Check = {
  name: 'Crackle test',
  settles: ['crackle'],
  minutes: 10,
  cost: 0,
  skill: 2,
  stopsPump: false,
  how: ['A drop of oil on a plate at 130-160 °C.', 'It crackles from about 500 ppm of water; silence is no proof.'],
  cautions: ['splashes', 'neverSolvent'],
  never: ['solvent', 'toxic', 'biological', 'pfpe'],
};
