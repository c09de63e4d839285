import { LEVEL_CHOICES } from '../common-steps.js';
import type { Choice, Procedure } from '../procedure.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

/** A level that has risen by itself is water, or oil that came back: the verdict says what comes then. */
const TOO_HIGH: Choice = {
  ...{ id: 'high', words: 'above the mark: do not start it yet', level: 'high', ends: true },
};

export const BEFORE_RUN: Procedure = {
  letter: '·',
  name: PROCEDURE_NAMES.beforeRun,
  tasks: [],
  kinds: ['vane'],
  // Without oil in it a pump is not run.
  when: ['!drained'],
  skill: PROCEDURE_SKILLS.beforeRun,
  atHand: [],
  steps: [
    {
      id: 'glass',
      kind: 'look',
      minutes: 1,
      words: 'Look at the oil: how clear is it?',
      at: 'glass',
      hoursStood: 1,
      risks: ['looksAtOil'],
    },
    {
      id: 'level',
      kind: 'choose',
      minutes: 1,
      words: 'How does it stand in the glass?',
      inGlass: true,
      choices: LEVEL_CHOICES.map((choice) => (choice.id === 'high' ? TOO_HIGH : choice)),
    },
    {
      id: 'topUp',
      kind: 'measure',
      minutes: 3,
      words: 'Below the mark: add the same oil, slowly, and read it again.',
      label: 'Added',
      of: 'volume',
      goes: 'added',
      byGlass: 'level',
      onlyAfter: { step: 'level', choice: 'low' },
      then: 'level',
      risks: ['oilIn'],
    },
    {
      id: 'water',
      kind: 'choose',
      minutes: 1,
      words: 'Does water stand at the bottom of the glass?',
      when: ['!denser'],
      choices: [
        { id: 'none', words: 'none' },
        { id: 'some', words: 'some: bleed it now', ends: true, follow: 'bleed' },
      ],
    },
    {
      id: 'ready',
      kind: 'do',
      minutes: 1,
      words: 'Ballast in its usual position, exhaust free, inlet closed.',
      risks: ['opensExhaust'],
    },
  ],
};
