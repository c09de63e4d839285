export {
  airBrings,
  airVapourPressurePa,
  ballastRemovalGPerH,
  molarBalanceHpa,
  waterVapourToleranceHpa,
  waterVapourToleranceMolarHpa,
} from './ballast.js';
export { WATER_DEFAULTS, WATER_G_PER_ML, waterUlOfG } from './constants.js';
export { ballastAdvice, type BallastAdvice, type ToleranceRange } from './ballast-advice.js';
export { cycleWater } from './cycle-water.js';
export {
  ballastFlowM3h,
  leftWithTrapG,
  runWater,
  type Assumed,
  type RunToReckon,
  type RunWater,
  type Unreckoned,
} from './run-water.js';
export { effectiveTrapTempC, leakToExplain, trapCarryoverG, type LeakNeeded, type TrapReading } from './trap.js';
export { excessHints, type ExcessHint } from './excess.js';
export { fitTrapEfficiency, type TrapFit, type WaterSegment } from './fit-trap-efficiency.js';
export { waterBudget, type WaterBudget } from './water-budget.js';
export { iceVapourPressurePa, waterSaturationPressurePa } from './vapour-pressure.js';
export { waterLeftInOilG } from './water-left.js';
