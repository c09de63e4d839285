import { MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

const STANDS = {
  letter: '·',
  tasks: [],
  kinds: ['vane', 'booster', 'dry'],
  skill: PROCEDURE_SKILLS.closeUp,
} as const satisfies Partial<Procedure>;
const LOCK = MAKE_SAFE.filter(({ id }) => id === 'lock');

/** A pump that a service left open. */
export const CLOSE_UP: Procedure = {
  ...STANDS,
  name: PROCEDURE_NAMES.closeUp,
  when: ['open'],
  atHand: ['seals and bolts of what stands open', 'lint-free rags', 'gloves'],
  steps: [
    ...LOCK,
    {
      id: 'seals',
      kind: 'do',
      minutes: 10,
      words: 'Look into it: no tool, no rag, no grit. Covers and lines on, each seal clean and sound.',
      knows: ['seals', 'tightening'],
      risks: ['opensPump', 'wipes'],
    },
    {
      id: 'unlock',
      kind: 'do',
      minutes: 2,
      pump: 'closed',
      words: 'Exhaust free, tools and rags away, lock off.',
      risks: ['opensExhaust'],
    },
  ],
};

/** A pump that was laid up (docs/trade.md 8-N). */
export const BACK_TO_WORK: Procedure = {
  ...STANDS,
  skill: PROCEDURE_SKILLS.backToWork,
  name: PROCEDURE_NAMES.backToWork,
  when: ['capped'],
  atHand: ['a jar', 'gloves, rags'],
  steps: [
    ...LOCK,
    {
      id: 'capsOff',
      kind: 'do',
      minutes: 4,
      words: 'Caps off inlet and exhaust, lines on, the tag off its switch.',
      risks: ['opensExhaust', 'opensLine'],
    },
    { id: 'turn', kind: 'do', minutes: 2, words: 'Turn it by hand: it must turn freely.', when: ['oil'] },
    {
      id: 'settled',
      kind: 'do',
      minutes: 5,
      words: 'Bleed settled water.',
      when: ['oil', '!denser', '!drained'],
      risks: ['oilOut', 'nearOil', 'fillsJar'],
    },
    {
      id: 'unlock',
      kind: 'do',
      minutes: 2,
      pump: 'closed',
      words: 'Inlet and exhaust free? Tools and rags away, lock off.',
      risks: ['opensExhaust'],
    },
    {
      id: 'warmUp',
      when: ['!drained'],
      kind: 'wait',
      minutes: 30,
      words: 'Warm it with the inlet closed, before its first run.',
      until: 'it is warm',
      risks: ['starts'],
    },
  ],
};
