export { oilChangeDue } from './carry-over.js';
export { countedAtTakeOver } from './counted-at-take-over.js';
export { takenSinceLevelUl } from './oil-use.js';
export { initialState, startState } from './first-state.js';
export { labReading } from './fold-lab.js';
export { reachedOn } from './fold-machine.js';
export { foundOn, holdsDenserOil, lookInContext, productIn } from './judge-look.js';
export { isRunningIn, limitsOf, sinceOf, usedSince } from './limit-use.js';
export { type Folded, type Projection, type States, subjectKey, type SubjectRef, subjectsIn } from './projection.js';
export { pumpProjection, rebuild, refoldPump } from './pump-projection.js';
export { type Checkpoint, CHECKPOINT_EVERY, rebuildAll, refold } from './refold.js';
export { type FoldSource, type RefoldedTogether, refoldTogether } from './refold-together.js';
export {
  heaviestMaterial,
  type Load,
  loadOf,
  materialFactor,
  runMinutes,
  runWeightMilli,
  WEIGHT_DEFAULTS,
} from './run-weight.js';
export {
  type BestPressures,
  type CaseState,
  type Charge,
  type Counts,
  FOLD_VERSION,
  type JarSeen,
  type LastRun,
  MAX_BARS,
  type MeterSegment,
  type NotTold,
  type OpenRun,
  type PumpState,
  type RulerBar,
  type SampleDrawn,
  type Since,
  type SumpState,
} from './state.js';
export { step } from './step.js';
export { withKnownTrap } from './trap-known.js';
export { foundUlOf, saysWater, type Draw, type WaterFound } from './water-found.js';
