import { compareOrder, pumpIdsOf, type Entry } from '../journal/index.js';
import type { SetUpBook } from '../set-up/index.js';
import { initialState } from './first-state.js';
import { subjectKey, type Projection } from './projection.js';
import { refold, type Checkpoint } from './refold.js';
import { FOLD_VERSION, type PumpState } from './state.js';
import { step } from './step.js';

/** Pumps, each by itself; their periods are the charges of the main oil. */
export const pumpProjection: Projection<PumpState> = {
  types: ['pump'],
  version: FOLD_VERSION,
  together: false,
  first: ({ id }) => initialState(id),
  step(states, entry, book) {
    const stepped = new Map<string, PumpState>();
    for (const [key, state] of states) {
      const setUp = book.pumpAt({ pumpId: state.pumpId, instant: entry.happenedAt });
      if (!setUp) throw new RangeError(`subjects: pump ${state.pumpId} is not in the set-up`);
      stepped.set(key, step(state, entry, setUp));
    }
    return stepped;
  },
  periodEndedBy: (state, entry) =>
    entry.kind === 'change' && entry.body.sump === 'oil'
      ? (state.sumps.find((s) => s.key === 'oil')?.charge.number ?? 0)
      : null,
};

/** Folds entries, in the journal's order, onto the state of one pump; all of them must name it. */
export function refoldPump(input: { from: PumpState; entries: readonly Entry[]; book: SetUpBook }): {
  state: PumpState;
  checkpoints: Checkpoint<PumpState>[];
} {
  const { from, entries, book } = input;
  const key = subjectKey({ type: 'pump', id: from.pumpId });
  const unnamed = entries.find((e) => !pumpIdsOf(e).includes(from.pumpId));
  if (unnamed) throw new RangeError(`subjects: entry ${unnamed.id} does not name pump ${from.pumpId}`);
  const { states, checkpoints } = refold({ projection: pumpProjection, from: new Map([[key, from]]), entries, book });
  return { state: states.get(key) ?? from, checkpoints };
}

/** The state of one pump from nothing but its entries, in any order; all of them must name it. */
export function rebuild(input: { pumpId: string; entries: readonly Entry[]; book: SetUpBook }): PumpState {
  const { pumpId, book } = input;
  return refoldPump({ from: initialState(pumpId), entries: [...input.entries].sort(compareOrder), book }).state;
}
