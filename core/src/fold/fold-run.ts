import type { RunBody } from '../journal/index.js';
import { bringsOxygen, equipmentOfRun } from '../set-up/index.js';
import { runWater, waterUlOfG } from '../water/index.js';
import { oilChangeDue } from './carry-over.js';
import { onSump, originOf, withBar, withNotTold, type Context } from './fold-context.js';
import { heaviestMaterial, loadOf, runMinutes, runWeightMilli } from './run-weight.js';
import { machineAfterRun } from './fold-machine.js';
import { withKnownTrap, withRun } from './trap-known.js';
import { KEPT, type BestPressures, type PumpState } from './state.js';

/** A run whose end is not known yet shows, and does not count. */
export function foldOpenRun(state: PumpState, context: Context, { materialId = null }: RunBody): PumpState {
  return {
    ...state,
    running: [
      ...state.running,
      { ...originOf(context), equipmentId: equipmentOfRun(context.entry, context.setUp).equipmentId, materialId },
    ],
  };
}

/** The lower of two pressures, where there are two. */
const lower = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? (a ?? b) : Math.min(a, b);

function bestWith(best: readonly BestPressures[], equipmentId: string, body: RunBody): PumpState['best'] {
  const known = best.find((b) => b.equipmentId === equipmentId);
  const firstPa = lower(known?.firstPa ?? null, body.firstPressurePa ?? null);
  const lowestPa = lower(known?.lowestPa ?? null, body.lowestPressurePa ?? null);
  if (firstPa === null && lowestPa === null) return best;
  const others = best.filter((b) => b.equipmentId !== equipmentId);
  return [...others, { equipmentId, firstPa, lowestPa }].slice(-KEPT.equipments);
}

export function foldRun(state: PumpState, context: Context, body: RunBody): PumpState {
  const { setUp, entry, day } = context;
  const { equipmentId, equipment } = equipmentOfRun(entry, setUp);
  const { materialId = null } = body;
  const material = materialId === null ? null : setUp.house.material[materialId];
  if (material === undefined) throw new RangeError(`materialId: ${materialId} is not in the set-up`);
  const minutes = runMinutes(body, equipment);
  const countsAs = material ?? heaviestMaterial(Object.values(setUp.house.material), equipment.process);
  const weightMilli = runWeightMilli({ body, material: countsAs, equipment });
  const carriedOver = oilChangeDue({ state, setUp, todayDay: day });
  const lowestPa = body.session === 'run' ? (body.lowestPressurePa ?? null) : null;
  const counts = { at: entry.happenedAt, weightMilli, minutes };
  const run = { ...counts, equipmentId, lowestPa, ...(body.beyondTakeOver ? { beyondTakeOver: true as const } : {}) };
  const bar = {
    entryId: entry.id,
    ...counts,
    load: material ? loadOf(material) : ('notTold' as const),
    materialId,
    carriedOver,
    bled: false,
    looked: false,
  };
  const counted: PumpState = {
    ...withBar(state, bar),
    machine: machineAfterRun(state, context, run, body),
    totals: {
      ...state.totals,
      runs: state.totals.runs + 1,
      weightMilli: state.totals.weightMilli + weightMilli,
      minutes: state.totals.minutes + minutes,
    },
    best: bestWith(state.best, equipmentId, body),
    recentRuns: [...state.recentRuns, run].slice(-KEPT.recentRuns),
    notTold: material ? state.notTold : withNotTold(state.notTold, { ...originOf(context), kind: 'run' }),
    lastRun: {
      entryId: entry.id,
      happenedAt: entry.happenedAt,
      equipmentId,
      materialId,
      minutes,
      cycles: body.cycles ?? null,
      ballast: body.ballast,
      trapTempC: body.trapTempC ?? null,
      lowestPressurePa: body.lowestPressurePa ?? null,
      ventedBeforeStop: body.ventedBeforeStop,
    },
  };
  const isOxygen = bringsOxygen(material, equipment.serviceClasses ?? []);
  const runOn = withKnownTrap({ body, minutes, equipment, model: setUp.model }, state.traps, equipmentId);
  const water = runWater(runOn);
  return onSump(counted, 'oil', (s) => ({
    ...s,
    oxygenAt: isOxygen ? entry.happenedAt : s.oxygenAt,
    charge: {
      ...s.charge,
      solvent: Math.max(s.charge.solvent, countsAs.solvent),
      carriedOverRuns: s.charge.carriedOverRuns + (carriedOver ? 1 : 0),
      expectedWaterUl: s.charge.expectedWaterUl + (water.ok ? waterUlOfG(water.leftG) : 0),
      unestimatedRuns: s.charge.unestimatedRuns + (water.ok ? 0 : 1),
      stretch: withRun(s.charge.stretch, equipmentId, runOn, water),
    },
  }));
}
