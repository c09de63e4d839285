export { type GaugeSeries } from './gauge-series.js';
export { hoseConductanceLPerS } from './hose-conductance.js';
export { judgePumpDown, type PumpDownJudged, type PumpDownNote, type PumpDownVerdict } from './judge-pump-down.js';
export { judgeRise, type RiseJudged, type RiseNote, type RiseVerdict, THERMAL_IN_VAPOUR } from './judge-rise.js';
export { type Hose, logPressures, type PumpDownWay } from './pump-down-model.js';
export { riseAt, type RiseWay } from './rise-fit.js';
export { leakAtPump } from './leak-at-pump.js';
export { leakWaterGPerDay } from './leak-water.js';
