export { ailingPump, type AilingPump } from './ailing-pump.js';
export { type PumpProfile, simulatePump } from './pump-life.js';
export { type Random, seededRandom } from './random.js';
export { FAULTS } from './faults.js';
export { AS_NEW, NO_LOAD, SimulatedPump, type Build, type Condition, type Inputs, type Load } from './pump.js';
export { buildOfSetUp } from './set-of-pump.js';
export { runsOfSignals } from './heard-runs.js';
export {
  type MonitoredLife,
  monitoredLife,
  type MonitoredRun,
  type MonitoredUse,
  type MonitorFault,
  type MonitorSignal,
  MONITOR_FAULTS,
  MONITORED_USES,
} from './monitored-days.js';
