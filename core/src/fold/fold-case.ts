import { caseIdOf, type Entry } from '../journal/index.js';
import { afterCause } from '../machine/index.js';
import type { PumpState } from './state.js';

type CaseEntry = Extract<Entry, { kind: 'caseOpened' | 'caseClosed' | 'caseChecked' }>;

/** A case is opened, closed with what it was, and checked later; one that did not hold is open again. */
export function foldCase(state: PumpState, entry: CaseEntry): PumpState {
  const caseId = caseIdOf(entry) ?? '';
  const at = entry.happenedAt;
  if (entry.kind === 'caseOpened') {
    const { complaint } = entry.body;
    return { ...state, case: { status: 'open', caseId, at, complaint } };
  }
  // A word on a case that another one has followed changes nothing.
  if (state.case?.caseId !== caseId) return state;
  const { complaint } = state.case;
  if (entry.kind === 'caseClosed') {
    const { causeId, checkAfterRuns } = entry.body;
    const checkAtRuns = state.totals.runs + checkAfterRuns;
    const machine = causeId === null ? state.machine : afterCause(state.machine, causeId);
    return { ...state, machine, case: { status: 'closed', caseId, at, complaint, causeId, checkAtRuns } };
  }
  return { ...state, case: entry.body.held ? null : { status: 'open', caseId, at, complaint } };
}
