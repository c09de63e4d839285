import type { Check } from '../check.js';

export const suspectRunCheck: Check = {
  name: 'The suspect material alone, in a small load',
  settles: ['suspectRun'],
  minutes: 480,
  cost: 0,
  skill: 1,
  stopsPump: true,
  how: ['Fresh oil, a small load of that material alone; look at the oil.'],
  cautions: [],
};
