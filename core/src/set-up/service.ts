import type { Equipment, Material, ServiceClass } from './records.js';

/** The strictest makers' limit for hydrocarbon oil: air has 20.9 % (docs/trade.md 11). */
export const MOST_OXYGEN_PERCENT = 21;
/** From such a rating on what goes in makes a vapour with which ballast air can burn (docs/trade.md 5). */
export const SOLVENT_BARS_AIR = 2;

/** Whether gas with more oxygen than air goes through, by what is put in or by what the equipment is for. */
export const bringsOxygen = (
  material: Pick<Material, 'oxygenPercent'> | null,
  service: readonly ServiceClass[],
): boolean => (material?.oxygenPercent ?? 0) > MOST_OXYGEN_PERCENT || service.includes('oxygen');

/** What harms whoever smells it: residues, cultures, styrene and isocyanates. No smell is asked for there (docs/trade.md 6). */
export const smellHarms = (of: {
  readonly service: readonly ServiceClass[];
  readonly equipment: Pick<Equipment, 'process'>;
}): boolean =>
  of.service.includes('toxic') || of.service.includes('biological') || of.equipment.process === 'composites';
