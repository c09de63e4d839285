export { type DueForecast, dueForecastDays, FEW_INTERVALS, type Usage, usageOf } from './due-forecast.js';
export type { LimitStanding } from './limit-standing.js';
export { entryHazards, type EntryHazards } from './entry-hazards.js';
export { heldAgainst, type PressureHeld } from './pressure-held.js';
export { isAirBarred, type Unfit, unfitOil, type UnfitOil } from './service-fitness.js';
export { runRuler, type RunRuler } from './run-ruler.js';
export type { Reason, ReasonCode, StandingFinding } from './reason.js';
export { canBleed, overlongRuns, type Standing, standingAt, type StandingInput } from './standing.js';
export type { TaskStanding } from './task-standing.js';
