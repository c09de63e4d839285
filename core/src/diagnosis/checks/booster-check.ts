import type { Check } from '../check.js';

export const boosterCheck: Check = {
  name: 'Booster on and off',
  settles: ['boosterEffect', 'boosterOil'],
  minutes: 10,
  cost: 0,
  skill: 2,
  stopsPump: false,
  how: ['At its working pressure switch it off and on, watch the gauge.'],
  cautions: [],
  needs: 'booster',
};
