import { isRunningIn, type PumpState } from '../fold/index.js';
import { standingAt } from '../standing/index.js';
import type { TaskId } from '../limits/index.js';
import type { Entry } from '../journal/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { observed, type Observation } from './evidence.js';

/** By the count up to the last run: exhaust filter and inlet screen in time, vanes past their usual life, new or just overhauled. */
export function evidenceOfService(input: {
  entries: readonly Entry[];
  state: PumpState;
  setUp: PumpSetUp;
  now: string;
}): Observation[] {
  const { entries, state, setUp, now } = input;
  const last = entries.filter((e) => e.kind === 'run').at(-1);
  if (!last) return [];
  const { tasks } = standingAt({ state, setUp, now });
  const isOver = (task: TaskId) => {
    const standing = tasks.find((t) => t.task === task);
    return standing ? standing.limits.some((l) => l.reached) : null;
  };
  const [filter, screen, vanes] = [isOver('exhaustFilter'), isOver('inletScreen'), isOver('vaneCheck')];
  return [
    ...(filter === null ? [] : [observed(last, 'exhaustFilter', filter ? 'overdue' : 'inTime')]),
    ...(screen === null ? [] : [observed(last, 'screenDue', screen ? 'overdue' : 'inTime')]),
    ...(vanes === null ? [] : [observed(last, 'hours', vanes ? 'many' : 'few')]),
    ...(isRunningIn(state, setUp.pump.overhauledAt) ? [observed(last, 'newPump', 'yes')] : []),
  ];
}
