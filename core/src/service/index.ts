export { type FlushFill } from './flush.js';
export { type MeasureOf, type Procedure, type Skill, type Step, type StepKind } from './procedure.js';
export { type ProcedureId, PROCEDURES } from './procedures/index.js';
export { schoolCosts, type SchoolCost } from './school-costs.js';
export { proceduresAt, type Service, serviceAt, type ServiceStep } from './service-at.js';
