export {
  capacityMl,
  JAR_SHAPES,
  jarHeightMm,
  type JarShape,
  jarShapeIssue,
  jarShapeOf,
  jarVolumeMl,
  shelfJar,
} from './jar-shape.js';
export {
  DARK_AGAIN_RUNS,
  LAB_SIGNS,
  LAB_STEPS,
  LIMIT_LEVELS,
  type LimitLevel,
  METAL_EXPECTED_HOURS,
  OIL_LIMITS,
  OIL_SIGNS,
  OIL_STEPS,
  type OilLimits,
  resolveOilLimits,
  type SignId,
  type SparseOilLimits,
  type StepId,
  type StepKey,
  stepPassed,
} from './oil-limits.js';
export {
  CALENDAR_LIMIT_DAYS,
  HOUSE_LIMITS,
  type Limits,
  type Measure,
  MEASURES,
  OIL_LIFE_HALVES,
  type School,
  type SchoolId,
  SCHOOLS,
  RUNNING_IN_HOURS,
  type SparseLimits,
} from './schools.js';
export { type PumpKind, type Task, type TaskId, TASKS, tasksOf } from './tasks.js';
export { isHarder, VERDICT_LEVELS, type VerdictLevel, worstLevel } from './verdict-level.js';
