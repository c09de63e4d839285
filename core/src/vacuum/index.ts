export { type GaugeSeries } from './gauge-series.js';
export { hoseConductanceLPerS } from './hose-conductance.js';
export { judgePumpDown, type PumpDownJudged, type PumpDownNote, type PumpDownVerdict } from './judge-pump-down.js';
export { judgeRise, type RiseJudged, type RiseNote, type RiseVerdict, THERMAL_IN_VAPOUR } from './judge-rise.js';
export { type Between, type Hose, logPressures, type PumpDownWay } from './pump-down-model.js';
export { riseAt, type RiseWay } from './rise-fit.js';
export {
  chamberSpeeds,
  inletConductanceLPerS,
  type InletGas,
  laminarBelowPa,
  minutesLost,
  throughInlet,
} from './inlet-chain.js';
export {
  type InlineFilterAssumption,
  type InlineFilterCase,
  type InlineFilterLine,
  type InlineFilterWorth,
  inlineFilterWorth,
} from './inline-filter.js';
export { leakAtPump } from './leak-at-pump.js';
export { leakWaterGPerDay } from './leak-water.js';
export { NO_VACUUM_LIMITS, vacuumLimits } from './vacuum-limits.js';
export {
  goodPullDownS,
  PULL_DOWN_SLOW_TIMES,
  VACUUM_SERIES,
  type VacuumLimits,
  type VacuumMended,
  type VacuumPoint,
  vacuumRecord,
  type VacuumRecord,
  type VacuumSeries,
  type VacuumSeriesOf,
  type VacuumTrend,
} from './vacuum-record.js';
export { BAG_LIMIT_PA, type BagJudged, type BagNote, judgeBag } from './judge-bag.js';
export { type CyclesJudged, type CyclesNote, judgeCycles } from './judge-cycles.js';
export { judgeUltimate, type UltimateJudged, type UltimateNote } from './judge-ultimate.js';
export { compareGauges, type GaugesCompared, type GaugesState } from './compare-gauges.js';
export { valveMoved, type ValveWatched, type WatchedReading } from './valve-moved.js';
