import type { Check } from '../check.js';

export const bubbleCheck: Check = {
  name: 'Water-level bubble check in the trap chamber',
  settles: ['bubbles'],
  minutes: 35,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: ['Pump valved off from about 100 hPa, water over the suspect joint, seconds only.', 'Drain and dry after.'],
  cautions: ['boiling'],
  needs: 'trap',
};
