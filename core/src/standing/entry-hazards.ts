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

/**
 * What makes an oil unfit to be filled into a pump's main sump; null where nothing does. An oil that nobody has said a word about counts
 * as hydrocarbon.
 * @param stands where the pump stands now, asked for only where it matters; null where nothing is known of it
 */
export function unfitFill(
  productId: string,
  { house, pump, service }: PumpSetUp,
  stands: () => PumpState | null,
): Unfit | null {
  const oilOf = (id: string | null) => (id === null ? null : (house.oilProduct[id] ?? null));
  const hasPumpedIt = () => (stands()?.sumps.find((s) => s.key === 'oil')?.oxygenAt ?? null) !== null;
  const oxygen = service.includes('oxygen') || hasPumpedIt();
  const isInert = oxygen || oilOf(pump.oilProductId ?? null)?.base === 'pfpe';
  if (isInert && isHydrocarbon(oilOf(productId))) return oxygen ? 'oxygen' : 'pfpe';
  return service.includes('food') && !oilOf(productId)?.foodGrade ? 'food' : null;
}

/** @param stands where the pump stands now, asked for only where it matters; null where nothing is known of it */
export function entryHazards(entry: Entry, setUp: PumpSetUp, stands: () => PumpState | null): EntryHazards {
  const { house, pump } = setUp;
  const oilOf = (id: string | null) => (id === null ? null : (house.oilProduct[id] ?? null));
  const named = pump.oilProductId ?? null;
  if (entry.kind === 'change' || entry.kind === 'topUp') {
    const { productId, sump } = entry.body;
    const unfit = sump === 'oil' ? unfitFill(productId, setUp, stands) : null;
    return unfit ? { ...NONE, unfit: { unfit, productId } } : NONE;
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
