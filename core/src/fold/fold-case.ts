import { caseIdOf, type Entry } from '../journal/index.js';
import { afterCause, withMachineFinding } from '../machine/index.js';
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
    const ended = state.machine.filter((f) => !machine.includes(f));
    return { ...state, machine, case: { status: 'closed', caseId, at, complaint, causeId, checkAtRuns, ended } };
  }
  if (entry.body.held) return { ...state, case: null };
  const again = state.case.status === 'closed' ? state.case.ended : [];
  const machine = again.reduce<PumpState['machine']>(withMachineFinding, state.machine);
  return { ...state, machine, case: { status: 'open', caseId, at, complaint } };
}
