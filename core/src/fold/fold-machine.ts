import type { MeasuredPressure, RunBody, TestBody } from '../journal/index.js';
import { raise } from './judge-look.js';
import {
  afterTest,
  blankOffLimit,
  GOOD_TESTS,
  isByTheGauge,
  isFairBlankOff,
  runLimit,
  saidByRun,
  saidByTest,
  withMachineFinding,
  type HeldTo,
  type MachineFinding,
  backPressuresOf,
} from '../machine/index.js';
import { THROWN_OIL } from '../oil/index.js';
import { equipmentOf } from '../set-up/index.js';
import { done, onSump, originOf, type Context } from './fold-context.js';
import type { PumpState, RecentRun } from './state.js';

type Findings = readonly MachineFinding[];
const withAll = (findings: Findings, found: Findings): Findings =>
  found.reduce<Findings>((all, one) => withMachineFinding(all, one), findings);

/** Pressures that earlier runs on a set have reached. */
export const reachedOn = ({ recentRuns }: Pick<PumpState, 'recentRuns'>, equipmentId: string): number[] =>
  recentRuns.flatMap((r) => (r.equipmentId === equipmentId && r.lowestPa !== null ? [r.lowestPa] : []));

/** A run's pressure against its set's target or usual, and its oil's heat. */
export function machineAfterRun(
  state: PumpState,
  context: Context,
  { equipmentId, lowestPa }: RecentRun,
  { oilTempC }: RunBody,
): Findings {
  const origin = originOf(context);
  const hot = withAll(state.machine, saidByRun(oilTempC, origin));
  const { targetUltimatePa } = equipmentOf(equipmentId, context.setUp);
  const held = lowestPa === null ? null : runLimit(targetUltimatePa, reachedOn(state, equipmentId));
  if (lowestPa === null || !held) return hot;
  const others = hot.filter((f) => !(f.code === 'poorVacuum' && f.equipmentId === equipmentId));
  return lowestPa > held.limitPa
    ? withMachineFinding(others, poor(equipmentId, lowestPa, held, origin, lowestPa >= held.farPa))
    : others;
}

/** @param equipmentId null where the pump itself was blanked off */
const poor = (
  equipmentId: string | null,
  foundPa: number,
  held: HeldTo,
  origin: ReturnType<typeof originOf>,
  isFar = false,
): MachineFinding => ({
  ...{ code: 'poorVacuum', where: equipmentId === null ? 'pump' : 'chamber', equipmentId, foundPa, isFar, ...origin },
  ...{ limitPa: held.limitPa, against: held.against },
  ...{ level: 'lookSooner', act: 'findCause', answeredBy: 'causeOrGood' },
});

/** A test, or a thing seen: what it says of the pump, and what it answers. */
export function foldTest(state: PumpState, context: Context, body: TestBody): PumpState {
  const origin = originOf(context);
  const from = backPressuresOf(context.setUp.model);
  const machine = withAll(afterTest(state.machine, body, from), saidByTest(body, from, origin));
  const isThrown = body.findings.some(({ id, state: s }) => id === 'exhaustMist' && s === 'thrown');
  const seen = isThrown ? onSump(state, 'oil', (s) => raise(s, [THROWN_OIL], origin)) : state;
  const measured = (body.measured ?? []).filter(isFairBlankOff);
  return measured.reduce((next, one) => blankedOff(next, context, one), { ...seen, machine });
}

/** The pump blanked off, ballast closed and oil warm, against its own. */
function blankedOff(state: PumpState, context: Context, one: MeasuredPressure): PumpState {
  const { setUp } = context;
  const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
  const isFresh =
    one.oil === 'fresh' ||
    (charge !== undefined && charge.number > 0 && state.totals.runs - charge.since.counts.runs <= 1);
  const held = blankOffLimit(state.goodPa, setUp);
  const goodPa = isFresh && state.goodPa.length < GOOD_TESTS ? [...state.goodPa, one.pa] : state.goodPa;
  const measured = { ...done(state, context, 'blankOff'), goodPa };
  if (!held) return measured;
  const stood = state.machine.find((f) => f.code === 'overGood');
  const others = state.machine.filter((f) => f.code !== 'overGood' && !(f.code === 'poorVacuum' && f.where === 'pump'));
  if (one.pa <= held.limitPa) return { ...measured, machine: others };
  const origin = originOf(context);
  const cares = isByTheGauge(setUp) && (held.against === 'good' || held.against === 'target');
  // New oil did not bring it back: it is not the oil.
  if (!cares || (stood?.code === 'overGood' && stood.phase === 'measureNewOil'))
    return { ...measured, machine: [...others, poor(null, one.pa, held, origin)] };
  const purged = stood?.code === 'overGood' && stood.phase !== 'purge';
  const over: MachineFinding = {
    ...{ code: 'overGood', foundPa: one.pa, ...held, phase: purged ? 'change' : 'purge', ...origin },
    ...{ level: 'beforeNextRun', act: purged ? 'change' : 'purge', answeredBy: 'purgeThenMeasure' },
  };
  return { ...measured, machine: [...others, over] };
}
