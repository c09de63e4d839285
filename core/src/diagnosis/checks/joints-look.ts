import type { Check } from '../check.js';

export const jointsLook: Check = {
  name: 'Gaskets, drain, hoses and connections by eye and hand',
  settles: ['joints'],
  minutes: 15,
  cost: 0,
  skill: 1,
  stopsPump: true,
  how: [
    'Vented: wipe the door gasket and its seat; hair, crumbs, cuts, a flat spot?',
    'Drain line and plug closed and dry; every hose bent by hand; every clamp and fitting turned by a finger.',
  ],
  cautions: ['vent'],
};
