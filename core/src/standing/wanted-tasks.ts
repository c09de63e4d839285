import type { TaskId } from '../limits/index.js';
import { sinceOf, type PumpState } from '../fold/index.js';
import type { Act } from '../oil/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import type { Reason, ReasonCode } from './reason.js';
import { expectedDays, STATUS_ORDER, type TaskStanding } from './task-standing.js';

/** The task by which each act is done; an act that is none, such as a top-up, stands in the verdict alone. */
const TASK_OF: { readonly [A in Act]?: TaskId } = {
  ...{ change: 'oilChange', purge: 'purge', flush: 'flush', washHousing: 'housingClean', stripClean: 'stripClean' },
  ...{ inspect: 'vaneCheck', look: 'look', bleed: 'bleed', sample: 'labSample', exhaustFilter: 'exhaustFilter' },
  ...{ blankOff: 'blankOff', sealCheck: 'sealCheck' },
};

/** Limits mark their tasks themselves, and of a pump that nobody took over no task counts yet. */
const OF_LIMITS: readonly ReasonCode[] = ['changeDue', 'lookDue', 'blankOffDue', 'notTakenOver'];
/** What nobody does to oil that is changed. */
const GOES_WITH_THE_OIL: readonly Act[] = ['purge', 'bleed', 'look', 'sample'];

/** What no look so far has told: another one at once may. */
const NOT_SEEN_YET: readonly ReasonCode[] = ['levelHolds', 'unknownAge'];

/**
 * What the verdict calls for heads the tasks. The oil that was looked at since its last run is looked at again after the next one:
 * at rest it shows the same, but for a jar that parts, for what was drained since, and for water that nobody has looked for yet.
 */
export function withWanted(
  tasks: readonly TaskStanding[],
  reasons: readonly Reason[],
  state: PumpState,
  setUp: PumpSetUp,
): TaskStanding[] {
  const known = new Map(tasks.map((t) => [t.task, t]));
  const changes = reasons.some((r) => r.act === 'change' && r.level !== 'runOn');
  for (const reason of reasons) {
    const { act } = reason;
    if (act === null || reason.level === 'runOn' || OF_LIMITS.includes(reason.code)) continue;
    if (changes && GOES_WITH_THE_OIL.includes(act)) continue;
    const sump = 'sump' in reason ? reason.sump : 'oil';
    const task =
      sump === 'oil' ? TASK_OF[act] : act === 'change' ? 'boosterOil' : act === 'topUp' ? 'sealCup' : undefined;
    if (!task || !setUp.rules.tasks.some((t) => t.task === task)) continue;
    const stands = known.get(task) ?? bare(task, state);
    const looked = state.tasks.look;
    const waits =
      task === 'look' &&
      reason.level === 'lookSooner' &&
      !NOT_SEEN_YET.includes(reason.code) &&
      looked?.counts.runs === state.totals.runs &&
      !('drainedAt' in reason && reason.drainedAt && reason.drainedAt > looked.at);
    if (waits && stands.status !== 'reached' && stands.status !== 'now')
      known.set(task, { ...stands, status: 'withinNextRun', forecast: null });
    else if (!waits) known.set(task, { ...stands, status: 'now' });
  }
  const place = ({ task }: TaskStanding): number => {
    const first = reasons.findIndex((r) => r.act !== null && r.level !== 'runOn' && TASK_OF[r.act] === task);
    return first < 0 ? reasons.length : first;
  };
  const rank = (t: TaskStanding): number => STATUS_ORDER.indexOf(t.status);
  return [...known.values()].sort(
    (a, b) => rank(a) - rank(b) || place(a) - place(b) || expectedDays(a) - expectedDays(b),
  );
}

/** A task without a limit that could come due, as it stands. */
function bare(task: TaskId, state: PumpState): TaskStanding {
  const since = sinceOf(state, task);
  const never = { limits: [], decides: null, forecast: null, status: 'noLimit' } as const;
  return { task, ...never, sinceAt: since?.at ?? null, doneEntryId: since?.entryId ?? null };
}
