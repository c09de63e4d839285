import { LEVEL, MAKE_SAFE } from '../common-steps.js';
import type { Procedure } from '../procedure.js';
import { DRAIN } from './oil-change.js';
import { PROCEDURE_NAMES, PROCEDURE_SKILLS } from './procedure-names.js';

export const HOUSING_CLEAN: Procedure = {
  letter: 'E',
  name: PROCEDURE_NAMES.housingClean,
  tasks: ['housingClean'],
  kinds: ['vane'],
  skill: PROCEDURE_SKILLS.housingClean,
  carries: true,
  atHand: [
    'a housing gasket',
    'detergent, or a solvent fit for the gasket',
    'brushes, lint-free rags',
    'oil for two short flushes and the new charge',
    'gloves, goggles',
  ],
  steps: [
    ...MAKE_SAFE,
    ...DRAIN,
    {
      id: 'caseOff',
      pump: 'open',
      kind: 'do',
      minutes: 15,
      words: 'Oil case off. The pump module stays closed.',
      risks: ['opensPump', 'opensVacuum', 'nearOil'],
    },
    {
      id: 'wash',
      kind: 'do',
      minutes: 25,
      does: ['housingClean'],
      words: 'Wash it with detergent, or with a solvent fit for the gasket; rinse.',
      risks: ['solvent', 'wipes'],
    },
    { id: 'dry', kind: 'wait', minutes: 30, words: 'Dry it completely.' },
    {
      id: 'caseOn',
      pump: 'closed',
      kind: 'do',
      minutes: 15,
      words: 'New housing gasket, case on, bolts crosswise.',
      knows: ['seals', 'tightening'],
      uses: ['seals'],
    },
    {
      id: 'flushes',
      kind: 'measure',
      minutes: 30,
      words: 'Two short flushes, {amount} each at most.',
      amount: 'charge',
      label: 'Filled for both',
      of: 'volume',
      risks: ['oilIn', 'oilOut', 'drains'],
    },
    {
      id: 'newCharge',
      kind: 'measure',
      minutes: 4,
      words: 'Fill the new charge, up to {amount}.',
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
