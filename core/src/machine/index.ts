export { afterCause, afterMachineWork, afterNewOil, afterTest, withMachineFinding } from './answering-machine.js';
export {
  type BackPressures,
  MACHINE_WORK,
  type MachineAnswer,
  type MachineCode,
  type MachineFinding,
  type PressureLimit,
} from './machine-finding.js';
export {
  blankOffHeldToPa,
  blankOffLimit,
  GOOD_TESTS,
  type HeldTo,
  isByTheGauge,
  isFairBlankOff,
  pumpUltimatePa,
  runLimit,
  setTargetPa,
} from './pressures.js';
export { backPressuresOf, saidByRun, saidByTest, TOO_HOT_C } from './what-it-says.js';
