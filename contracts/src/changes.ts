/** What changed: entries that count, the set-up, a file that was kept, an import that was taken back. */
export type ChangeKind = 'entries' | 'setUp' | 'file' | 'takenBack';

/** One of the house's changes, in the one sequence of all of them. */
export interface Change {
  readonly seq: number;
  readonly kind: ChangeKind;
  /** Pumps whose pages it bears upon; null for all. */
  readonly pumpIds: readonly string[] | null;
}

/** What changed since a number of the sequence. */
export interface ChangesAnswer {
  /** Another one than before: the data were replaced, and everything that was read is to be read anew. */
  readonly epoch: string;
  /** The last number there is. */
  readonly seq: number;
  /** The numbers between are not known here any more, or are of another epoch. */
  readonly startOver: boolean;
  readonly kinds: readonly ChangeKind[];
  /** Null: all of them. */
  readonly pumpIds: readonly string[] | null;
}
