import type { Check } from '../check.js';

export const emptyRunCheck: Check = {
  name: 'An empty run as a control',
  settles: ['emptyRun', 'darkAfterChange'],
  minutes: 480,
  cost: 0,
  skill: 1,
  stopsPump: true,
  how: ['Fresh oil, no load, as long as a usual run; look at the oil.'],
  cautions: [],
};
