import { LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure, Step } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

/** Out with the old oil, the last of it too. */
const DRAINING: readonly Step[] = [
  {
    id: 'fillPlug',
    kind: 'do',
    minutes: 1,
    words: 'Open the fill plug first, so that it drains smoothly.',
    knows: ['keys'],
  },
  {
    id: 'drain',
    kind: 'wait',
    minutes: 10,
    until: 'only drops come',
    filled: {
      opens: 'Container beneath, open the drain: it runs out while the next is done.',
      rest: 'Let it run out until only drops come.',
    },
    oil: 'out',
    knows: ['drain'],
    words: 'Container beneath, open the drain, let it run out.',
    risks: ['oilOut', 'drains', 'nearOil', 'hot'],
  },
  {
    id: 'tilt',
    kind: 'do',
    minutes: 2,
    words: 'Tilt it for the last of it.',
    knows: ['tilt'],
    risks: ['tilts'],
  },
  {
    id: 'rinse',
    kind: 'do',
    minutes: 2,
    words: 'Pour a little new oil through, about {amount}: it carries out what lies on the bottom.',
    amount: 'rinse',
    risks: ['oilIn'],
  },
  { id: 'out', kind: 'measure', minutes: 2, words: 'How much came out?', label: 'Came out', of: 'volume', goes: 'out' },
  {
    id: 'jar',
    kind: 'look',
    minutes: 5,
    words: 'Fill a jar of what came out, date it, and read it once it has stood.',
    at: 'jar',
    risks: ['looksAtOil', 'fillsJar'],
  },
  {
    id: 'seal',
    kind: 'do',
    minutes: 3,
    words: 'Look at the O-ring or gasket of the plug, wipe it, close; not over-tight.',
    knows: ['seals', 'tightening'],
    risks: ['wipes'],
  },
];
/** Where the oil is out already the plug may still be: what is filled would run out on the floor. */
const isDone = ({ id }: Step): boolean => id !== 'seal';
export const DRAIN: readonly Step[] = DRAINING.map((step) => (isDone(step) ? { ...step, when: ['!drained'] } : step));

export const OIL_CHANGE: Procedure = {
  letter: 'B',
  name: PROCEDURE_NAMES.oilChange,
  tasks: ['oilChange'],
  kinds: ['vane'],
  when: ['!oilFilter'],
  skill: PROCEDURE_SKILLS.oilChange,
  carries: true,
  atHand: [
    'fresh oil of the same product, measured out',
    'a container for the old',
    'a jar',
    'O-ring or gasket of the plug',
    'gloves, rags',
  ],
  steps: [
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'fill',
      kind: 'measure',
      minutes: 5,
      words: 'Fill to the mark, up to {amount}.',
      amount: 'charge',
      label: 'Filled in',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      risks: ['oilIn', 'nearOil'],
    },
    ...LEVEL,
  ],
};
