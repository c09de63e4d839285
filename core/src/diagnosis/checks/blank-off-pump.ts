import type { Check } from '../check.js';

export const blankOffPump: Check = {
  name: 'Blank off the pump with fresh warm oil, second gauge',
  settles: ['pumpPressure'],
  minutes: 55,
  cost: 10,
  skill: 2,
  stopsPump: true,
  how: [
    'Pump warm, fresh oil, a blank flange with a second gauge on its inlet.',
    'Read after 20 minutes, ballast closed.',
  ],
  cautions: ['vent'],
  measures: { where: 'pump', ballast: 'closed', oil: 'fresh' },
};
