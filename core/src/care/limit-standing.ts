import type { CareRules, LimitSource, ResolvedLimit } from './care-rules.js';
import { forecastLimit, type DueForecast, type Usage } from './due-forecast.js';
import type { Measure } from './presets.js';
import type { Counts, PumpState, Since } from './state.js';
import type { TaskId } from './tasks.js';

export interface LimitStanding {
  readonly measure: Measure;
  /** runs, weighted runs, hours, days or changes, as `used` and `left` */
  readonly limit: number;
  readonly used: number;
  /** Never below 0. */
  readonly left: number;
  readonly from: LimitSource;
  readonly reached: boolean;
  /** Not reached yet, but at the end of the next planned run it will be. */
  readonly withinNextRun: boolean;
  readonly forecast: DueForecast | null;
}

/** The next planned run, as far as it uses limits up. */
export interface NextRun {
  readonly weight: number;
  readonly hours: number;
}

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

function usedByNextRun(measure: Measure, nextRun: NextRun): number {
  if (measure === 'runs') return 1;
  if (measure === 'weight') return nextRun.weight;
  if (measure === 'hours') return nextRun.hours;
  return measure === 'days' ? nextRun.hours / 24 : 0;
}

export function limitStanding(input: {
  limit: ResolvedLimit;
  since: Since;
  totals: Counts;
  todayDay: number;
  usage: Usage;
}): LimitStanding {
  const { limit, usage } = input;
  const { measure, value } = limit;
  const used = usedSince({ measure, ...input });
  const reached = used >= value;
  const left = Math.max(0, value - used);
  const nextRun = { weight: usage.meanWeight, hours: usage.meanHours };
  return {
    measure,
    limit: value,
    used,
    left,
    from: limit.from,
    reached,
    withinNextRun: !reached && measure !== 'changes' && used + usedByNextRun(measure, nextRun) >= value,
    forecast: reached ? null : forecastLimit({ measure, left, usage }),
  };
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
