export { type CareRules, type LimitSource, oilLifeFactor, type ResolvedLimit, resolveRules } from './care-rules.js';
export { equipmentOf, equipmentOfRun } from './equipment-of-run.js';
export { MATERIAL_LIBRARY } from './material-library.js';
export {
  type Equipment,
  type HouseRules,
  type Material,
  type OilBase,
  type OilProduct,
  type Person,
  type Process,
  type Pump,
  PUMP_PLACES,
  type PumpModel,
  type PumpPlace,
  type Season,
  SEASONS,
  SET_UP_KINDS,
  type SetUpBodies,
  type SetUpKind,
  type SetUpVersion,
  type Site,
  type Sump,
  type WaterBehaviour,
} from './records.js';
export { HOUSE_RULES_ID, type HouseSetUp, type PumpSetUp, setUpBook, type SetUpBook } from './set-up-book.js';
