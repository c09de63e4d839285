import { compareOrder, type Entry, type OrderKey } from '../journal/index.js';
import type { SetUpBook } from '../set-up/index.js';
import { subjectKey, subjectsIn, type Folded, type Projection, type States, type SubjectRef } from './projection.js';

/** A checkpoint is kept at least after so many entries. */
export const CHECKPOINT_EVERY = 200;

/**
 * A state kept on the way: at the end of each period, at least every {@link CHECKPOINT_EVERY} entries, and after each entry
 * that ties subjects to one another, so that a late entry does not pull in the whole past of the others.
 */
export interface Checkpoint<S> {
  readonly subject: SubjectRef;
  /** Key of the last entry folded in. */
  readonly key: OrderKey;
  /** Number of the period that ended here; null for a checkpoint on the way. */
  readonly endedPeriod: number | null;
  readonly state: S;
}

/**
 * Folds entries, already in the journal's order, onto states. Subjects that have no state here are left out.
 * The checkpoint of a period's end is the state just before the entry that ends it.
 * @throws RangeError when an entry does not come after a state's last one, or a subject is not in the set-up
 */
export function refold<S extends Folded>(input: {
  projection: Projection<S>;
  from: States<S>;
  entries: Iterable<Entry>;
  book: SetUpBook;
}): { states: Map<string, S>; checkpoints: Checkpoint<S>[] } {
  const { projection, book } = input;
  const states = new Map(input.from);
  const checkpoints: Checkpoint<S>[] = [];
  for (const entry of input.entries) {
    const named = new Map<string, S>();
    const subjects = subjectsIn(projection, entry).filter((s) => states.has(subjectKey(s)));
    for (const subject of subjects) {
      const state = states.get(subjectKey(subject)) as S;
      if (state.last && compareOrder(state.last, entry) >= 0)
        throw new RangeError(`entries: ${entry.id} does not come after ${state.last.id}`);
      const endedPeriod = projection.periodEndedBy(state, entry);
      if (state.last && endedPeriod !== null) checkpoints.push({ subject, key: state.last, endedPeriod, state });
      named.set(subjectKey(subject), state);
    }
    const stepped = projection.step(named, entry, book);
    const tied = projection.together && subjects.length > 1;
    for (const subject of subjects) {
      const state = stepped.get(subjectKey(subject));
      if (!state) throw new RangeError(`step: no state of ${subjectKey(subject)} after ${entry.id}`);
      states.set(subjectKey(subject), state);
      if ((tied || state.entries % CHECKPOINT_EVERY === 0) && state.last)
        checkpoints.push({ subject, key: state.last, endedPeriod: null, state });
    }
  }
  return { states, checkpoints };
}

/** The states of all subjects from nothing but their entries, in any order. */
export function rebuildAll<S extends Folded>(input: {
  projection: Projection<S>;
  entries: readonly Entry[];
  book: SetUpBook;
}): Map<string, S> {
  const { projection, book } = input;
  const from = new Map<string, S>();
  for (const entry of input.entries)
    for (const subject of subjectsIn(projection, entry)) from.set(subjectKey(subject), projection.first(subject));
  return refold({ projection, from, entries: [...input.entries].sort(compareOrder), book }).states;
}
