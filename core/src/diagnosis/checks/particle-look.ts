import type { Check } from '../check.js';

export const particleLook: Check = {
  name: 'Jar against the light, magnet below',
  settles: ['blackParticles', 'rustParticles', 'glitter', 'fines', 'fibres', 'growth'],
  minutes: 10,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: [
    'Turn the jar against the light: colour and shape of what sinks.',
    'A magnet below the jar: what follows it is iron.',
  ],
  cautions: ['residues'],
};
