import type { NextTask, RoundRow } from '@winter-jar/contracts';
import {
  canBleed,
  dangersOf,
  overlongRuns,
  runRuler,
  standingAt,
  VERDICT_LEVELS,
  withOilIn,
  type Pump,
  type PumpSetUp,
  type PumpState,
  type Standing,
  type StandingInput,
  type TaskId,
} from '@winter-jar/core';

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
