import { dangersOf, type CautionId } from '../cautions/index.js';
import type { JarSeen, PumpState } from '../fold/index.js';
import { VERDICT_LEVELS, type PumpKind, type TaskId, type VerdictLevel } from '../limits/index.js';
import type { Act } from '../oil/index.js';
import { withOilIn, type Process, type Pump, type PumpPlace, type PumpSetUp } from '../set-up/index.js';
import {
  canBleed,
  overlongRuns,
  runRuler,
  standingAt,
  type Reason,
  type RunRuler,
  type Standing,
  type StandingInput,
  type TaskStanding,
} from '../standing/index.js';

/** A task as the Round needs it: the limit that decides, not all of them. */
export type NextTask = Omit<TaskStanding, 'limits'>;

export interface RunningRun {
  readonly entryId: string;
  readonly at: string;
  readonly equipmentName: string;
  /** It has gone on so long that its end was probably forgotten. */
  readonly overlong: boolean;
}

/** One pump in the Round. */
export interface RoundRow {
  readonly pumpId: string;
  readonly name: string;
  readonly kind: PumpKind;
  /** Settled water can be drawn from its bottom. */
  readonly bleeds: boolean;
  readonly modelName: string;
  readonly siteId: string;
  readonly siteName: string;
  readonly siteNote: string | null;
  readonly process: Process;
  readonly zone: string;
  readonly equipmentName: string;
  readonly verdict: VerdictLevel;
  readonly act: Act | null;
  readonly reasons: readonly Reason[];
  readonly nextTask: NextTask | null;
  /** Service that is due by its own limits, the oil's apart. */
  readonly overdue: readonly TaskId[];
  /** Runs until the oil change; null without an oil or a limit that runs use up. */
  readonly runsLeft: number | null;
  readonly ruler: RunRuler;
  readonly jars: readonly JarSeen[];
  readonly chargeMl: number | null;
  /** The oil that is in it, or the one that its set-up names where nobody has said. */
  readonly oilName: string | null;
  /** When its oil was changed, as far as anybody knows. */
  readonly oilChangedAt: string | null;
  readonly carriedOverRuns: number;
  /** Of the pump itself, whatever is done at it. */
  readonly dangers: readonly CautionId[];
  /** Runs that go on, the oldest first. */
  readonly running: readonly RunningRun[];
  /** Where it is in its life. */
  readonly place: PumpPlace;
  /** Nothing was ever written about it: it waits to be taken over. */
  readonly untouched: boolean;
  readonly lastMaterialId: string | null;
  /** Materials that the bars name. */
  readonly materialNames: { readonly [id: string]: string };
}

function runsLeftOf(standing: Standing): number | null {
  const change = standing.tasks.find((t) => t.task === 'oilChange' || t.task === 'boosterOil' || t.task === 'tipSeals');
  if (!change?.decides) return null;
  return change.decides.reached ? 0 : (change.decides.forecast?.runsLeft ?? null);
}

function nextTaskOf({ nextTask }: Standing): NextTask | null {
  if (!nextTask) return null;
  const { limits: _limits, ...task } = nextTask;
  return task;
}

/** Due by their own limits; the oil's change and look are the verdict's, and a bleed belongs to every run. */
const OF_THE_OIL: readonly TaskId[] = ['oilChange', 'boosterOil', 'look', 'bleed', 'blankOff'];
const overdueOf = ({ tasks }: Standing): TaskId[] =>
  tasks.flatMap(({ task, status }) => (status === 'reached' && !OF_THE_OIL.includes(task) ? [task] : []));

/** Spare and retired pumps wait elsewhere. */
export const onTheRound = ({ place }: Pump): boolean => place !== 'spare' && place !== 'retired';

function runningOf(input: { setUp: PumpSetUp; state: PumpState; now: string }): RoundRow['running'] {
  const overlong = overlongRuns(input);
  const { house } = input.setUp;
  return input.state.running.map((run) => ({
    entryId: run.entryId,
    at: run.at,
    equipmentName: house.equipment[run.equipmentId]?.name ?? run.equipmentId,
    overlong: overlong.includes(run),
  }));
}

/** A pump's line in the Round, from its state alone. `todayDay` where the site's local day is known already. */
export function rowOf(input: StandingInput): RoundRow {
  return roundRow({ ...input, standing: standingAt(input) });
}

/** A pump's line in the Round, from its state and its standing. */
export function roundRow(input: { setUp: PumpSetUp; state: PumpState; standing: Standing }): RoundRow {
  const { setUp, state, standing } = input;
  const { pump, model, site, equipment } = setUp;
  const ruler = runRuler({ state, standing });
  const materialNames: Record<string, string> = {};
  for (const { materialId } of ruler.bars)
    if (materialId !== null) materialNames[materialId] = setUp.house.material[materialId]?.name ?? materialId;
  return {
    pumpId: setUp.pumpId,
    name: pump.name,
    kind: model.kind,
    bleeds: canBleed(setUp),
    modelName: model.name,
    siteId: pump.siteId,
    siteName: site.name,
    siteNote: site.note ?? null,
    process: equipment.process,
    zone: site.zone,
    equipmentName: equipment.name,
    verdict: standing.verdict,
    act: standing.act,
    reasons: standing.reasons,
    nextTask: nextTaskOf(standing),
    overdue: overdueOf(standing),
    runsLeft: runsLeftOf(standing),
    ruler,
    jars: state.jars,
    chargeMl: model.sumps[0]?.chargeMl ?? null,
    oilName: withOilIn(setUp, state.sumps[0]?.charge.productId ?? null).product?.name ?? null,
    oilChangedAt: changedAt(standing),
    carriedOverRuns: standing.carriedOverRuns,
    dangers: dangersOf(state, setUp),
    running: runningOf({ setUp, state, now: standing.at }),
    place: pump.place ?? 'inService',
    untouched: state.entries === 0,
    lastMaterialId: state.lastRun?.materialId ?? null,
    materialNames,
  };
}

/** Of the task that is done with it; null where it counts from something else, or nobody knows. */
function changedAt({ tasks, reasons }: Standing): string | null {
  if (reasons.some((reason) => reason.code === 'unknownAge' && !reason.changedKnown)) return null;
  return tasks.find(({ task }) => task === 'oilChange' || task === 'boosterOil')?.sinceAt ?? null;
}

/** Stop first, then before next run, then due looks; the rest by site and name. */
export function inNeedOfHands(a: RoundRow, b: RoundRow): number {
  const level = (row: RoundRow) => VERDICT_LEVELS.indexOf(row.verdict);
  return level(b) - level(a) || compare(a.siteName, b.siteName) || compare(a.name, b.name);
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

const isPressing = ({ verdict }: RoundRow): boolean => verdict === 'stop' || verdict === 'beforeNextRun';

/** The rows in the order in which they need hands, and how many do. */
export function roundOf(rows: readonly RoundRow[]): {
  readonly rows: readonly RoundRow[];
  readonly needHands: number;
  readonly overdue: number;
} {
  return {
    rows: [...rows].sort(inNeedOfHands),
    needHands: rows.filter(isPressing).length,
    overdue: rows.filter((r) => !isPressing(r) && r.overdue.length > 0).length,
  };
}
