export {
  isHarder,
  isLevelTask,
  outlivesChange,
  VERDICT_LEVELS,
  worstLevel,
  type Act,
  type AnsweredBy,
  type Finding,
  type FindingCode,
  type OilFinding,
  type VerdictLevel,
} from './finding.js';
export {
  capacityMl,
  JAR_SHAPES,
  jarHeightMm,
  jarShapeIssue,
  jarShapeOf,
  jarVolumeMl,
  shelfJar,
  type JarShape,
} from './jar-shape.js';
export { confidenceOf, type Confidence, type Doubt } from './confidence.js';
export { isDirty } from './is-dirty.js';
export { levelFinding } from './judge-level.js';
export { toUl, waterUlOf } from './judge.js';
export {
  LAB_SIGNS,
  LAB_STEPS,
  LIMIT_LEVELS,
  OIL_LIMITS,
  OIL_SIGNS,
  OIL_STEPS,
  resolveOilLimits,
  stepPassed,
  type LimitLevel,
  type OilLimits,
  type SignId,
  type SparseOilLimits,
  type StepId,
  type StepKey,
} from './oil-limits.js';
export {
  isOfGoneCharge,
  onNewCharge,
  readOil,
  type ChargeSeen,
  type GoneCharge,
  type JudgedProduct,
  type LookInContext,
  type OilReading,
} from './read-oil.js';
export { ironRatePer100h, labReadingOf } from './judge-lab.js';
export { iso4406Code } from './particle-code.js';
export {
  readLab,
  type JudgedLab,
  type LabCharge,
  type LabProduct,
  type LabReport,
  type NotJudged,
} from './read-lab.js';
export { isDenserThanWater, SETTLING, settlingOf, stokesSettlingMmPerH, type Settling } from './settling.js';
export { kinematicViscosityMm2s } from './viscosity.js';
export { nextLook, type NextLook } from './next-look.js';
export { ownLimit } from './own-limit.js';
export { trendOf, type Trend } from './trend.js';
export { waterSolubilityPpm } from './water-solubility.js';
export { whatWouldChange, type Dragged, type Tipping } from './what-would-change.js';
