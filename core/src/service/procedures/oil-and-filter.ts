import { LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure, Step } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

/** The new filter takes its share while the pump runs. */
const LEVEL_WITH_FILTER: readonly Step[] = LEVEL.map((step) =>
  step.id === 'comesDown'
    ? {
        ...step,
        words: 'Wait until the oil has come down. The new filter takes about {amount}: so far it sinks.',
        amount: 'filterHoldUp',
      }
    : step,
);

export const OIL_AND_FILTER: Procedure = {
  letter: 'C',
  name: PROCEDURE_NAMES.oilAndFilter,
  tasks: ['oilChange', 'oilFilter'],
  kinds: ['vane'],
  when: ['oilFilter'],
  skill: PROCEDURE_SKILLS.oilAndFilter,
  carries: true,
  atHand: [
    'fresh oil of the same product, measured out',
    'an oil filter',
    'containers for the old oil and the filter',
    'a jar',
    'O-ring or gasket of the plug',
    'gloves, rags',
  ],
  steps: [
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'filterOff',
      kind: 'do',
      minutes: 4,
      words: 'Filter off, its oil caught: about {amount} is in it. Wipe the seat.',
      amount: 'filterHoldUp',
      risks: ['takesFilterOff', 'oilOut', 'wipes'],
    },
    {
      id: 'filterOn',
      knows: ['oilFilter'],
      uses: ['oilFilter'],
      kind: 'do',
      minutes: 3,
      does: ['oilFilter'],
      words:
        'Oil the new gasket, screw on until it touches, then three quarters of a turn by hand. Never with a wrench.',
    },
    {
      id: 'fill',
      kind: 'measure',
      minutes: 4,
      words: 'Fill to MAX, up to {amount}: the filter fills itself, and the level falls.',
      amount: 'charge',
      label: 'Filled in',
      of: 'volume',
      goes: 'in',
      oil: 'in',
      risks: ['oilIn', 'nearOil'],
    },
    ...LEVEL_WITH_FILTER,
    { id: 'hour', kind: 'wait', minutes: 60, words: 'Let it run an hour.', risks: ['starts'] },
    {
      id: 'drip',
      kind: 'choose',
      minutes: 1,
      words: 'Look under the filter.',
      choices: [
        { id: 'dry', words: 'dry', finds: { id: 'pumpWeeps', state: 'no' } },
        {
          id: 'drip',
          words: 'a drip: tighten by hand, look again',
          goTo: 'drip',
          finds: { id: 'pumpWeeps', state: 'yes' },
        },
        { id: 'leaks', words: 'it leaks: stop it', finds: { id: 'pumpWeeps', state: 'yes' } },
      ],
    },
    {
      id: 'reseat',
      kind: 'do',
      minutes: 8,
      words:
        'Stop, lock; filter off, wipe seat and gasket, look at both, oil the gasket, on again by hand. Never with a wrench.',
      onlyAfter: { step: 'drip', choice: 'leaks' },
      then: 'comesDown',
      risks: ['standsStill', 'takesFilterOff', 'oilOut', 'wipes'],
    },
  ],
};
