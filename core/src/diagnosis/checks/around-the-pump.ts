import type { Check } from '../check.js';

export const aroundThePump: Check = {
  name: 'Round the pump with a lamp',
  settles: ['pumpWeeps'],
  minutes: 5,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: ['Shaft, glass, plugs, gaskets: where oil weeps out, air goes in.'],
  cautions: ['hotOil'],
};
