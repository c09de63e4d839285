export { afterCause, afterMachineWork, afterNewOil, afterTest, withMachineFinding } from './answering-machine.js';
export {
  MACHINE_WORK,
  type MachineAnswer,
  type MachineCode,
  type MachineFinding,
  type PressureLimit,
} from './machine-finding.js';
export { blankOffLimit, GOOD_TESTS, type HeldTo, isByTheGauge, isFairBlankOff, runLimit } from './pressures.js';
export { BACK_PRESSURE, saidByRun, saidByTest, TOO_HOT_C } from './what-it-says.js';
