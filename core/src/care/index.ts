export { TASKS, tasksOf, type Task, type TaskId } from './tasks.js';
export {
  CALENDAR_LIMIT_DAYS,
  HOUSE_LIMITS,
  MEASURES,
  PRESETS,
  RUNNING_IN_HOURS,
  type Limits,
  type Measure,
  type Preset,
  type PresetId,
  type SparseLimits,
} from './presets.js';
export { oilLifeFactor, resolveRules, type CareRules, type LimitSource, type ResolvedLimit } from './care-rules.js';
export { MATERIAL_LIBRARY } from './material-library.js';
export { loadOf, materialFactor, runMinutes, runWeightMilli, WEIGHT_DEFAULTS, type Load } from './run-weight.js';
export {
  FOLD_VERSION,
  initialState,
  MAX_BARS,
  startState,
  type BestPressures,
  type CaseState,
  type Charge,
  type Counts,
  type JarSeen,
  type LastRun,
  type MeterSegment,
  type OpenRun,
  type PumpState,
  type RulerBar,
  type SampleDrawn,
  type Since,
  type SumpState,
} from './state.js';
export { labReading } from './fold-lab.js';
export { heldAgainst, type PressureHeld } from './pressure-held.js';
export { waterStory, type WaterRun, type WaterStory } from './water-story.js';
export { saysWater, type WaterFound } from './water-found.js';
export { expectedMl, holdsDenserOil, lookInContext, productIn } from './judge-look.js';
export { step } from './step.js';
export { CHECKPOINT_EVERY, rebuild, refold, type Checkpoint } from './refold.js';
export { isRunningIn, limitsOf, sinceOf, type LimitStanding } from './limit-standing.js';
export { oilChangeDue } from './carry-over.js';
export { dueForecastDays, FEW_INTERVALS, usageOf, type DueForecast, type Usage } from './due-forecast.js';
export {
  overlongRuns,
  canBleed,
  standingAt,
  type Reason,
  type ReasonCode,
  type Standing,
  type StandingFinding,
  type TaskStanding,
} from './standing.js';
export { runRuler, type RunRuler } from './run-ruler.js';
export {
  chargeTrends,
  oilStory,
  STORY_MEASURES,
  type ChargeStory,
  type ChargeTrend,
  type StoryMeasure,
  type StoryPoint,
} from './oil-story.js';
