export { CAUSES, type CauseId } from './all-causes.js';
export { type After, type Brings, type Cause } from './cause.js';
export { CHECKS, type CheckId } from './all-checks.js';
export { type Check } from './check.js';
export { diagnose } from './diagnose.js';
export { FINDINGS, type FindingId, type Found, type StateOf } from './all-findings.js';
export { type Finding, type ObservedBy } from './finding.js';
export { effortOf, nextChecks, type Outcome, type RankedCheck } from './next-check.js';
export { DECIDED, rank, type Asked, type RankedCause, type Ranking, type Speaks } from './rank.js';
