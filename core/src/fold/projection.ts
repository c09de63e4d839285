import { subjectsOf, type Entry, type OrderKey } from '../journal/index.js';
import type { SetUpBook } from '../set-up/index.js';

/** What an entry is about. */
export interface SubjectRef {
  readonly type: string;
  readonly id: string;
}

/** What every state carries, whatever it is the state of. */
export interface Folded {
  /** Of its projection, when it was folded. */
  readonly foldVersion: number;
  readonly entries: number;
  /** Key of the last entry folded in. */
  readonly last: OrderKey | null;
}

/** States by {@link subjectKey}. */
export type States<S> = ReadonlyMap<string, S>;

/** What subjects of some types become by the entries that name them. A new subject is one of these, and a line in the server's list. */
export interface Projection<S extends Folded = Folded> {
  readonly types: readonly string[];
  /** Raised whenever the meaning of a stored state changes; states of another version are rebuilt at start. */
  readonly version: number;
  /** What an entry does to one of its subjects depends on the others (what is poured from one into another): they are refolded together. */
  readonly together: boolean;
  /** Before its first entry. */
  first(subject: SubjectRef): S;
  /**
   * Folds an entry onto the states of all the subjects it names. Pure: the same entries in the same order give the same states.
   * @returns the new state of each
   * @throws RangeError when a subject is not in the set-up
   */
  step(states: States<S>, entry: Entry, book: SetUpBook): States<S>;
  /** Number of the period (a charge of oil) of this subject that the entry ends; null for none. */
  periodEndedBy(state: S, entry: Entry): number | null;
}

export const subjectKey = ({ type, id }: SubjectRef): string => `${type}:${id}`;

/** The subjects of an entry that a projection keeps states of. */
export const subjectsIn = (projection: Pick<Projection, 'types'>, entry: Entry): readonly SubjectRef[] =>
  subjectsOf(entry).filter((s) => projection.types.includes(s.type));
