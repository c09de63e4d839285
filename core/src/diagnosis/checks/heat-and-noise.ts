import type { Check } from '../check.js';

export const heatAndNoise: Check = {
  name: 'Current, case temperature and noise against its own',
  settles: ['current', 'caseTemp', 'noise', 'starts'],
  minutes: 10,
  cost: 0,
  skill: 2,
  stopsPump: false,
  how: [
    'Clamp meter on one phase, thermometer on the case at the usual spot.',
    '15 % or 10 K above its own: note it.',
    'Listen to the next start: at once, or slow and humming?',
  ],
  cautions: ['capacitor'],
};
