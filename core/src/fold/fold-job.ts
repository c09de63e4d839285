import { afterJobEntry, type JobEntry } from '../job/index.js';
import { jobIdOf } from '../journal/index.js';
import type { PumpState } from './state.js';

/**
 * A job at the pump, whoever is at it. Oil that was let out is missing until some is filled in, and what was opened or capped is so
 * until it is closed and free.
 */
export function foldJob(state: PumpState, entry: JobEntry): PumpState {
  const found = { drained: state.drained !== null, notWhole: state.notWhole?.how ?? null };
  const next = { ...state, job: afterJobEntry(state.job, entry, found) };
  if (entry.kind !== 'jobStep') return next;
  const { oil, pump } = entry.body;
  const by = { at: entry.happenedAt, who: entry.who ?? null, jobId: jobIdOf(entry) ?? '' };
  return {
    ...next,
    ...(oil ? { drained: oil === 'out' ? (state.drained ?? by) : null } : {}),
    ...(pump
      ? { notWhole: pump === 'closed' ? null : { how: pump, procedure: next.job?.procedure ?? '', ...by } }
      : {}),
  };
}
