import { MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES } from './procedure-names.js';

export const EXHAUST_FILTER: Procedure = {
  letter: 'H',
  name: PROCEDURE_NAMES.exhaustFilter,
  tasks: ['exhaustFilter'],
  kinds: ['vane'],
  skill: 'technician',
  atHand: ['the filter elements', 'O-rings of the cover', 'a gauge for the back-pressure', 'gloves, rags'],
  steps: [
    {
      id: 'back',
      kind: 'measure',
      minutes: 3,
      words:
        'Read the back-pressure while it runs. Built in: look at 0.3, replace at 0.6 bar over ambient; outside, on a small pump, 0.15 bar.',
      label: 'Back-pressure',
      of: 'pressure',
      goes: 'exhaustPa',
      risks: ['opensExhaust'],
    },
    ...MAKE_SAFE.filter(({ id }) => id === 'lock' || id === 'vent'),
    {
      id: 'coverOff',
      kind: 'wait',
      minutes: 30,
      words: 'Let it cool to 60 °C.',
      until: 'it is at 60 °C or cooler',
      risks: ['hot'],
    },
    { id: 'out', kind: 'do', minutes: 10, words: 'Cover off, elements out.', risks: ['opensPump', 'nearOil', 'wipes'] },
    {
      id: 'rust',
      kind: 'choose',
      minutes: 1,
      words: 'Look at cover and elements. Rust tells of water and a closed ballast.',
      choices: [
        { id: 'clean', words: 'clean' },
        { id: 'tarry', words: 'tarry' },
        { id: 'rusty', words: 'rusty' },
        { id: 'burst', words: 'burst' },
      ],
    },
    {
      id: 'new',
      knows: ['exhaustFilter', 'seals'],
      uses: ['exhaustFilter', 'seals'],
      kind: 'do',
      minutes: 8,
      does: ['exhaustFilter'],
      words: 'New elements, or washed ones where the maker allows it; new O-rings; cover on.',
    },
    { id: 'unlock', kind: 'do', minutes: 1, words: 'Lock off, exhaust free.', risks: ['opensExhaust'] },
    {
      id: 'backAfter',
      kind: 'measure',
      minutes: 5,
      words: 'Run it, read the back-pressure again.',
      label: 'Back-pressure after',
      of: 'pressure',
      goes: 'exhaustPa',
      risks: ['starts'],
    },
  ],
};
