import type { Check } from '../check.js';

export const ballastPosition: Check = {
  name: 'Ballast position by hand',
  settles: ['ballast'],
  minutes: 1,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: ['Go to the lever or knob and feel where it stands: the log may say something else.'],
  cautions: ['hotOil'],
  needs: 'ballast',
};
