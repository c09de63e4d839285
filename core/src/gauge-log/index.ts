export {
  type LogDoubt,
  LOG_DOUBTS,
  type LogLayout,
  type LogSettings,
  type Separator,
  SEPARATORS,
} from './log-layout.js';
export {
  gaugeLogReader,
  type LeftOut,
  type LogIssueCode,
  type LogRead,
  type LogReader,
  type Understood,
} from './log-reader.js';
export { type LogGap } from './log-series.js';
export { ambientAtPa, type LogUnit, LOG_UNITS, PRESSURE_REFERENCES, type PressureReference } from './pressure-unit.js';
export { type GaugeLog, type GaugePoint, readGaugeLog } from './read-gauge-log.js';
export { ELAPSED_UNITS, type ElapsedUnit, STAMP_FORMS, type StampForm } from './stamp.js';
