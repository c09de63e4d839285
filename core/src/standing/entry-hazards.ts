import { equipmentIdOf, type Entry } from '../journal/index.js';
import { isHydrocarbon } from '../oil/index.js';
import { bringsOxygen, equipmentOfRun, SOLVENT_BARS_AIR, type PumpSetUp } from '../set-up/index.js';
import type { PumpState } from '../fold/index.js';
import type { Unfit } from './service-fitness.js';

/** What is asked before an entry is saved, since what it says can hurt somebody. */
export interface EntryHazards {
  readonly unfit: { readonly unfit: Unfit; readonly productId: string | null } | null;
  readonly airOnSolvent: boolean;
}

const NONE: EntryHazards = { unfit: null, airOnSolvent: false };

/** @param stands where the pump stands now, asked for only where it matters; null where nothing is known of it */
export function entryHazards(entry: Entry, setUp: PumpSetUp, stands: () => PumpState | null): EntryHazards {
  const { house, pump, service } = setUp;
  const oilOf = (id: string | null) => (id === null ? null : (house.oilProduct[id] ?? null));
  const named = pump.oilProductId ?? null;
  if (entry.kind === 'change' || entry.kind === 'topUp') {
    const { productId, sump } = entry.body;
    if (sump !== 'oil') return NONE;
    const hasPumpedIt = () => (stands()?.sumps.find((s) => s.key === sump)?.oxygenAt ?? null) !== null;
    const oxygen = service.includes('oxygen') || hasPumpedIt();
    const isInert = oxygen || oilOf(named)?.base === 'pfpe';
    if (isInert && isHydrocarbon(oilOf(productId)))
      return { ...NONE, unfit: { unfit: oxygen ? 'oxygen' : 'pfpe', productId } };
    const isFood = service.includes('food') && !oilOf(productId)?.foodGrade;
    return isFood ? { ...NONE, unfit: { unfit: 'food', productId } } : NONE;
  }
  if (entry.kind !== 'run' || setUp.model.kind !== 'vane') return NONE;
  const { materialId = null, ballast } = entry.body;
  const material = materialId === null ? null : (house.material[materialId] ?? null);
  const airOnSolvent = (material?.solvent ?? 0) >= SOLVENT_BARS_AIR && (ballast === 'open' || ballast === 'purge');
  const on = equipmentIdOf(entry) === null ? setUp.equipment : equipmentOfRun(entry, setUp).equipment;
  if (!bringsOxygen(material, on.serviceClasses ?? [])) return { ...NONE, airOnSolvent };
  const productId = stands()?.sumps.find((s) => s.key === 'oil')?.charge.productId ?? named;
  return { unfit: isHydrocarbon(oilOf(productId)) ? { unfit: 'oxygen', productId } : null, airOnSolvent };
}
