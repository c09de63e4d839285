import type { Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const AFTER_RUN: Procedure = {
  letter: 'M',
  name: PROCEDURE_NAMES.afterRun,
  tasks: [],
  kinds: ['vane'],
  // Without oil in it a pump is not run.
  when: ['!drained'],
  skill: PROCEDURE_SKILLS.afterRun,
  atHand: [],
  steps: [
    { id: 'chamber', kind: 'do', minutes: 1, words: 'Chamber valve closed.', risks: ['ventsChamber'] },
    { id: 'booster', kind: 'do', minutes: 1, words: 'Booster off and run down, where there is one.' },
    {
      id: 'dryAir',
      kind: 'wait',
      minutes: 25,
      words: 'Inlet closed, ballast open, still running: 20–30 minutes, 30–60 after a wet run.',
      when: ['!solvent'],
      risks: ['purges', 'opensExhaust'],
    },
    {
      id: 'dryNitrogen',
      kind: 'wait',
      minutes: 25,
      words: 'Inlet closed, nitrogen on the ballast or no ballast at all.',
      when: ['solvent'],
      risks: ['purges', 'opensExhaust'],
    },
    { id: 'back', kind: 'do', minutes: 1, words: 'Ballast back to its usual position.' },
    {
      id: 'stop',
      kind: 'choose',
      minutes: 1,
      words: 'Vent the pump side, and stop at once. How did it stop?',
      choices: [
        { id: 'vented', words: 'vented, then stopped' },
        {
          id: 'underVacuum',
          words: 'stopped under vacuum: look for oil in the hose',
          finds: { id: 'stoppedUnderVacuum', state: 'yes' },
        },
      ],
    },
  ],
};
