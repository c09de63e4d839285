export { CAUSES, type CauseId } from './all-causes.js';
export { type After, type Brings, type Cause } from './cause.js';
export { diagnose } from './diagnose.js';
export { FINDINGS, type Finding, type FindingId, type Found, type ObservedBy, type StateOf } from './finding.js';
export { DECIDED, rank, type Asked, type RankedCause, type Ranking, type Speaks } from './rank.js';
