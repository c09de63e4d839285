export {
  type AccountState,
  firstAccount,
  STORE_FOLD_VERSION,
  type Marks,
  type MediaState,
  type Stay,
  type StoodReading,
} from './account-state.js';
export { type Blend, blendOf, notTogether } from './blend.js';
export {
  FILTER_MEDIA,
  type FilterForecast,
  filterAsItStands,
  filterForecast,
  filterMediaOf,
  type FilterMediaId,
} from './filter-media.js';
export { endKey, type Move, mostOf, type OutsideAccount } from './ledger.js';
export { draw, merged, OLDER, type Part, POOL_SHARE, POOL_UL, pooled, totalUL } from './part.js';
export {
  BARRED_SERVICES,
  canMend,
  type NotInto,
  notInto,
  type Refusal,
  REUSE_DEFAULTS,
  reuseOf,
  reuses,
  reuseSchoolOf,
  type ReuseVerdict,
} from './reuse.js';
export { type LabFigure, NO_FACTS, type ReuseFacts } from './reuse-facts.js';
export { type JarShown, type Settle, settleOf, settlingFactor } from './settle-jar.js';
export { type Layer, type OnShelf, onShelf, SHELF_GROUPS, type ShelfGroup } from './shelf.js';
export { bookEntry, storeProjection } from './store-projection.js';
export { type Trace, traceBack, type TracedMove, type TracedPlace, traceOn } from './trace.js';
export { mlOf, OIL_EXPANSION_PER_K, volumeAt20uL, wholeUL } from './volume-at-20.js';
export {
  type CostOfSchools,
  costOfSchools,
  costOfShare,
  HANDLING,
  type OilAccount,
  oilAccount,
  type OilCost,
  type StorePrices,
} from './oil-account.js';
export { type FillMade, coversDays, stockLasts } from './stock-forecast.js';
export { type WrongWaste, wrongWaste } from './waste.js';
