import { CAUSES, type CauseId } from './all-causes.js';
import type { Cause } from './cause.js';

/** Every cause by its place. */
export const CAUSE_IDS = Object.keys(CAUSES) as CauseId[];
export const causeOf = (id: CauseId): Cause => CAUSES[id];
