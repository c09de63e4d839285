import { afterJobEntry, type JobEntry } from '../job/index.js';
import { jobIdOf } from '../journal/index.js';
import type { PumpState } from './state.js';

/** A job at the pump; whoever is at it, oil that was let out is missing until some is filled in. */
export function foldJob(state: PumpState, entry: JobEntry): PumpState {
  const job = afterJobEntry(state.job, entry, state.drained !== null);
  if (entry.kind !== 'jobStep' || !entry.body.oil) return { ...state, job };
  const drained = { at: entry.happenedAt, who: entry.who ?? null, jobId: jobIdOf(entry) ?? '' };
  return { ...state, job, drained: entry.body.oil === 'out' ? (state.drained ?? drained) : null };
}
