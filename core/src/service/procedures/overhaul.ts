import { BLANK_OFF, LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure, Step } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

/** What comes off in this order, into a bag of its own each, and goes on again in the reverse order. */
const STAGES = [
  'Oil case, its gasket and the exhaust filter',
  'Exhaust valves, their plates and springs',
  'Coupling and fan, then the end covers',
  'Rotors, vanes and their springs',
  'Shaft seals and the O-rings of the shafts',
] as const;
const MINUTES_OF_STAGE = { apart: 12, together: 15 } as const;

const APART: readonly Step[] = STAGES.map((parts, i): Step => ({
  id: `apart${i + 1}`,
  ...(i === 0 ? { pump: 'open' } : {}),
  kind: 'do',
  bag: i + 1,
  photographed: true,
  minutes: MINUTES_OF_STAGE.apart,
  words: `${parts}: off, photographed, into bag ${i + 1}. Never lever on machined faces.`,
  risks: ['opensPump', 'nearOil', 'wipes'],
}));

const TOGETHER: readonly Step[] = STAGES.map((parts, i): Step => ({
  id: `together${i + 1}`,
  kind: 'do',
  shows: `apart${i + 1}`,
  minutes: MINUTES_OF_STAGE.together,
  // With the case on it is whole again.
  ...(i === 0 ? { does: ['vaneCheck', 'exhaustFilter'], pump: 'closed' } : {}),
  words: `Bag ${i + 1}, ${parts.charAt(0).toLowerCase()}${parts.slice(1)}: clean, on as photographed, all seals from one kit.`,
})).reverse();

export const OVERHAUL: Procedure = {
  letter: 'L',
  name: PROCEDURE_NAMES.overhaul,
  tasks: ['vaneCheck', 'oilChange', 'exhaustFilter'],
  kinds: ['vane'],
  skill: PROCEDURE_SKILLS.overhaul,
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
    ...APART,
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
    ...TOGETHER,
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
      overhauls: true,
      kind: 'do',
      minutes: 2,
      words: 'Say in the set-up that it was overhauled: its first charge is changed early.',
    },
  ],
};
