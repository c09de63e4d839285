import type { RoundParts, RoundRow } from '@winter-jar/contracts';
import { lastHeld, madeWhole } from './held-round.js';

const row = (pumpId: string, runsLeft: number) => ({ pumpId, runsLeft }) as RoundRow;
const parts = (tag: string, over: string | null, order: string[], ...rows: RoundRow[]): RoundParts => ({
  ...{ at: '2031-03-09T14:05:00.000Z', pumps: 3, needHands: 0, overdue: 0, unsettled: 0 },
  ...{ tag, over, order, rows },
});

test('what was not sent again stays the same row, in the new order', () => {
  const first = madeWhole(parts('a', null, ['p', 'q'], row('p', 4), row('q', 2)));
  expect(first).toEqual({
    ...{ at: '2031-03-09T14:05:00.000Z', pumps: 3, needHands: 0, overdue: 0, unsettled: 0 },
    rows: [row('p', 4), row('q', 2)],
  });
  expect(lastHeld()).toBe('a');
  const next = madeWhole(parts('b', 'a', ['q', 'p'], row('p', 3)));
  expect(next.rows).toEqual([row('q', 2), row('p', 3)]);
  expect(next.rows[0]).toBe(first.rows[1]);
  expect(lastHeld()).toBe('b');
});

test('of two answers under way each is laid over what it was asked with', () => {
  madeWhole(parts('c', null, ['p', 'q'], row('p', 4), row('q', 2)));
  madeWhole(parts('d', 'c', ['p', 'q'], row('p', 3)));
  expect(madeWhole(parts('e', 'c', ['p', 'q'], row('p', 3), row('q', 1))).rows).toEqual([row('p', 3), row('q', 1)]);
  // A pump that left the Round is in no order.
  expect(madeWhole(parts('f', 'e', ['q'])).rows).toEqual([row('q', 1)]);
});

test('laid over what is not held any more it is an error, and all is asked for next', () => {
  madeWhole(parts('g', null, ['p'], row('p', 4)));
  expect(() => madeWhole(parts('h', 'long ago', ['p', 'q'], row('q', 1)))).toThrow(/not here any more/);
  expect(lastHeld()).toBeUndefined();
});
