import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const POTS_AND_TRAP: Procedure = {
  letter: 'P',
  name: PROCEDURE_NAMES.potsAndTrap,
  tasks: [],
  kinds: ['vane'],
  skill: PROCEDURE_SKILLS.potsAndTrap,
  atHand: ['a container', 'gloves, rags'],
  steps: [
    {
      id: 'pots',
      kind: 'measure',
      minutes: 4,
      words: 'Empty catch pot, knock-out pot and the exhaust’s drip leg, before each run.',
      label: 'Came out',
      of: 'volume',
      risks: ['standsStill', 'opensVacuum', 'nearOil', 'oilOut'],
    },
    { id: 'valveOff', kind: 'do', minutes: 1, words: 'Trap: valve the pump off.', when: ['coldTrap'] },
    {
      id: 'defrost',
      kind: 'wait',
      minutes: 60,
      words: 'Drain open, let it defrost.',
      until: 'the ice is off',
      when: ['coldTrap'],
      risks: ['frost', 'ventsChamber'],
    },
    { id: 'dry', kind: 'do', minutes: 3, words: 'Blow it dry.', when: ['coldTrap'] },
    {
      id: 'closed',
      kind: 'do',
      minutes: 1,
      words: 'Close the drain. An open drain is the commonest leak of all.',
      when: ['coldTrap'],
    },
  ],
};
