import type { Check } from '../check.js';

export const blankOffPort: Check = {
  name: 'Blank off the chamber port, gauge at the hose’s end',
  settles: ['hosePressure'],
  minutes: 30,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: ['Hose on, its far end blanked with a gauge.', 'Good here and poor at the chamber: the chamber.'],
  cautions: ['vent'],
  measures: { where: 'hoseEnd', ballast: 'closed' },
};
