import fc from 'fast-check';
import { compareOrder, type Entry, type OrderKey } from '../journal/index.js';
import { pourAt, pouredOil, type PouredOil } from '../testing/poured-oil.js';
import { bookOf } from '../testing/small-yard.js';
import { subjectKey, type SubjectRef } from './projection.js';
import { rebuildAll, type Checkpoint } from './refold.js';
import { refoldTogether } from './refold-together.js';

const book = bookOf();

/** A shelf that keeps checkpoints and takes entries in any order, as a database does. */
class Shelf {
  readonly entries: Entry[] = [];
  kept: Checkpoint<PouredOil>[] = [];
  readonly states = new Map<string, PouredOil>();
  /** Entries that the last refold read. */
  read = 0;

  take(entry: Entry): void {
    this.entries.push(entry);
    this.entries.sort(compareOrder);
    this.read = 0;
    const touched = entry.subjects.map((subject) => ({ subject, key: entry }));
    const source = {
      stateBefore: (subject: SubjectRef, key: OrderKey) => this.stateBefore(subject, key),
      entriesAfter: (subject: SubjectRef, key: OrderKey | null) => this.entriesAfter(subject, key),
    };
    const { states, checkpoints, starts } = refoldTogether({ projection: pouredOil, touched, source, book });
    for (const { subject, state } of starts)
      this.kept = this.kept.filter(
        (c) => subjectKey(c.subject) !== subjectKey(subject) || (state.last && compareOrder(c.key, state.last) <= 0),
      );
    this.kept.push(...checkpoints);
    for (const [key, state] of states) this.states.set(key, state);
  }

  private stateBefore(subject: SubjectRef, key: OrderKey): PouredOil {
    const before = this.kept.filter(
      (c) => subjectKey(c.subject) === subjectKey(subject) && compareOrder(c.key, key) < 0,
    );
    return before.sort((a, b) => compareOrder(a.key, b.key)).at(-1)?.state ?? pouredOil.first(subject);
  }

  private entriesAfter(subject: SubjectRef, key: OrderKey | null): Entry[] {
    const own = this.entries.filter(
      (e) => e.subjects.some((s) => subjectKey(s) === subjectKey(subject)) && (!key || compareOrder(e, key) > 0),
    );
    this.read += own.length;
    return own;
  }
}

const lotsOf = (shelf: Shelf) => Object.fromEntries([...shelf.states.values()].map((s) => [s.place, s.lots]));

test('one late pour changes what both containers and the sump hold, by hand-reckoned shares', () => {
  const shelf = new Shelf();
  shelf.take(pourAt(1, { from: null, to: 'a', ul: 1000, lot: 'x' }));
  shelf.take(pourAt(5, { from: 'a', to: 'b', ul: 500 }));
  shelf.take(pourAt(9, { from: 'b', to: 'sump-1', ul: 200 }));
  expect(lotsOf(shelf)).toEqual({ a: { x: 500 }, b: { x: 300 }, 'sump-1': { x: 200 } });
  // Found in a notebook: at hour 3 three litres of another lot went into the first one.
  shelf.take(pourAt(3, { from: null, to: 'a', ul: 3000, lot: 'y' }));
  expect(lotsOf(shelf)).toEqual({ a: { x: 875, y: 2625 }, b: { x: 75, y: 225 }, 'sump-1': { x: 50, y: 150 } });
});

test('whatever the order of arrival, the states are those of a rebuild', () => {
  const names = ['a', 'b', 'c', 'sump-1'];
  const anyPour = fc.record({
    hours: fc.integer({ min: 0, max: 60 }),
    from: fc.option(fc.constantFrom(...names)),
    to: fc.constantFrom(...names),
    ul: fc.integer({ min: 1, max: 900 }),
    lot: fc.constantFrom('x', 'y', 'z'),
  });
  fc.assert(
    fc.property(fc.array(anyPour, { maxLength: 40 }), (pours) => {
      const entries = pours.filter((p) => p.from !== p.to).map(({ hours, ...body }) => pourAt(hours, body));
      const shelf = new Shelf();
      for (const entry of entries) shelf.take(entry);
      expect(Object.fromEntries(shelf.states)).toEqual(
        Object.fromEntries(rebuildAll({ projection: pouredOil, entries, book })),
      );
    }),
    { numRuns: 60 },
  );
});

test('a late pour reads from the last tie on, not the whole past of every container', () => {
  const shelf = new Shelf();
  for (let i = 0; i < 300; i++) {
    shelf.take(pourAt(2 * i, { from: null, to: i % 2 ? 'a' : 'b', ul: 1000, lot: `lot ${i % 3}` }));
    shelf.take(pourAt(2 * i + 1, { from: i % 2 ? 'a' : 'b', to: i % 2 ? 'b' : 'a', ul: 400 }));
  }
  shelf.take(pourAt(597.5, { from: 'a', to: 'sump-1', ul: 10 }));
  expect(shelf.read).toBeLessThan(20);
});
