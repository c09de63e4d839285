import { LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES } from './procedure-names.js';

export const CHANGE_PRODUCT: Procedure = {
  letter: 'J',
  name: PROCEDURE_NAMES.changeProduct,
  tasks: ['oilChange', 'flush', 'exhaustFilter'],
  kinds: ['vane'],
  skill: 'technician',
  atHand: [
    'the new product for each fill',
    'a new oil filter where it has one',
    'an exhaust filter',
    'containers for each oil apart',
    'a label with the new product',
    'gloves, rags',
  ],
  steps: [
    {
      id: 'may',
      kind: 'choose',
      asksProduct: true,
      minutes: 2,
      words:
        'From which oil to which? To PFPE for oxygen never by flushing: full strip and solvent clean by a specialist.',
      choices: [
        { id: 'same', words: 'same base: drain and fill' },
        { id: 'badly', words: 'agrees badly: flush or clean' },
        { id: 'never', words: 'to PFPE, or unknown: stop, ask a specialist', ends: true },
      ],
    },
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'flush',
      onlyAfter: { step: 'may', choice: 'badly' },
      does: ['flush'],
      flushes: 'newFilter',
      kind: 'measure',
      minutes: 45,
      words: 'Flush with the new product, {amount} for each fill, half an hour warm; as often as the plan says.',
      amount: 'charge',
      label: 'Filled for flushing',
      of: 'volume',
      risks: ['oilIn', 'oilOut', 'drains', 'starts'],
    },
    {
      id: 'filter',
      knows: ['oilFilter'],
      kind: 'do',
      minutes: 7,
      does: ['oilFilter'],
      words: 'New oil filter: the old one is full of the old product.',
      when: ['oilFilter'],
      risks: ['takesFilterOff', 'oilOut'],
    },
    {
      id: 'exhaust',
      knows: ['exhaustFilter'],
      kind: 'do',
      minutes: 15,
      does: ['exhaustFilter'],
      words: 'New exhaust filter: the old one is soaked with the old product.',
      risks: ['opensPump', 'opensExhaust', 'wipes'],
    },
    {
      id: 'fill',
      kind: 'measure',
      minutes: 4,
      words: 'Fill the first charge, up to {amount}. It is changed early.',
      amount: 'charge',
      label: 'Filled in',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      asksProduct: true,
      risks: ['oilIn', 'nearOil'],
    },
    { id: 'label', kind: 'do', minutes: 2, words: 'New label on the pump, and the oil in the set-up.' },
    ...LEVEL,
  ],
};
