import type { Check } from '../check.js';

export const turnValves: Check = {
  name: 'Turn each valve and watch the gauge',
  settles: ['flicker'],
  minutes: 15,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: ['At low pressure turn one valve at a time, wait ten seconds each.'],
  cautions: ['furnace'],
};
