export { type LogDoubt, LOG_DOUBTS, type LogLayout } from './log-layout.js';
export {
  gaugeLogReader,
  type LeftOut,
  type LogIssueCode,
  type LogRead,
  type LogReader,
  type Understood,
} from './log-reader.js';
export { type LogGap } from './log-series.js';
export { absolutePa, ambientAtPa, LOG_UNITS, pressureUnitIn } from './pressure-unit.js';
export { type GaugeLog, type GaugePoint, readGaugeLog } from './read-gauge-log.js';
export { type StampForm } from './stamp.js';
export { thinned } from './thin.js';
