export { ballastAdvice, type BallastAdvice, type ToleranceRange } from './ballast-advice.js';
export {
  airBrings,
  airVapourPressurePa,
  ballastRemovalGPerH,
  molarBalanceHpa,
  waterVapourToleranceHpa,
  waterVapourToleranceMolarHpa,
} from './ballast.js';
export { READING_SD_ML, WATER_DEFAULTS, WATER_G_PER_ML, waterUlOfG } from './constants.js';
export { cycleWater } from './cycle-water.js';
export { type ExcessHint, excessHints } from './excess.js';
export { fitTrapEfficiency, type TrapFit, type WaterSegment } from './fit-trap-efficiency.js';
export {
  type Assumed,
  ballastFlowM3h,
  purgeRemovesG,
  type RunWaterInput,
  runWater,
  type RunWater,
  type NotEstimated,
} from './run-water.js';
export { asSegment, leftAtFactorsUl, NOTHING_LEFT, type TrapStretch } from './trap-stretch.js';
export { effectiveTrapTempC, type LeakNeeded, leakToExplain, trapCarryoverG, type TrapReading } from './trap.js';
export { iceVapourPressurePa, waterSaturationPressurePa } from './vapour-pressure.js';
export { waterBudget, type WaterBudget } from './water-budget.js';
export { waterLeftInOilG } from './water-left.js';
