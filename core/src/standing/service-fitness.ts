import type { SumpKey } from '../journal/index.js';
import { isHydrocarbon } from '../oil/index.js';
import { bringsOxygen, SOLVENT_BARS_AIR, type PumpSetUp } from '../set-up/index.js';
import type { PumpState, SumpState } from '../fold/index.js';

/** Why an oil does not belong into a pump. */
export type Unfit = 'oxygen' | 'pfpe' | 'food';

/** An oil, or a trace of one, that does not belong where it is. */
export interface UnfitOil {
  readonly unfit: Unfit;
  /** Null where nobody has said what is in it. */
  readonly productId: string | null;
  /** Of an earlier charge: the oil itself was changed. */
  readonly trace: boolean;
  /** It was stripped and cleaned: a new charge is left to do. */
  readonly stripped: boolean;
}

const MAIN: SumpKey = 'oil';
const mainOf = (state: PumpState): SumpState | null => state.sumps.find((s) => s.key === MAIN) ?? null;

/** Materials that are going through now, of the set-up. */
const runningMaterials = (state: PumpState, { house }: PumpSetUp) =>
  state.running.map((run) => (run.materialId === null ? null : (house.material[run.materialId] ?? null)));

/**
 * Oil against the service that the pump does now, whatever brought the two together (docs/trade.md 4): hydrocarbon where oxygen is
 * pumped or in a PFPE pump, and oil that is not registered for food where it may touch it. Null where it fits, and for pumps without oil.
 */
export function unfitOil(state: PumpState, setUp: PumpSetUp): UnfitOil | null {
  const named = setUp.pump.oilProductId ?? null;
  const sump = mainOf(state);
  if (setUp.model.kind !== 'vane') return null;
  const { oilProduct } = setUp.house;
  const oilOf = (id: string | null) => (id === null ? null : (oilProduct[id] ?? null));
  const isIn = sump ? [sump.charge.productId, ...sump.charge.others] : [named];
  const oxygen =
    setUp.service.includes('oxygen') ||
    (sump?.oxygenAt ?? null) !== null ||
    runningMaterials(state, setUp).some((m) => bringsOxygen(m, []));
  const burns = (id: string | null) => isHydrocarbon(oilOf(id));
  const stripped = sump?.cleaned?.by === 'stripClean';
  if (oxygen || oilOf(named)?.base === 'pfpe') {
    const unfit = oxygen ? 'oxygen' : 'pfpe';
    const found = isIn.find(burns);
    if (found !== undefined) return { unfit, productId: found, trace: false, stripped };
    const trace = oxygen ? sump?.traces.find(burns) : undefined;
    if (trace !== undefined) return { unfit, productId: trace, trace: true, stripped };
  }
  const notFood = setUp.service.includes('food') ? isIn.find((id) => !oilOf(id)?.foodGrade) : undefined;
  return notFood === undefined ? null : { unfit: 'food', productId: notFood, trace: false, stripped };
}

/**
 * Whether ballast air and solvent vapour could meet: solvent of rating 2 or more went through this charge or goes through now, the oil
 * smelt of it or was so thin, or the work is of a flammable class (docs/trade.md 5). Then neither purge nor ballast with air.
 */
export function isAirBarred(state: PumpState, setUp: PumpSetUp): boolean {
  const sump = mainOf(state);
  const smelt = sump?.findings.some((f) => f.answeredBy === 'changeThenViscosity') ?? false;
  return (
    smelt ||
    setUp.service.includes('flammable') ||
    (sump?.charge.solvent ?? 0) >= SOLVENT_BARS_AIR ||
    runningMaterials(state, setUp).some((m) => (m?.solvent ?? 0) >= SOLVENT_BARS_AIR)
  );
}
