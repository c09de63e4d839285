export { type GaugeSeries } from './gauge-series.js';
export { type Interval } from './belief.js';
export { hoseConductanceLPerS } from './hose-conductance.js';
export {
  judgePumpDown,
  PUMP_DOWN_NOTES,
  type PumpDownJudged,
  type PumpDownNote,
  type PumpDownVerdict,
} from './judge-pump-down.js';
export {
  type GaugeKind,
  judgeRise,
  RISE_NOTES,
  type RiseJudged,
  type RiseNote,
  type RiseVerdict,
  THERMAL_IN_VAPOUR,
} from './judge-rise.js';
export { type Hose, logPressures, type PumpDownWay } from './pump-down-model.js';
export { riseAt, type RiseWay } from './rise-fit.js';
