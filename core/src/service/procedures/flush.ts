import { LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES } from './procedure-names.js';

export const FLUSH: Procedure = {
  letter: 'D',
  name: PROCEDURE_NAMES.flush,
  tasks: ['flush'],
  kinds: ['vane'],
  skill: 'technician',
  atHand: [
    'flushing oil or fresh oil of the same product for each fill',
    'a new charge beside',
    'containers',
    'a jar for each fill',
    'gloves, rags',
  ],
  steps: [
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'fill',
      kind: 'measure',
      minutes: 6,
      words: 'Fill for the flush, up to {amount}.',
      amount: 'charge',
      label: 'Filled in',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      risks: ['oilIn', 'nearOil'],
    },
    {
      id: 'run',
      kind: 'wait',
      minutes: 30,
      words: 'Unlock, run it half an hour warm with the inlet closed.',
      risks: ['starts', 'opensExhaust'],
    },
    {
      id: 'drainAgain',
      kind: 'do',
      minutes: 14,
      oil: 'out',
      does: ['flush'],
      words: 'Stop, lock, drain it warm.',
      risks: ['standsStill', 'oilOut', 'drains', 'drainsWarm', 'hot'],
    },
    {
      id: 'jarOfFlush',
      kind: 'look',
      minutes: 5,
      words: 'Read what came out: colour, sludge, particles.',
      at: 'jar',
      risks: ['looksAtOil', 'fillsJar'],
    },
    {
      id: 'again',
      flushes: 'oldFilter',
      kind: 'choose',
      minutes: 3,
      words: 'Is it as clean as it shall be? After two fills that get no cleaner the housing is washed.',
      choices: [
        { id: 'clean', words: 'clean enough: fill the new charge' },
        { id: 'more', words: 'fill once more', goTo: 'fill' },
        { id: 'wash', words: 'not getting cleaner: wash the housing', ends: true, follow: 'housingClean' },
      ],
    },
    {
      id: 'newCharge',
      kind: 'measure',
      minutes: 7,
      words: 'Fill the new charge, up to {amount}: it counts as the last fill.',
      amount: 'charge',
      label: 'New charge',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      risks: ['oilIn'],
    },
    ...LEVEL,
  ],
};
