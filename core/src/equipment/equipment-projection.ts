import { runMinutes, subjectKey, type Projection } from '../fold/index.js';
import { orderKeyOf, pumpIdsOf, type Entry, type RunBody } from '../journal/index.js';
import type { Equipment } from '../set-up/index.js';
import { EQUIPMENT_FOLD_VERSION, type EquipmentState, type PumpOnEquipment } from './equipment-state.js';

const first = (equipmentId: string): EquipmentState => ({
  foldVersion: EQUIPMENT_FOLD_VERSION,
  equipmentId,
  entries: 0,
  last: null,
  runs: 0,
  minutes: 0,
  pumps: [],
  lastRun: null,
  meter: null,
  lastRise: null,
});

/** Chambers, lines and furnaces: each has a record of its own, whichever pump stood at it. */
export const equipmentProjection: Projection<EquipmentState> = {
  types: ['equipment'],
  version: EQUIPMENT_FOLD_VERSION,
  together: false,
  first: ({ id }) => first(id),
  step(states, entry, book) {
    const stepped = new Map<string, EquipmentState>();
    const { equipment } = book.at(entry.happenedAt);
    for (const state of states.values()) {
      const own = equipment[state.equipmentId];
      if (!own) throw new RangeError(`subjects: equipment ${state.equipmentId} is not in the set-up`);
      const folded = fold(withPumps(state, entry), entry, own);
      const key = subjectKey({ type: 'equipment', id: state.equipmentId });
      stepped.set(key, { ...folded, entries: state.entries + 1, last: orderKeyOf(entry) });
    }
    return stepped;
  },
  periodEndedBy: () => null,
};

function fold(state: EquipmentState, entry: Entry, equipment: Equipment): EquipmentState {
  const origin = { entryId: entry.id, at: entry.happenedAt };
  switch (entry.kind) {
    case 'run':
      // A run that goes on shows, and does not count yet: as at its pump.
      return entry.body.stillRunning ? state : withRun(state, entry, runMinutes(entry.body, equipment));
    case 'meter': {
      const { action, minutes, newMinutes } = entry.body;
      // Beside a pump it is the pump's meter that was read.
      if (pumpIdsOf(entry).length > 0) return state;
      return { ...state, meter: { ...origin, minutes: action === 'replaced' ? (newMinutes ?? 0) : minutes } };
    }
    case 'test': {
      const rise = entry.body.findings.find((f) => f.id === 'rateOfRise');
      return rise ? { ...state, lastRise: { ...origin, state: rise.state } } : state;
    }
    default:
      return state;
  }
}

/** The pumps that an entry names beside it go to the end of the list. */
function withPumps(state: EquipmentState, entry: Entry): EquipmentState {
  const named = pumpIdsOf(entry).map((pumpId): PumpOnEquipment => ({
    ...(state.pumps.find((p) => p.pumpId === pumpId) ?? { pumpId, runs: 0, minutes: 0 }),
    lastAt: entry.happenedAt,
  }));
  if (named.length === 0) return state;
  return { ...state, pumps: [...state.pumps.filter((p) => !named.some((n) => n.pumpId === p.pumpId)), ...named] };
}

function withRun(state: EquipmentState, entry: Entry & { body: RunBody }, minutes: number): EquipmentState {
  const pumpIds = pumpIdsOf(entry);
  return {
    ...state,
    runs: state.runs + 1,
    minutes: state.minutes + minutes,
    pumps: state.pumps.map((p) =>
      pumpIds.includes(p.pumpId) ? { ...p, runs: p.runs + 1, minutes: p.minutes + minutes } : p,
    ),
    lastRun: { entryId: entry.id, at: entry.happenedAt, pumpIds, materialId: entry.body.materialId ?? null, minutes },
  };
}
