import { isRunningIn, standingAt, type PumpState } from '../care/index.js';
import type { Entry } from '../journal/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { says, type SaidOfFinding } from './evidence.js';

/** By the count up to the last run: whether the exhaust filter is in time, and whether the pump is new or just overhauled. */
export function evidenceOfService(input: {
  entries: readonly Entry[];
  state: PumpState;
  setUp: PumpSetUp;
  now: string;
}): SaidOfFinding[] {
  const { entries, state, setUp, now } = input;
  const last = entries.filter((e) => e.kind === 'run').at(-1);
  if (!last) return [];
  const filter = standingAt({ state, setUp, now }).tasks.find((t) => t.task === 'exhaustFilter');
  return [
    ...(filter ? [says(last, 'exhaustFilter', filter.status === 'reached' ? 'overdue' : 'inTime')] : []),
    ...(isRunningIn(state, setUp.pump.overhauledAt) ? [says(last, 'newPump', 'yes')] : []),
  ];
}
