import type { Check } from '../check.js';

export const backPressureCheck: Check = {
  name: 'Exhaust back-pressure',
  settles: ['backPressure'],
  minutes: 12,
  cost: 0,
  skill: 2,
  stopsPump: false,
  how: ['Gauge at the exhaust port of the filter; read at the start and at low pressure.'],
  cautions: ['exhaustOpen', 'hotOil'],
  measures: { where: 'exhaust' },
};
