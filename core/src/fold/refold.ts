import { compareOrder, type Entry, type OrderKey } from '../journal/index.js';
import type { SetUpBook } from '../set-up/index.js';
import { initialState } from './first-state.js';
import type { PumpState } from './state.js';
import { step } from './step.js';

/** A checkpoint is kept at least after so many entries. */
export const CHECKPOINT_EVERY = 200;

/** A state kept on the way: at the end of each charge, and at least every {@link CHECKPOINT_EVERY} entries. */
export interface Checkpoint {
  /** Key of the last entry folded in. */
  readonly key: OrderKey;
  /** Number of the charge that ended here; null for a checkpoint by count. */
  readonly endedCharge: number | null;
  readonly state: PumpState;
}

const endsCharge = (entry: Entry): boolean => entry.kind === 'change' && entry.body.sump === 'oil';

/**
 * Folds entries, already in the journal's order, onto a state, and says which checkpoints to keep.
 * The checkpoint of a charge's end is the state just before the change.
 * @throws RangeError when an entry does not come after the state's last one, or the pump is not in the set-up
 */
export function refold(input: { from: PumpState; entries: Iterable<Entry>; book: SetUpBook }): {
  state: PumpState;
  checkpoints: Checkpoint[];
} {
  let state = input.from;
  const checkpoints: Checkpoint[] = [];
  for (const entry of input.entries) {
    if (state.last && compareOrder(state.last, entry) >= 0)
      throw new RangeError(`entries: ${entry.id} does not come after ${state.last.id}`);
    const setUp = input.book.pumpAt({ pumpId: state.pumpId, instant: entry.happenedAt });
    if (!setUp) throw new RangeError(`subjects: pump ${state.pumpId} is not in the set-up`);
    if (state.last && endsCharge(entry)) {
      const endedCharge = state.sumps.find((s) => s.key === 'oil')?.charge.number ?? 0;
      checkpoints.push({ key: state.last, endedCharge, state });
    }
    state = step(state, entry, setUp);
    if (state.entries % CHECKPOINT_EVERY === 0 && state.last)
      checkpoints.push({ key: state.last, endedCharge: null, state });
  }
  return { state, checkpoints };
}

/** The state of one pump from nothing but its entries, in any order. */
export function rebuild(input: { pumpId: string; entries: readonly Entry[]; book: SetUpBook }): PumpState {
  const entries = [...input.entries].sort(compareOrder);
  return refold({ from: initialState(input.pumpId), entries, book: input.book }).state;
}
