import { BLANK_OFF, LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES } from './procedure-names.js';

export const OVERHAUL: Procedure = {
  letter: 'L',
  name: PROCEDURE_NAMES.overhaul,
  tasks: ['vaneCheck', 'oilChange', 'exhaustFilter'],
  kinds: ['vane'],
  skill: 'specialist',
  atHand: [
    'one kit: vanes, springs, shaft seals, O-rings, gaskets',
    'numbered bags',
    'a camera',
    'a clean bench',
    'fresh oil',
    'a gauge for the blank-off',
  ],
  steps: [
    {
      id: 'may',
      kind: 'choose',
      minutes: 1,
      words: 'Only where the house allows it to be opened here; else exchange it.',
      choices: [
        { id: 'allowed', words: 'allowed' },
        { id: 'not', words: 'not allowed: exchange it', ends: true, follow: 'pumpSwap' },
      ],
    },
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'bench',
      kind: 'do',
      minutes: 10,
      words: 'Supply off and unplugged, onto the bench.',
      risks: ['lifts', 'electrical'],
    },
    {
      id: 'apart',
      kind: 'do',
      minutes: 60,
      words:
        'Apart in order: a photograph of each step, parts bagged and numbered by step. Never lever on machined faces.',
      risks: ['opensPump', 'nearOil', 'wipes'],
    },
    {
      id: 'vanes',
      kind: 'choose',
      minutes: 10,
      words: 'Vanes, springs, bores: worn, chipped, scored?',
      choices: [
        { id: 'good', words: 'good' },
        { id: 'worn', words: 'worn: the kit' },
        { id: 'scored', words: 'bores scored: exchange it', ends: true, follow: 'pumpSwap' },
      ],
    },
    { id: 'clean', kind: 'do', minutes: 30, words: 'Clean and dry every part.', risks: ['solvent'] },
    {
      id: 'together',
      kind: 'do',
      minutes: 75,
      does: ['vaneCheck', 'exhaustFilter'],
      words: 'Together in the reverse order, all seals from one kit.',
    },
    { id: 'turn', kind: 'do', minutes: 2, words: 'Turn it by hand: it must turn freely.' },
    {
      id: 'fill',
      kind: 'measure',
      minutes: 4,
      words: 'Fill to the mark, up to {amount}.',
      amount: 'charge',
      label: 'Filled in',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      risks: ['oilIn'],
    },
    ...LEVEL,
    ...BLANK_OFF,
    {
      id: 'runningIn',
      kind: 'do',
      minutes: 2,
      words: 'Say in the set-up that it was overhauled: its first charge is changed early.',
    },
  ],
};
