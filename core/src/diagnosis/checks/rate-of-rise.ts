import type { Check } from '../check.js';

export const rateOfRiseCheck: Check = {
  name: 'Rate of rise, trap isolated',
  settles: ['rateOfRise'],
  minutes: 25,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: [
    'Pump the empty, dry chamber down, close its valve, note the pressure every minute for fifteen.',
    'A leak rises in a straight line; moisture rises and flattens.',
  ],
  cautions: [],
};
