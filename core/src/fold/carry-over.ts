import { isLevelTask } from '../oil/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { isRunningIn, limitsOf, sinceOf, usedSince } from './limit-use.js';
import type { PumpState } from './state.js';

/**
 * Was the oil change due at this moment, by its limit or by a finding of the third or fourth kind about the oil?
 * A run that starts then goes out on oil carried over (docs/trade.md 1). Level is a task, not a state of the oil.
 */
export function oilChangeDue(input: { state: PumpState; setUp: PumpSetUp; todayDay: number }): boolean {
  const { state, setUp, todayDay } = input;
  const sump = state.sumps.find((s) => s.key === 'oil');
  const since = sinceOf(state, 'oilChange');
  if (!sump || !since) return false;
  const byFinding = sump.findings.some((f) => !isLevelTask(f) && (f.level === 'beforeNextRun' || f.level === 'stop'));
  return (
    byFinding ||
    limitsOf(setUp.rules, 'oilChange', isRunningIn(state, setUp.pump.overhauledAt)).some(
      ({ measure, value }) => usedSince({ measure, since, totals: state.totals, todayDay }) >= value,
    )
  );
}
