import type { Check } from '../check.js';

export const benchCheck: Check = {
  name: 'Vane and seal inspection on a bench',
  settles: ['vanes'],
  minutes: 240,
  cost: 40,
  skill: 3,
  stopsPump: true,
  how: ['In order, photographed, parts bagged by step.', 'Only where the house rule allows it.'],
  cautions: ['lockOut', 'lever', 'heavy'],
};
