import type { Procedure } from '../procedure.js';
import { AFTER_RUN } from './after-run.js';
import { BALLAST_PURGE } from './ballast-purge.js';
import { BEFORE_RUN } from './before-run.js';
import { BLEED } from './bleed.js';
import { BOOSTER_OIL } from './booster-oil.js';
import { CHANGE_PRODUCT } from './change-product.js';
import { BACK_TO_WORK, CLOSE_UP } from './close-up.js';
import { EXHAUST_FILTER } from './exhaust-filter.js';
import { FLUSH } from './flush.js';
import { HOUSING_CLEAN } from './housing-clean.js';
import { INLET } from './inlet.js';
import { LAY_UP } from './lay-up.js';
import { LEAK_HUNT } from './leak-hunt.js';
import { OIL_AND_FILTER } from './oil-and-filter.js';
import { OIL_CHANGE } from './oil-change.js';
import { OVERHAUL } from './overhaul.js';
import { POTS_AND_TRAP } from './pots-and-trap.js';
import type { ProcedureId } from './procedure-names.js';
import { PUMP_SWAP } from './pump-swap.js';

/** Every procedure of docs/trade.md 8, by its id. */
export const PROCEDURES: Readonly<Record<ProcedureId, Procedure>> = {
  bleed: BLEED,
  oilChange: OIL_CHANGE,
  oilAndFilter: OIL_AND_FILTER,
  flush: FLUSH,
  housingClean: HOUSING_CLEAN,
  ballastPurge: BALLAST_PURGE,
  boosterOil: BOOSTER_OIL,
  exhaustFilter: EXHAUST_FILTER,
  inlet: INLET,
  changeProduct: CHANGE_PRODUCT,
  leakHunt: LEAK_HUNT,
  overhaul: OVERHAUL,
  beforeRun: BEFORE_RUN,
  afterRun: AFTER_RUN,
  layUp: LAY_UP,
  backToWork: BACK_TO_WORK,
  closeUp: CLOSE_UP,
  pumpSwap: PUMP_SWAP,
  potsAndTrap: POTS_AND_TRAP,
};
