export { type DueForecast, dueForecastDays, FEW_INTERVALS, type Usage, usageOf } from './due-forecast.js';
export type { LimitStanding } from './limit-standing.js';
export { entryHazards, type EntryHazards } from './entry-hazards.js';
export { heldAgainst, type PressureHeld } from './pressure-held.js';
export { isAirBarred, type Unfit, unfitOil, type UnfitOil } from './service-fitness.js';
export { runRuler, type RunRuler } from './run-ruler.js';
export {
  canBleed,
  overlongRuns,
  type Reason,
  type ReasonCode,
  type Standing,
  standingAt,
  type StandingFinding,
  type StandingInput,
  type TaskStanding,
} from './standing.js';
