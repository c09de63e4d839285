import { equipmentIdOf, type Subject } from '../journal/index.js';
import type { Equipment } from './records.js';
import type { PumpSetUp } from './set-up-book.js';

type Named = Pick<PumpSetUp, 'pump' | 'house' | 'equipment'>;

/** An equipment by its id; one that is not in the set-up counts as the pump's own. */
export const equipmentOf = (id: string, { house, equipment }: Pick<Named, 'house' | 'equipment'>): Equipment =>
  house.equipment[id] ?? equipment;

/** What a run went on: the equipment that it names, else the pump's own. */
export function equipmentOfRun(
  run: { subjects: readonly Subject[] },
  setUp: Named,
): { readonly equipmentId: string; readonly equipment: Equipment } {
  const equipmentId = equipmentIdOf(run) ?? setUp.pump.equipmentId;
  return { equipmentId, equipment: equipmentOf(equipmentId, setUp) };
}
