import type { Check } from '../check.js';

export const trapLook: Check = {
  name: 'Look at the trap',
  settles: ['trap', 'drain', 'trapLoad'],
  minutes: 3,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: ['Read its temperature and look how far the ice has grown.', 'Feel whether the drain is shut.'],
  cautions: ['coldMetal'],
  needs: 'trap',
};
