import type { Check } from '../check.js';

export const exhaustLook: Check = {
  name: 'Exhaust pipe and exhaust filter opened',
  settles: ['rust', 'waterInExhaust'],
  minutes: 25,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: ['Filter cover off: rust, water, a soaked element?', 'Open the lowest point of the pipe.'],
  cautions: ['lockOut', 'hotOil'],
};
