import type { Check } from '../check.js';

export const warmAndWatch: Check = {
  name: 'Warm up and watch the pressure',
  settles: ['comesWarm', 'pumpDown'],
  minutes: 40,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: ['Start cold, note the pressure every five minutes until the oil is at 60 °C.'],
  cautions: [],
};
