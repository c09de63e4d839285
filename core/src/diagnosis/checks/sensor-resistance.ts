import type { Check } from '../check.js';

export const sensorResistance: Check = {
  name: 'Sensor and wiring against the data sheet',
  settles: ['sensor'],
  minutes: 20,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: ['Plug off, measure between the pins, compare; wiggle the cable.'],
  cautions: ['supplyOff'],
};
