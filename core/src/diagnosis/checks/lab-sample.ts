import type { Check } from '../check.js';

export const labSample: Check = {
  name: 'Lab sample',
  settles: ['thickness', 'acid', 'iron', 'silicon', 'particleCode'],
  minutes: 15,
  cost: 60,
  skill: 3,
  stopsPump: false,
  how: [
    '100 mL from the running, warm pump into a clean bottle, labelled with pump and hours.',
    'Days until the report.',
  ],
  cautions: ['hotOil'],
};
