import type { Check } from '../check.js';

export const aroundThePump: Check = {
  name: 'Round the pump with a lamp',
  settles: ['pumpWeeps', 'cooling'],
  minutes: 5,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: [
    'Shaft, glass, plugs, gaskets: where oil weeps out, air goes in.',
    'Does the fan turn, are the fins clean, can the air get away?',
  ],
  cautions: ['hotOil'],
};
