export {
  type CareRules,
  type LimitSource,
  oilLifeFactor,
  type ResolvedLimit,
  resolveRules,
  isWetWork,
} from './care-rules.js';
export { equipmentOf, equipmentOfRun } from './equipment-of-run.js';
export { MATERIAL_LIBRARY } from './material-library.js';
export {
  type Equipment,
  EXHAUST_ENDS,
  type ExhaustEnd,
  EXHAUST_PIPES,
  type ExhaustPipe,
  WETNESSES,
  type Wetness,
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
  SERVICE_CLASSES,
  type ServiceClass,
  SET_UP_KINDS,
  type SetUpBodies,
  type SetUpKind,
  type SetUpVersion,
  type Site,
  type Sump,
  type WaterBehaviour,
} from './records.js';
export { bringsOxygen, MOST_OXYGEN_PERCENT, smellHarms, SOLVENT_BARS_AIR } from './service.js';
export {
  HOUSE_RULES_ID,
  type HouseSetUp,
  type PumpSetUp,
  setUpBook,
  type SetUpBook,
  withOilIn,
} from './set-up-book.js';
