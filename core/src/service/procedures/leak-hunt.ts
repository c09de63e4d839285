import { CHECKS, LEAK_STEPS } from '../../diagnosis/index.js';
import type { Procedure, Step } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

/** The minutes of a test are those of all its steps. */
const minutesOf = (checkId: (typeof LEAK_STEPS)[number]['checkId']): number =>
  Math.max(1, Math.round(CHECKS[checkId].minutes / LEAK_STEPS.filter((s) => s.checkId === checkId).length));

/** The steps of the leak hunt on its own page, for the card: the first that fails is where the leak is. */
export const LEAK_HUNT: Procedure = {
  letter: 'K',
  name: PROCEDURE_NAMES.leakHunt,
  tasks: [],
  kinds: ['vane'],
  // Without oil in it a pump is not run.
  when: ['!drained'],
  skill: PROCEDURE_SKILLS.leakHunt,
  atHand: ['a second gauge', 'stoppers and blank flanges', 'bubble liquid', 'clean seals'],
  steps: LEAK_STEPS.map(({ id, name, how, cautions, checkId, passed, failed, needsTrap }): Step => ({
    id,
    kind: 'choose',
    minutes: minutesOf(checkId),
    words: `${name}. ${how.join(' ')}`,
    choices: [
      { id: 'passed', words: passed.words },
      { id: 'failed', words: `${failed.words}: stop here`, ends: true },
    ],
    leakStep: id,
    cautions,
    ...(needsTrap ? { when: ['coldTrap'] } : {}),
  })),
};
