import type { Check } from '../check.js';

export const stopperValve: Check = {
  name: 'A stopper in place of the suspect valve',
  settles: ['stopperHelps'],
  minutes: 20,
  cost: 2,
  skill: 2,
  stopsPump: true,
  how: ['Vent, take the valve off, close its port with a stopper, pump down again.'],
  cautions: ['vent'],
};
