import type { Check } from '../check.js';

export const blankOffAsIs: Check = {
  name: 'Blank off the pump, oil as it is',
  settles: ['pumpPressureAsIs'],
  minutes: 20,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: [
    'Pump warm, a blank flange with a second gauge on its inlet; read after 15 minutes, ballast closed.',
    'Poor here may be the oil: water and solvent have a pressure of their own.',
  ],
  cautions: ['vent'],
  measures: { where: 'pump', ballast: 'closed', oil: 'asIs' },
};
