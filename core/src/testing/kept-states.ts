import {
  refoldTogether,
  subjectKey,
  subjectsIn,
  type Checkpoint,
  type Folded,
  type Projection,
  type SubjectRef,
} from '../fold/index.js';
import { compareOrder, type Entry, type OrderKey } from '../journal/index.js';
import type { SetUpBook } from '../set-up/index.js';

/** Keeps the states and checkpoints of subjects that are folded together, and takes entries in any order, as a database does. */
export class KeptStates<S extends Folded> {
  readonly entries: Entry[] = [];
  kept: Checkpoint<S>[] = [];
  readonly states = new Map<string, S>();
  /** Entries that the last refold read. */
  read = 0;

  constructor(
    private readonly projection: Projection<S>,
    private readonly book: SetUpBook,
  ) {}

  take(entry: Entry): void {
    this.entries.push(entry);
    this.entries.sort(compareOrder);
    this.refold(entry, entry);
  }

  /** An undo: as if it had never been. */
  takeBack(entry: Entry): void {
    this.entries.splice(this.entries.indexOf(entry), 1);
    this.refold(entry, entry);
  }

  private refold(entry: Entry, key: OrderKey): void {
    this.read = 0;
    const touched = subjectsIn(this.projection, entry).map((subject) => ({ subject, key }));
    const source = {
      stateBefore: (subject: SubjectRef, before: OrderKey) => this.stateBefore(subject, before),
      entriesAfter: (subject: SubjectRef, after: OrderKey | null) => this.entriesAfter(subject, after),
    };
    const { projection, book } = this;
    const { states, checkpoints, starts } = refoldTogether({ projection, touched, source, book });
    for (const { subject, state } of starts)
      this.kept = this.kept.filter(
        (c) => subjectKey(c.subject) !== subjectKey(subject) || (state.last && compareOrder(c.key, state.last) <= 0),
      );
    this.kept.push(...checkpoints);
    for (const [name, state] of states)
      if (state.entries === 0) this.states.delete(name);
      else this.states.set(name, state);
  }

  private stateBefore(subject: SubjectRef, key: OrderKey): S {
    const before = this.kept.filter(
      (c) => subjectKey(c.subject) === subjectKey(subject) && compareOrder(c.key, key) < 0,
    );
    return before.sort((a, b) => compareOrder(a.key, b.key)).at(-1)?.state ?? this.projection.first(subject);
  }

  private entriesAfter(subject: SubjectRef, key: OrderKey | null): Entry[] {
    const own = this.entries.filter(
      (e) =>
        subjectsIn(this.projection, e).some((s) => subjectKey(s) === subjectKey(subject)) &&
        (!key || compareOrder(e, key) > 0),
    );
    this.read += own.length;
    return own;
  }
}
