import type { TaskId } from '../limits/index.js';
import { isRunningIn, limitsOf, sinceOf, type PumpState } from '../fold/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import type { DueForecast, Usage } from './due-forecast.js';
import { limitStanding, type LimitStanding } from './limit-standing.js';

export interface TaskStanding {
  readonly task: TaskId;
  readonly limits: readonly LimitStanding[];
  /** The limit that decides: the first one reached, else the one expected first. */
  readonly decides: LimitStanding | null;
  /** `now`: a reason of the verdict calls for it, before any limit. */
  readonly status: 'now' | 'reached' | 'withinNextRun' | 'ok' | 'noLimit';
  readonly sinceAt: string | null;
  /** Null: never done since the count began. */
  readonly doneEntryId: string | null;
  readonly forecast: DueForecast | null;
}

export const STATUS_ORDER = ['now', 'reached', 'withinNextRun', 'ok', 'noLimit'] as const;
/** A pump of which no use is known may run once a day. */
const MOST_RUNS_A_DAY = 1;
/** Days until it is expected: of a limit in runs without any rate, as if it ran every day, so that it stands before far dates. */
export const expectedDays = (of: {
  forecast: DueForecast | null;
  decides?: LimitStanding | null;
  runsLeft?: number | null;
}): number => of.forecast?.p50Days ?? (of.decides?.runsLeft ?? of.runsLeft ?? Infinity) / MOST_RUNS_A_DAY;

export function taskStanding(input: {
  task: TaskId;
  state: PumpState;
  setUp: PumpSetUp;
  todayDay: number;
  usage: Usage;
}): TaskStanding {
  const { task, state, setUp, todayDay, usage } = input;
  const since = sinceOf(state, task);
  const nothing = {
    task,
    limits: [],
    decides: null,
    status: 'noLimit',
    sinceAt: null,
    doneEntryId: null,
    forecast: null,
  } as const;
  if (!since) return nothing;
  const limits = limitsOf(setUp.rules, task, isRunningIn(state, setUp.pump.overhauledAt)).map((limit) =>
    limitStanding({ limit, since, totals: state.totals, todayDay, usage }),
  );
  const reached = limits.filter((l) => l.reached).sort((a, b) => b.used / b.limit - a.used / a.limit)[0];
  const expected = [...limits].sort(
    (a, b) => expectedDays(a) - expectedDays(b) || a.left / a.limit - b.left / b.limit,
  )[0];
  const decides = reached ?? expected ?? null;
  const status = reached
    ? 'reached'
    : limits.some((l) => l.withinNextRun)
      ? 'withinNextRun'
      : decides
        ? 'ok'
        : 'noLimit';
  return {
    task,
    limits,
    decides,
    status,
    sinceAt: since.at,
    doneEntryId: since.entryId,
    forecast: decides?.forecast ?? null,
  };
}
