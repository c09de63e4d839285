import type { Check } from '../check.js';

export const screenOut: Check = {
  name: 'Inlet screen out',
  settles: ['inletScreen', 'varnish'],
  minutes: 20,
  cost: 0,
  skill: 2,
  stopsPump: true,
  how: ['Take it out, hold it against the light, wipe: powder, resin, fibres?'],
  cautions: ['lockOut', 'vent'],
};
