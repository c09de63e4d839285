import type { Check } from '../check.js';

export const secondGauge: Check = {
  name: 'A second gauge beside the first',
  settles: ['gauges'],
  minutes: 15,
  cost: 0,
  skill: 2,
  stopsPump: false,
  how: ['Both at one port, read over the whole run.', 'A gap that closes late in drying is vapour, not a fault.'],
  cautions: [],
};
