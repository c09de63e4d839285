import type { Check } from '../check.js';

export const suckbackOut: Check = {
  name: 'Anti-suckback valve out',
  settles: ['suckbackBall', 'oilUpHose'],
  minutes: 35,
  cost: 3,
  skill: 2,
  stopsPump: true,
  how: ['Ball round, free of pits and grit? O-ring whole?'],
  cautions: ['lockOut', 'vent'],
};
