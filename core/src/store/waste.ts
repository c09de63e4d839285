import { isHydrocarbon } from '../oil/index.js';
import type { OilProduct, WasteKind } from '../set-up/index.js';
import type { ReuseFacts } from './reuse-facts.js';
import type { Part } from './part.js';
import { SOLVENT_STAYS } from './reuse.js';

/** Why an oil does not go into a container for waste of this kind: PFPE stays apart from all else, and so does oil with solvent in it. */
export type WrongWaste = 'pfpe' | 'notPfpe' | 'solvent';

/** @returns null where it may go there */
export function wrongWaste(input: {
  parts: readonly Part[];
  products: Readonly<Record<string, OilProduct>>;
  facts: ReuseFacts;
  smelt: boolean;
  wasteKind: WasteKind;
}): WrongWaste | null {
  const { parts, products, facts, smelt, wasteKind } = input;
  const oils = parts.flatMap((p) => (p.phase === 'oil' && p.productId !== null ? [products[p.productId] ?? null] : []));
  const isPfpe = oils.some((oil) => oil !== null && !isHydrocarbon(oil));
  if (isPfpe && wasteKind !== 'pfpe') return 'pfpe';
  if (!isPfpe && oils.length > 0 && wasteKind === 'pfpe') return 'notPfpe';
  const hasSolvent = smelt || facts.materials.some(({ solvent }) => solvent >= SOLVENT_STAYS);
  return hasSolvent && wasteKind !== 'oilWithSolvent' && wasteKind !== 'oilySolids' && wasteKind !== 'pfpe'
    ? 'solvent'
    : null;
}
