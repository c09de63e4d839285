import { BLANK_OFF, MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const PUMP_SWAP: Procedure = {
  letter: 'O',
  name: PROCEDURE_NAMES.pumpSwap,
  tasks: [],
  kinds: ['vane', 'booster', 'dry'],
  skill: PROCEDURE_SKILLS.pumpSwap,
  atHand: [
    'the pump that comes',
    'caps for both',
    'a contamination declaration',
    'lifting gear, a second pair of hands',
    'seals of the flanges',
    'oil of its product',
  ],
  steps: [
    ...MAKE_SAFE.filter(({ id }) => id === 'lock' || id === 'vent'),
    {
      id: 'drain',
      oil: 'out',
      pump: 'capped',
      when: ['oil'],
      kind: 'do',
      minutes: 12,
      words: 'Drain the one that goes; cap it, inlet and exhaust.',
      risks: ['oilOut', 'drains', 'nearOil', 'hot', 'opensLine'],
    },
    {
      id: 'declare',
      kind: 'do',
      minutes: 10,
      words: 'Write the contamination declaration before it leaves the house.',
    },
    { id: 'lift', kind: 'do', minutes: 15, words: 'Lift both by their eyes.', risks: ['lifts'] },
    {
      id: 'connect',
      pump: 'closed',
      kind: 'do',
      minutes: 15,
      words: 'Caps off, lines on with clean seals, exhaust free.',
      risks: ['opensExhaust'],
    },
    { id: 'oil', oil: 'in', kind: 'do', minutes: 5, words: 'Oil to the mark.', when: ['oil'], risks: ['oilIn'] },
    {
      id: 'rotation',
      kind: 'choose',
      minutes: 5,
      words: 'Jog it with the inlet open: does it turn the right way? Also after electrical work.',
      choices: [
        { id: 'right', words: 'right' },
        { id: 'wrong', words: 'wrong: the electrician turns it round, then again', goTo: 'rotation' },
      ],
      risks: ['electrical', 'starts'],
    },
    { id: 'warmRun', kind: 'wait', minutes: 30, words: 'Run it warm.', until: 'it is warm' },
    ...BLANK_OFF,
  ],
};
