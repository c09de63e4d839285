import fc from 'fast-check';
import { KeptStates } from '../testing/kept-states.js';
import { pourAt, pouredOil, type PouredOil } from '../testing/poured-oil.js';
import { bookOf } from '../testing/small-yard.js';
import { rebuildAll } from './refold.js';

const book = bookOf();

const shelfOf = () => new KeptStates(pouredOil, book);
const lotsOf = (shelf: KeptStates<PouredOil>) =>
  Object.fromEntries([...shelf.states.values()].map((s) => [s.place, s.lots]));

test('one late pour changes what both containers and the sump hold, by hand-reckoned shares', () => {
  const shelf = shelfOf();
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
      const shelf = shelfOf();
      for (const entry of entries) shelf.take(entry);
      expect(Object.fromEntries(shelf.states)).toEqual(
        Object.fromEntries(rebuildAll({ projection: pouredOil, entries, book })),
      );
    }),
    { numRuns: 60 },
  );
});

test('a late pour reads from the last tie on, not the whole past of every container', () => {
  const shelf = shelfOf();
  for (let i = 0; i < 300; i++) {
    shelf.take(pourAt(2 * i, { from: null, to: i % 2 ? 'a' : 'b', ul: 1000, lot: `lot ${i % 3}` }));
    shelf.take(pourAt(2 * i + 1, { from: i % 2 ? 'a' : 'b', to: i % 2 ? 'b' : 'a', ul: 400 }));
  }
  shelf.take(pourAt(597.5, { from: 'a', to: 'sump-1', ul: 10 }));
  expect(shelf.read).toBeLessThan(20);
});
