import type { Skill } from '../procedure.js';

/** What each procedure is called. Apart from their steps: the Round says which one is under way, and needs no more of it. */
export const PROCEDURE_NAMES = {
  bleed: 'Bleed settled water',
  oilChange: 'Oil change',
  oilAndFilter: 'Oil and oil filter',
  flush: 'Flush',
  housingClean: 'Housing clean',
  ballastPurge: 'Ballast purge',
  boosterOil: 'Booster oil',
  exhaustFilter: 'Exhaust filter',
  inlet: 'Inlet screen and anti-suckback valve',
  changeProduct: 'Change of oil product',
  leakHunt: 'Leak hunt',
  overhaul: 'Overhaul',
  beforeRun: 'Before a run',
  afterRun: 'After a run',
  layUp: 'Lay-up',
  backToWork: 'Back to work',
  closeUp: 'Close what stands open',
  pumpSwap: 'Pump swap',
  potsAndTrap: 'Pots and trap',
} as const;
export type ProcedureId = keyof typeof PROCEDURE_NAMES;

/** Whose work each is; apart from their steps too: what somebody may do is asked everywhere. */
export const PROCEDURE_SKILLS: Readonly<Record<ProcedureId, Skill>> = {
  bleed: 'operator',
  oilChange: 'technician',
  oilAndFilter: 'technician',
  flush: 'technician',
  housingClean: 'technician',
  ballastPurge: 'operator',
  boosterOil: 'technician',
  exhaustFilter: 'technician',
  inlet: 'technician',
  changeProduct: 'technician',
  leakHunt: 'technician',
  overhaul: 'specialist',
  beforeRun: 'operator',
  afterRun: 'operator',
  layUp: 'technician',
  backToWork: 'technician',
  closeUp: 'technician',
  pumpSwap: 'technician',
  potsAndTrap: 'operator',
};

/** Whether there is such a procedure. */
export const isProcedure = (id: string): id is ProcedureId => Object.hasOwn(PROCEDURE_SKILLS, id);
