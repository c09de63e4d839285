import type { Check } from '../check.js';

export const blankOffPump: Check = {
  name: 'Blank off the pump, second gauge',
  settles: ['pumpPressure'],
  minutes: 30,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: [
    'Pump warm, fresh oil, a blank flange with a second gauge on its inlet.',
    'Read after 20 minutes, ballast closed.',
  ],
  cautions: ['vent'],
};
