import { localDay, type SumpKey } from '../journal/index.js';
import { isDenserThanWater, type Act, type Finding } from '../oil/index.js';
import { VERDICT_LEVELS, worstLevel, type VerdictLevel } from '../limits/index.js';
import { equipmentOf, withOilIn, type PumpSetUp } from '../set-up/index.js';
import { waitUntil } from '../job/index.js';
import { FOLD_VERSION, takenSinceLevelUl, type OpenRun, type PumpState } from '../fold/index.js';
import { usageOf, type Usage } from './due-forecast.js';
import { layUpOf, type LayUp } from './lay-up.js';
import type { Reason, StandingFinding, StandingMachineFinding } from './reason.js';
import { isAirBarred, unfitOil } from './service-fitness.js';
import { expectedDays, STATUS_ORDER, taskStanding, type TaskStanding } from './task-standing.js';
import { withWanted } from './wanted-tasks.js';

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
  readonly layUp: LayUp | null;
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

/** No change, no look, no take-over: runs alone say nothing of the oil that they began with. A booster’s oil nobody looks at. */
const isOilUnheardOf = ({ entries, totals, jars, takenOver }: PumpState, { model }: PumpSetUp): boolean =>
  model.kind === 'vane' ? takenOver === null && totals.changes === 0 && jars.length === 0 : entries === 0;

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

/** A service under way, oil that it let out, and what it opened or capped. A wait that has passed wants somebody. */
function jobReasons({ job, drained, notWhole }: PumpState, now: string): Reason[] {
  const goesOn = job ? ('goOn' as const) : null;
  const empty: Reason[] = [];
  // What stands open is closed before it is filled.
  if (notWhole)
    empty.push({
      ...{ code: 'notWhole', level: 'stop', act: goesOn ?? 'closeUp', answeredBy: 'closing' },
      ...{ how: notWhole.how, sinceAt: notWhole.at, who: notWhole.who },
    });
  if (drained)
    empty.push({
      ...{ code: 'drained', level: 'stop', act: goesOn ?? 'change', answeredBy: 'change' },
      ...{ sinceAt: drained.at, who: drained.who },
    });
  if (!job) return empty;
  const until = job.paused ? null : waitUntil(job);
  const overdue = until !== null && until < now;
  const { procedure, startedAt: sinceAt, who, paused } = job;
  const level = overdue ? 'lookSooner' : 'runOn';
  const open = { procedure, sinceAt, who, paused: paused !== null, waitUntil: until, overdue };
  return [...empty, { code: 'jobOpen', level, act: 'goOn', answeredBy: 'job', ...open }];
}

/** By then a jar says little more: oil and water have parted, and it has been in the way. */
const JAR_WAITS_DAYS = 7;
const DAY_MS = 86_400_000;

/** Once its time has come the jar of the last change wants somebody; a jar that nobody reads in a week is let go. */
function jarReasons({ toRead }: PumpState, now: string): Reason[] {
  if (!toRead || Date.parse(now) > Date.parse(toRead.fromAt) + JAR_WAITS_DAYS * DAY_MS) return [];
  const { entryId, fromAt } = toRead;
  const ready = now >= fromAt;
  const level = ready ? 'lookSooner' : 'runOn';
  return [{ code: 'jarToRead', level, act: 'look', answeredBy: 'look', entryId, fromAt, ready }];
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

/** What is done first among what is as bad. */
const FIRST_OF_ITS_LEVEL: readonly Reason['act'][] = ['change', 'goOn', 'closeUp'];
const rank = (reason: Reason): number =>
  VERDICT_LEVELS.indexOf(reason.level) * 2 + (FIRST_OF_ITS_LEVEL.includes(reason.act) ? 1 : 0);

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
    .sort(
      (a, b) => STATUS_ORDER.indexOf(a.status) - STATUS_ORDER.indexOf(b.status) || expectedDays(a) - expectedDays(b),
    );
  const charge = state.sumps[0]?.charge;
  const carriedOverRuns = charge?.carriedOverRuns ?? 0;
  const unknown = isOilUnheardOf(state, setUp) && setUp.model.sumps.length > 0 ? [NOT_TAKEN_OVER] : [];
  const reasons: Reason[] = [
    ...(state.foldVersion === FOLD_VERSION ? [] : [MADE_ANEW]),
    ...unknown,
    ...jobReasons(state, now),
    ...jarReasons(state, now),
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
    layUp: layUpOf({ state, setUp, usage, now }),
    carriedOverRuns,
    unloggedMinutes: state.totals.unloggedMinutes - (charge?.since.counts.unloggedMinutes ?? 0),
  };
}
