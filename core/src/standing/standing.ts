import { localDay, type SumpKey } from '../journal/index.js';
import { type MachineFinding } from '../machine/index.js';
import { isDenserThanWater, type Act, type AnsweredBy, type Finding } from '../oil/index.js';
import { VERDICT_LEVELS, worstLevel, type VerdictLevel, type TaskId } from '../limits/index.js';
import { equipmentOf, withOilIn, type PumpSetUp } from '../set-up/index.js';
import { usageOf, type DueForecast, type Usage } from './due-forecast.js';
import {
  FOLD_VERSION,
  isRunningIn,
  limitsOf,
  sinceOf,
  takenSinceLevelUl,
  type NotTold,
  type OpenRun,
  type PumpState,
} from '../fold/index.js';
import { isAirBarred, unfitOil, type UnfitOil } from './service-fitness.js';
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

interface ReasonBase {
  readonly level: VerdictLevel;
  readonly act: Act;
  readonly answeredBy: AnsweredBy;
}

/** A finding with the sump in which it stands: a booster has three that can be low. */
export type StandingFinding = Finding & {
  readonly sump: SumpKey;
  /** It could be answered by a purge, and with air that could burn. */
  readonly airBarred?: boolean;
};

/** What the pump itself says; where solvent bars air, a purge that it asks for is a change. */
export type StandingMachineFinding = MachineFinding & { readonly airBarred?: boolean };

/** Why the verdict is what it is. Findings come from looks, the others from limits. */
export type Reason =
  | StandingFinding
  | StandingMachineFinding
  | (ReasonBase & {
      readonly code: 'changeDue';
      readonly task: TaskId;
      readonly decides: LimitStanding;
      readonly sinceAt: string;
    })
  | (ReasonBase & { readonly code: 'lookDue'; readonly decides: LimitStanding; readonly sinceAt: string })
  | (Omit<ReasonBase, 'answeredBy'> & {
      readonly code: 'blankOffDue';
      readonly answeredBy: 'measuring';
      readonly decides: LimitStanding;
      readonly sinceAt: string;
    })
  | (ReasonBase & { readonly code: 'lastRunBeforeChange'; readonly decides: LimitStanding })
  | (ReasonBase & { readonly code: 'carriedOver'; readonly runs: number })
  | (ReasonBase & { readonly code: 'caseOpen'; readonly sinceAt: string; readonly complaint: string })
  | (ReasonBase & { readonly code: 'caseToCheck'; readonly closedAt: string; readonly complaint: string })
  | (ReasonBase & { readonly code: 'notTakenOver' })
  /** Samples and bleeds have lowered the level, and nobody has read it since. */
  | (ReasonBase & { readonly code: 'readLevel'; readonly takenUl: number })
  | (ReasonBase & { readonly code: 'unfitOil' } & UnfitOil)
  /** Somebody said something of it that does not count: until that is settled nobody can say “run on”. */
  | {
      readonly code: 'unsettled';
      readonly level: 'lookSooner';
      readonly act: null;
      readonly answeredBy: 'settling';
      readonly corrections: number;
    }
  /** Its state is of before an update and is being made anew: nobody can say “run on” until it is. */
  | { readonly code: 'madeAnew'; readonly level: 'beforeNextRun'; readonly act: null; readonly answeredBy: 'waiting' }
  | {
      readonly code: 'notTold';
      readonly level: 'runOn';
      /** Nothing is to be done at the pump: whoever knows corrects the entry. */
      readonly act: null;
      readonly answeredBy: 'correction';
      readonly entries: readonly NotTold[];
    };

export type ReasonCode = Reason['code'];

export interface Standing {
  readonly at: string;
  readonly todayDay: number;
  readonly verdict: VerdictLevel;
  /** Act of the worst reason; null when nothing is wanted. */
  readonly act: Act | null;
  /** Worst first. */
  readonly reasons: readonly Reason[];
  /** In the order in which they will be wanted. */
  readonly tasks: readonly TaskStanding[];
  readonly nextTask: TaskStanding | null;
  readonly usage: Usage;
  /** Runs of this charge that went out on oil that was due. */
  readonly carriedOverRuns: number;
  /** On the hour meter, but not logged as runs, since the oil change. */
  readonly unloggedMinutes: number;
}

/** A run is asked about when it has gone on for so many times its equipment's reference hours, and at least a day. */
const OVERLONG = { timesReference: 2, hours: 24 } as const;
const HOUR_MS = 3_600_000;

/** Open runs that went on so long that their end was probably forgotten. */
export function overlongRuns(input: { state: PumpState; setUp: PumpSetUp; now: string }): OpenRun[] {
  const { state, setUp, now } = input;
  return state.running.filter((run) => {
    const { referenceHours } = equipmentOf(run.equipmentId, setUp);
    const limit = Math.max(OVERLONG.hours, OVERLONG.timesReference * referenceHours);
    return (Date.parse(now) - Date.parse(run.at)) / HOUR_MS > limit;
  });
}

