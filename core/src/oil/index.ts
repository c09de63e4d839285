export { afterChange, afterDraining, afterViscosity, afterWork, outlivesChange } from './answering.js';
export { isHydrocarbon, mixedWith } from './compatibility.js';
export { type Confidence, confidenceOf, type Doubt } from './confidence.js';
export {
  type Act,
  type AnsweredBy,
  type Finding,
  type FindingCode,
  type FindingOrigin,
  isLevelTask,
  type OilFinding,
} from './finding.js';
export { isDirty } from './is-dirty.js';
export { countsDroplets, ironRatePer100h, type JudgedLab, labReadingOf } from './judge-lab.js';
export { filledUp, levelFinding, THROWN_OIL, levelNotTold, oilLost } from './judge-level.js';
export {
  type ChargeSeen,
  type GoneCharge,
  type JudgedProduct,
  inOilUlOf,
  leftInOilUlOf,
  drawnUlOf,
  toUl,
  waterUlOf,
} from './judge.js';
export { nextLook, type NextLook } from './next-look.js';
export { classesOf, countsOfIso4406, iso4406Code } from './particle-code.js';
export { type LabReport, type NotJudged, readLab } from './read-lab.js';
export { type LookInContext, type OilReading, onNewCharge, readOil } from './read-oil.js';
export {
  isDenserThanWater,
  type Settling,
  SETTLING,
  settlingOf,
  type SettlingProduct,
  stokesSettlingMmPerH,
} from './settling.js';
export { kinematicViscosityMm2s } from './viscosity.js';
export { blendViscosityMm2s } from './viscosity-of-blend.js';
export { waterSolubilityPpm } from './water-solubility.js';
export { type Dragged, type VerdictChange, whatWouldChange } from './what-would-change.js';
