import type { CareRules, ResolvedLimit } from '../set-up/index.js';
import type { Measure, TaskId } from '../limits/index.js';
import type { Counts, PumpState, Since } from './state.js';

const PER_UNIT: Readonly<Record<Exclude<Measure, 'days'>, { count: keyof Counts; size: number }>> = {
  runs: { count: 'runs', size: 1 },
  weight: { count: 'weightMilli', size: 1000 },
  hours: { count: 'minutes', size: 60 },
  changes: { count: 'changes', size: 1 },
};

/** How much of a measure has been used since a moment. */
export function usedSince(input: { measure: Measure; since: Since; totals: Counts; todayDay: number }): number {
  const { measure, since, totals, todayDay } = input;
  if (measure === 'days') return Math.max(0, todayDay - since.day);
  const { count, size } = PER_UNIT[measure];
  return (totals[count] - since.counts[count]) / size;
}

/** Since when a task counts: its charge for the oil, the last time it was done, else the pump's start. Null before the first entry. */
export function sinceOf(state: PumpState, task: TaskId): Since | null {
  if (task === 'oilChange') return state.sumps.find((s) => s.key === 'oil')?.charge.since ?? state.start;
  if (task === 'boosterOil') {
    const ends = state.sumps.filter((s) => s.key === 'gearA' || s.key === 'gearB').map((s) => s.charge.since);
    return (
      ends.reduce<Since | null>((oldest, s) => (oldest === null || s.at < oldest.at ? s : oldest), null) ?? state.start
    );
  }
  return state.tasks[task] ?? state.start;
}

/** The limits of a task; the first charge of a new or overhauled pump has the running-in limit besides. */
export function limitsOf(rules: CareRules, task: TaskId, runningIn: boolean): readonly ResolvedLimit[] {
  const limits = rules.tasks.find((t) => t.task === task)?.limits ?? [];
  if (task !== 'oilChange' || !runningIn) return limits;
  const hours: ResolvedLimit = { measure: 'hours', value: rules.runningInHours, from: 'runningIn' };
  return [...limits.filter((l) => l.measure !== 'hours' || l.value < hours.value), hours];
}

/** True while the oil in a new or overhauled pump is still its first charge. */
export function isRunningIn(state: PumpState, overhauledAt: string | null | undefined): boolean {
  const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
  return Boolean(overhauledAt && charge && charge.since.at <= overhauledAt);
}