const STATUS_ORDER = ['now', 'reached', 'withinNextRun', 'ok', 'noLimit'] as const;
const medianOf = (limit: { forecast: DueForecast | null }): number => limit.forecast?.p50Days ?? Infinity;

function taskStanding(input: {
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
  const expected = [...limits].sort((a, b) => medianOf(a) - medianOf(b) || a.left / a.limit - b.left / b.limit)[0];
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

function limitReasons(tasks: readonly TaskStanding[], carriedOverRuns: number): Reason[] {
  const reasons: Reason[] = [];
  for (const t of tasks) {
    if (t.decides === null || t.sinceAt === null) continue;
    const { task, decides, sinceAt } = t;
    if (task === 'oilChange' || task === 'boosterOil') {
      if (t.status === 'reached') {
        reasons.push({
          code: 'changeDue',
          level: 'beforeNextRun',
          act: 'change',
          answeredBy: 'change',
          task,
          decides,
          sinceAt,
        });
      } else if (t.status === 'withinNextRun' && task === 'oilChange') {
        const nearest = t.limits.find((l) => l.withinNextRun) ?? decides;
        reasons.push({
          code: 'lastRunBeforeChange',
          level: 'runOn',
          act: 'change',
          answeredBy: 'change',
          decides: nearest,
        });
      }
    }
    if (task === 'look' && t.status === 'reached') {
      reasons.push({ code: 'lookDue', level: 'lookSooner', act: 'look', answeredBy: 'look', decides, sinceAt });
    }
    if (task === 'blankOff' && t.status === 'reached') {
      const due = { level: 'lookSooner', act: 'blankOff', answeredBy: 'measuring' } as const;
      reasons.push({ code: 'blankOffDue', ...due, decides, sinceAt });
    }
  }
  if (carriedOverRuns > 0) {
    reasons.push({ code: 'carriedOver', level: 'runOn', act: 'change', answeredBy: 'change', runs: carriedOverRuns });
  }
  return reasons;
}

/** On an oil denser than water the water floats: there is nothing to bleed at the bottom. */
export const canBleed = ({ model, product }: Pick<PumpSetUp, 'model' | 'product'>): boolean =>
  model.kind === 'vane' && !(product && isDenserThanWater(product));

/** Of an oil that nobody has said a word about, nobody can say “run on”. */
const NOT_TAKEN_OVER: Reason = { code: 'notTakenOver', level: 'lookSooner', act: 'look', answeredBy: 'look' };

/** Stays until the pump is stripped and filled anew; of oil that only food must not touch, until a change. */
function unfitReasons(state: PumpState, setUp: PumpSetUp): Reason[] {
  const found = unfitOil(state, setUp);
  if (!found) return [];
  if (found.unfit === 'food')
    return [{ code: 'unfitOil', level: 'beforeNextRun', act: 'change', answeredBy: 'change', ...found }];
  const act = found.stripped ? 'change' : 'stripClean';
  return [{ code: 'unfitOil', level: 'stop', act, answeredBy: 'stripAndChange', ...found }];
}

/** A sample that was drawn for it since, and no report on it has come. */
const awaitsReport = ({ samples }: PumpState, sump: SumpKey, { half, at }: Finding): boolean =>
  samples.some((s) => s.sump === sump && s.measured.length === 0 && s.at > (half?.at ?? at));

/** Where solvent bars air, what could be purged is drained cold and changed. */
function findingReasons(state: PumpState, setUp: PumpSetUp): Reason[] {
  const barred = isAirBarred(state, setUp);
  return state.sumps.flatMap(({ key: sump, findings }) =>
    findings.map((f): StandingFinding => {
      if (f.act === 'sample' && awaitsReport(state, sump, f)) return { ...f, sump, act: 'report' };
      const purges = f.act === 'purge' || f.answeredBy === 'bleedOrPurgeThenLook';
      if (!barred || !purges) return { ...f, sump };
      return { ...f, sump, act: f.act === 'purge' ? 'change' : f.act, airBarred: true };
    }),
  );
}

function machineReasons(state: PumpState, setUp: PumpSetUp): StandingMachineFinding[] {
  const barred = isAirBarred(state, setUp);
  return state.machine.map((f) => (barred && f.act === 'purge' ? { ...f, act: 'change', airBarred: true } : f));
}

/** A case that is open, or a remedy that has had its runs: did it hold? */
function caseReasons({ case: known, totals }: PumpState): Reason[] {
  if (known === null) return [];
  const { complaint, at } = known;
  if (known.status === 'open')
    return [{ code: 'caseOpen', level: 'runOn', act: 'findCause', answeredBy: 'case', complaint, sinceAt: at }];
  if (totals.runs < known.checkAtRuns) return [];
  const toCheck = { level: 'lookSooner', act: 'checkRemedy', answeredBy: 'case' } as const;
  return [{ code: 'caseToCheck', ...toCheck, complaint, closedAt: at }];
}

/** Runs that count as the heaviest, bleeds that count as dry: until somebody says what they were. */
const notToldReasons = ({ notTold: entries }: PumpState): Reason[] =>
  entries.length > 0 ? [{ code: 'notTold', level: 'runOn', act: null, answeredBy: 'correction', entries }] : [];

function readLevelReasons(state: PumpState, setUp: PumpSetUp): Reason[] {
  const takenUl = takenSinceLevelUl(state, setUp.model);
  return takenUl === null ? [] : [{ code: 'readLevel', level: 'runOn', act: 'look', answeredBy: 'look', takenUl }];
}

const unsettledReasons = (corrections: number): Reason[] =>
  corrections > 0 ? [{ code: 'unsettled', level: 'lookSooner', act: null, answeredBy: 'settling', corrections }] : [];

const MADE_ANEW: Reason = { code: 'madeAnew', level: 'beforeNextRun', act: null, answeredBy: 'waiting' };

const rank = (reason: Reason): number => VERDICT_LEVELS.indexOf(reason.level) * 2 + (reason.act === 'change' ? 1 : 0);

/** The task by which each act is done; an act that is none, such as a top-up, stands in the verdict alone. */
const TASK_OF: { readonly [A in Act]?: TaskId } = {
  ...{ change: 'oilChange', purge: 'purge', flush: 'flush', washHousing: 'housingClean', stripClean: 'stripClean' },
  ...{ inspect: 'vaneCheck', look: 'look', bleed: 'bleed', sample: 'labSample', exhaustFilter: 'exhaustFilter' },
  blankOff: 'blankOff',
};

/** Limits mark their tasks themselves. */
const OF_LIMITS: readonly ReasonCode[] = ['changeDue', 'lookDue', 'blankOffDue'];
/** What nobody does to oil that is changed. */
const GOES_WITH_THE_OIL: readonly Act[] = ['purge', 'bleed', 'look', 'sample'];

/**
 * What the verdict calls for heads the tasks. The oil that was looked at since its last run is looked at again after the next one:
 * at rest it shows the same, but for a jar that parts and for what was drained since.
 */
function withWanted(
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
  return [...known.values()].sort((a, b) => rank(a) - rank(b) || place(a) - place(b) || medianOf(a) - medianOf(b));
}

/** A task without a limit that could come due, as it stands. */
function bare(task: TaskId, state: PumpState): TaskStanding {
  const since = sinceOf(state, task);
  const never = { limits: [], decides: null, forecast: null, status: 'noLimit' } as const;
  return { task, ...never, sinceAt: since?.at ?? null, doneEntryId: since?.entryId ?? null };
}

export interface StandingInput {
  readonly state: PumpState;
  readonly setUp: PumpSetUp;
  readonly now: string;
  readonly todayDay?: number;
  /** Corrections about it that were kept and do not count. */
  readonly unsettled?: number;
}

/**
 * What a pump's state means at a moment: limits reached, verdict with its reasons, tasks in the order they will be wanted.
 * Pure and cheap. `now` is an ISO instant; pass `todayDay` where the site's local day is known already.
 */
export function standingAt(input: StandingInput): Standing {
  const { state, now } = input;
  const setUp = withOilIn(input.setUp, state.sumps[0]?.charge.productId ?? null);
  const todayDay = input.todayDay ?? localDay({ at: now, zone: setUp.site.zone });
  const usage = usageOf(state, { weight: 1, hours: setUp.equipment.referenceHours }, now);
  const tasks = setUp.rules.tasks
    .filter(({ task }) => task !== 'bleed' || canBleed(setUp))
    .map(({ task }) => taskStanding({ task, state, setUp, todayDay, usage }))
    .filter((t) => t.limits.length > 0)
    .sort((a, b) => STATUS_ORDER.indexOf(a.status) - STATUS_ORDER.indexOf(b.status) || medianOf(a) - medianOf(b));
  const charge = state.sumps[0]?.charge;
  const carriedOverRuns = charge?.carriedOverRuns ?? 0;
  const unknown = state.entries === 0 && setUp.model.sumps.length > 0 ? [NOT_TAKEN_OVER] : [];
  const reasons: Reason[] = [
    ...(state.foldVersion === FOLD_VERSION ? [] : [MADE_ANEW]),
    ...unknown,
    ...unsettledReasons(input.unsettled ?? 0),
    ...unfitReasons(state, setUp),
    ...findingReasons(state, setUp),
    ...machineReasons(state, setUp),
    ...caseReasons(state),
    ...notToldReasons(state),
    ...readLevelReasons(state, setUp),
    ...limitReasons(tasks, carriedOverRuns),
  ].sort((a, b) => rank(b) - rank(a));
  const verdict = worstLevel(reasons.map((r) => r.level));
  const wanted = withWanted(tasks, reasons, state, setUp);
  return {
    at: now,
    todayDay,
    verdict,
    act: verdict === 'runOn' ? null : (reasons[0]?.act ?? null),
    reasons,
    tasks: wanted,
    nextTask: wanted[0] ?? null,
    usage,
    carriedOverRuns,
    unloggedMinutes: state.totals.unloggedMinutes - (charge?.since.counts.unloggedMinutes ?? 0),
  };
}
