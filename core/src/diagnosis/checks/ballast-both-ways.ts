import type { Check } from '../check.js';

export const ballastBothWays: Check = {
  name: 'Blanked off, ballast closed and open',
  settles: ['ballastClosed'],
  minutes: 30,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: [
    'Pump warm and blanked off, gauge on its inlet: read with the ballast closed, then open, ten minutes each.',
    'Higher when open by as much as the record says is right; no difference means that it does not close.',
  ],
  cautions: ['vent', 'noAir'],
  never: ['solvent'],
  needs: 'ballast',
};
