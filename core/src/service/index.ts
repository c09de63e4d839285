export {
  colourAbsorbance,
  colourOfAbsorbance,
  type DirtScale,
  DIRT_SCALES,
  DIRT_SCALE_IDS,
  type DirtScaleId,
} from './dirt-scales.js';
export { type FlushFill } from './flush.js';
export { dirtScaleOf, flushEfforts, flushPlanAt, lastDirt } from './flush-of-job.js';
export {
  flushPlan,
  type FlushEffort,
  type FlushInput,
  type FlushPlan,
  type FlushVerdict,
  MOST_FILLS,
} from './flush-plan.js';
export { changeOfProduct, type ChangeOfProduct, type Way, WAYS, type WayReason } from './change-of-product.js';
export { chosenAt, type Guide, guideOf } from './guide.js';
export {
  type Choice,
  type MeasureGoes,
  type MeasureOf,
  type Procedure,
  type Skill,
  type Step,
  type StepKind,
} from './procedure.js';
export { mayNot, type MayNot } from './who-may.js';
export { CONDITION_WORDS, onlyWords } from './condition-words.js';
export { boundsAtStep, mostAtStep } from './most-at-step.js';
export { PROCEDURES } from './procedures/index.js';
export { isProcedure, PROCEDURE_NAMES, PROCEDURE_SKILLS, type ProcedureId } from './procedures/procedure-names.js';
export {
  minutesByStep,
  OWN_TIMES,
  ownMinutes,
  type PersonKind,
  personKind,
  type ServiceTime,
  timesFor,
  workedMinutes,
} from './worked-minutes.js';
export { schoolCosts, type SchoolCost } from './school-costs.js';
export { GLASS_MARKS, glassLevel, type GlassLevel, warmRiseMl } from './level.js';
export { NO_JAR, partsUsed, type RecordLine, recordOf } from './record.js';
export {
  amountAt,
  fitsAsItStands,
  needsOilIn,
  proceduresAt,
  ridersAt,
  serviceAt,
  serviceOfJob,
  stepsAnswered,
  type GuideStep,
  type Service,
  type ServiceStep,
} from './service-at.js';
export { type PurgePlan, waterInOilMl } from './purge-plan.js';
export { procedureOf, ridersOf } from './visit.js';
export { mayAdd, mayLeaveOut, ownStepIssue, type OwnStepIssue, withOwnSteps } from './own-steps.js';
