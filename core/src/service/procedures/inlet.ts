import { MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const INLET: Procedure = {
  letter: 'I',
  name: PROCEDURE_NAMES.inlet,
  tasks: ['inletScreen', 'antiSuckback'],
  kinds: ['vane'],
  skill: PROCEDURE_SKILLS.inlet,
  atHand: ['ball and O-ring of the valve', 'the flange’s seal', 'lint-free rags', 'gloves'],
  steps: [
    ...MAKE_SAFE.filter(({ id }) => id === 'lock' || id === 'vent'),
    {
      id: 'off',
      pump: 'open',
      inVisit: 'meanwhile',
      kind: 'do',
      minutes: 4,
      words: 'Inlet line off.',
      risks: ['opensLine'],
    },
    {
      id: 'screen',
      inVisit: 'meanwhile',
      kind: 'do',
      minutes: 5,
      does: ['inletScreen'],
      words: 'Screen out; blow or wash it, dry it.',
      risks: ['wipes'],
    },
    {
      id: 'ball',
      inVisit: 'meanwhile',
      kind: 'choose',
      minutes: 4,
      does: ['antiSuckback'],
      words: 'Ball and O-ring: round, without pits, without grit?',
      choices: [
        { id: 'good', words: 'good', finds: { id: 'suckbackBall', state: 'sound' } },
        { id: 'worn', words: 'pitted or worn: replace both', finds: { id: 'suckbackBall', state: 'bad' } },
        { id: 'gritty', words: 'gritty: wash, look again' },
      ],
    },
    {
      id: 'on',
      pump: 'closed',
      inVisit: 'meanwhile',
      kind: 'do',
      minutes: 5,
      words: 'Screen in, seal clean and sound, line on.',
    },
    {
      id: 'holds',
      inVisit: 'after',
      when: ['!drained'],
      kind: 'choose',
      minutes: 5,
      words: 'Run it, stop it under vacuum with the inlet closed: does it hold?',
      choices: [
        { id: 'holds', words: 'it holds' },
        { id: 'rises', words: 'it rises: take it off again', goTo: 'off' },
      ],
      risks: ['starts'],
    },
  ],
};
