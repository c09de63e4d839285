import type { Check } from '../check.js';

export const standingSample: Check = {
  name: 'Draw a small sample and let it stand',
  settles: ['water', 'cream', 'smell'],
  minutes: 30,
  cost: 0,
  skill: 1,
  stopsPump: false,
  how: [
    'Draw 100 mL from the drain into a jar.',
    'Read the layers after half an hour, and again the next day.',
    'Note a smell that comes by itself; never sniff at a jar.',
  ],
  cautions: ['hotOil', 'residues'],
};
