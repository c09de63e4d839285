import type { Check } from '../check.js';

export const lookRunning: Check = {
  name: 'Look while it runs',
  settles: ['haze', 'foam', 'level', 'exhaustMist', 'colour', 'swallowed'],
  minutes: 3,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: [
    'Pump warm and running: look into the glass against a light.',
    'Level between the marks? Haze, foam, cream? How dark against its start?',
    'Look at the exhaust after the first five minutes.',
  ],
  cautions: ['hotOil'],
};
