import type { Check } from '../check.js';

export const filterPatch: Check = {
  name: 'Filter patch',
  settles: ['blackParticles', 'fines', 'fibres', 'glitter'],
  minutes: 25,
  cost: 4,
  skill: 2,
  stopsPump: false,
  how: ['Thin 25 mL of oil, draw it through a membrane, look at it under a lens.'],
  cautions: ['solventWork'],
};
