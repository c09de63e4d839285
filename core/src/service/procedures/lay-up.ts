import { LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const LAY_UP: Procedure = {
  letter: 'N',
  name: PROCEDURE_NAMES.layUp,
  tasks: ['oilChange'],
  kinds: ['vane'],
  skill: PROCEDURE_SKILLS.layUp,
  atHand: ['fresh oil of the same product', 'caps for inlet and exhaust', 'a date tag', 'a switch tag: EXHAUST CAPPED'],
  steps: [
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'fill',
      kind: 'measure',
      minutes: 4,
      words: 'Fresh oil to the mark, up to {amount}.',
      amount: 'charge',
      label: 'Filled in',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      risks: ['oilIn', 'nearOil'],
    },
    ...LEVEL,
    {
      id: 'run',
      kind: 'wait',
      minutes: 15,
      words: 'Run it with the inlet closed, so that new oil is everywhere; stop, isolate, lock.',
      risks: ['starts', 'opensExhaust'],
    },
    {
      id: 'caps',
      pump: 'capped',
      kind: 'do',
      minutes: 4,
      words: 'Cap inlet and exhaust. Tag the switch EXHAUST CAPPED, date on the pump.',
      risks: ['opensExhaust'],
    },
  ],
};
