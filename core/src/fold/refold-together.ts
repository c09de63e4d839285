import { compareOrder, type Entry, type OrderKey } from '../journal/index.js';
import type { SetUpBook } from '../set-up/index.js';
import { subjectKey, subjectsIn, type Folded, type Projection, type SubjectRef } from './projection.js';
import { refold, type Checkpoint } from './refold.js';

/** Where the states of before and the entries after them lie. */
export interface FoldSource<S> {
  /** The last state kept of a subject strictly before a key; the first one when there is none. */
  stateBefore(subject: SubjectRef, key: OrderKey): S;
  /** Its entries that come after a key, in the journal's order; from the first for null. */
  entriesAfter(subject: SubjectRef, key: OrderKey | null): readonly Entry[];
}

interface Window<S> {
  readonly subject: SubjectRef;
  readonly start: S;
}

/** What followed from a change at one or more subjects. */
export interface RefoldedTogether<S> {
  readonly states: ReadonlyMap<string, S>;
  readonly checkpoints: readonly Checkpoint<S>[];
  /** The states that were folded on from: what was kept after them holds no more. */
  readonly starts: readonly { readonly subject: SubjectRef; readonly state: S }[];
}

/**
 * Refolds what changed and every subject that was fed from it since: an entry that ties two subjects needs the states of
 * both just before it, so the other one is taken back as far, and what ties it in turn. Ends, as keys only go back.
 * @param touched for each subject that changed the earliest key that did
 */
export function refoldTogether<S extends Folded>(input: {
  projection: Projection<S>;
  touched: readonly { readonly subject: SubjectRef; readonly key: OrderKey }[];
  source: FoldSource<S>;
  book: SetUpBook;
}): RefoldedTogether<S> {
  const { projection, source, book } = input;
  const windows = new Map<string, Window<S>>();
  const entries = new Map<string, Entry>();
  const waiting = [...input.touched];
  for (let next; (next = waiting.pop());) {
    const { subject, key } = next;
    const known = windows.get(subjectKey(subject));
    // What starts before this key already covers it.
    if (known && (known.start.last === null || compareOrder(known.start.last, key) < 0)) continue;
    const start = source.stateBefore(subject, key);
    windows.set(subjectKey(subject), { subject, start });
    for (const entry of source.entriesAfter(subject, start.last)) {
      entries.set(entry.id, entry);
      for (const other of subjectsIn(projection, entry))
        if (subjectKey(other) !== subjectKey(subject)) waiting.push({ subject: other, key: entry });
    }
  }
  const from = new Map([...windows].map(([key, { start }]) => [key, start]));
  const { states, checkpoints } = refold({ projection, from, entries: [...entries.values()].sort(compareOrder), book });
  return {
    states,
    checkpoints,
    starts: [...windows.values()].map(({ subject, start }) => ({ subject, state: start })),
  };
}
