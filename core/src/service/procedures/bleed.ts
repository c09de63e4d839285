import { LEVEL_CHOICES } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const BLEED: Procedure = {
  letter: 'A',
  name: PROCEDURE_NAMES.bleed,
  tasks: ['bleed'],
  kinds: ['vane'],
  // Where water floats there is nothing to bleed at the bottom.
  when: ['!denser', '!drained'],
  skill: PROCEDURE_SKILLS.bleed,
  atHand: ['a jar', 'oil of the same product', 'gloves', 'rags'],
  steps: [
    {
      id: 'stand',
      kind: 'wait',
      minutes: 90,
      words: 'Let it stand one to two hours if it was stopped hot, else overnight.',
      until: 'it has stood long enough',
      risks: ['standsStill'],
    },
    {
      id: 'tilt',
      kind: 'do',
      minutes: 2,
      words: 'Tilt it towards the drain, or use the lowest point.',
      risks: ['tilts'],
    },
    {
      id: 'crack',
      kind: 'do',
      minutes: 2,
      words: 'Jar beneath, crack the valve, and close it when clean oil follows.',
      risks: ['oilOut', 'drains', 'nearOil', 'hot', 'fillsJar'],
    },
    {
      id: 'drawn',
      kind: 'measure',
      minutes: 1,
      words: 'How much is in the jar?',
      label: 'Drawn in all',
      of: 'volume',
      goes: 'drawn',
    },
    {
      id: 'water',
      kind: 'measure',
      minutes: 2,
      words: 'Read the layers: how much of it is water?',
      label: 'Water',
      of: 'volume',
      goes: 'water',
      risks: ['looksAtOil', 'nearOil'],
    },
    {
      id: 'topUp',
      kind: 'measure',
      minutes: 2,
      words: 'Fill up to the mark, standing level.',
      label: 'Filled up',
      of: 'volume',
      goes: 'added',
      risks: ['oilIn'],
    },
    {
      id: 'level',
      kind: 'choose',
      minutes: 1,
      words: 'Read the level.',
      choices: LEVEL_CHOICES,
      inGlass: true,
    },
  ],
};
