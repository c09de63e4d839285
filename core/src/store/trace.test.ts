import fc from 'fast-check';
import type { Move } from './ledger.js';
import { traceBack, traceOn } from './trace.js';

/** Movements as the books keep them, written down by hand: each knows what then stood where it went. */
class Book {
  readonly moves: Move[] = [];
  private readonly held = new Map<string, number>();
  /** Of each place, how much came from each purchase: the slow way, in time order. */
  readonly tags = new Map<string, Map<string, number>>();

  put(entryId: string, from: string, to: string, uL: number): void {
    const inside = from !== 'bought';
    const there = this.held.get(from) ?? 0;
    const going = inside ? Math.min(uL, there) : uL;
    if (going <= 0) return;
    const tags = inside
      ? [...(this.tags.get(from) ?? [])].map(([lot, has]) => [lot, (has * going) / there] as const)
      : [[entryId, going] as const];
    if (inside) this.held.set(from, there - going);
    for (const [lot, has] of tags) {
      if (inside) this.tag(from, lot, -has);
      this.tag(to, lot, has);
    }
    const heldAfterUL = to === 'spill' ? 0 : (this.held.get(to) ?? 0) + going;
    if (to !== 'spill') this.held.set(to, heldAfterUL);
    const part = { phase: 'oil', lot: null, productId: 'a', rounds: 0, passes: 0, uL: going } as const;
    this.moves.push({ entryId, at: String(this.moves.length).padStart(6, '0'), from, to, parts: [part], heldAfterUL });
  }

  holds = (place: string): number => this.held.get(place) ?? 0;

  private tag(place: string, lot: string, uL: number): void {
    const of = this.tags.get(place) ?? new Map<string, number>();
    of.set(lot, (of.get(lot) ?? 0) + uL);
    this.tags.set(place, of);
  }
}

/** 3 L of one batch and 1 L of another in a can; half of it into a pump, a tenth of that into a jar. */
function byHand(): Book {
  const book = new Book();
  book.put('good', 'bought', 'container:can', 3_000_000);
  book.put('bad', 'bought', 'container:can', 1_000_000);
  book.put('fill', 'container:can', 'sump:p/oil', 2_000_000);
  book.put('drain', 'sump:p/oil', 'container:jar', 200_000);
  book.put('spilt', 'container:can', 'spill', 400_000);
  return book;
}

test('backwards: three quarters of the jar were bought with the one batch, and all of it came by the pump', () => {
  const back = traceBack({ moves: byHand().moves, place: 'container:jar', held: { oil: 200_000 } });
  expect(back.ends).toEqual([{ place: 'bought', uL: 200_000 }]);
  expect(back.moves.map(({ entryId, from, uL }) => [entryId, from, uL])).toEqual([
    ['drain', 'sump:p/oil', 200_000],
    ['fill', 'container:can', 200_000],
    ['bad', 'bought', 50_000],
    ['good', 'bought', 150_000],
  ]);
});

test('forwards: where the bad batch is now', () => {
  const on = traceOn({ moves: byHand().moves, start: { lot: 'bad' } });
  // A quarter of what each place holds: 1.6 L in the can, 1.8 in the pump, 0.2 in the jar, 0.4 spilt.
  expect(on.ends).toEqual([
    { place: 'sump:p/oil', uL: 450_000 },
    { place: 'container:can', uL: 400_000 },
    { place: 'spill', uL: 100_000 },
    { place: 'container:jar', uL: 50_000 },
  ]);
});

test('from a place at a time: only what stood there then', () => {
  const { moves } = byHand();
  const at = moves[1]?.at ?? '';
  const on = traceOn({ moves, start: { place: 'container:can', from: at } });
  expect(on.ends.reduce((sum, { uL }) => sum + uL, 0)).toBe(4_000_000);
  expect(traceOn({ moves, start: { place: 'container:jar', from: '9' } }).ends).toEqual([
    { place: 'container:jar', uL: 200_000 },
  ]);
});

test('nothing in it, nothing to trace', () => {
  expect(traceBack({ moves: byHand().moves, place: 'container:gone', held: {} })).toEqual({ moves: [], ends: [] });
});

test('back and on agree with the slow way, that carries every purchase along', () => {
  const places = ['container:a', 'container:b', 'container:c', 'sump:p/oil'];
  const anyMove = fc.record({
    from: fc.constantFrom('bought', ...places),
    to: fc.constantFrom('spill', ...places),
    uL: fc.integer({ min: 1, max: 5_000_000 }),
  });
  fc.assert(
    fc.property(fc.array(anyMove, { maxLength: 60 }), fc.constantFrom(...places), (given, place) => {
      const book = new Book();
      given
        .filter((m) => m.from !== m.to && !(m.from === 'bought' && m.to === 'spill'))
        .forEach((m, i) => book.put(`e${i}`, m.from, m.to, m.uL));
      const back = traceBack({ moves: book.moves, place, held: { oil: book.holds(place) } });
      const bought = new Map<string, number>();
      for (const m of back.moves) if (m.from === 'bought') bought.set(m.entryId, (bought.get(m.entryId) ?? 0) + m.uL);
      for (const [lot, uL] of book.tags.get(place) ?? [])
        if (uL > 10) expect(Math.abs((bought.get(lot) ?? 0) - uL)).toBeLessThanOrEqual(2);
      const lot = book.moves.find((m) => m.from === 'bought')?.entryId;
      if (lot === undefined) return;
      const on = traceOn({ moves: book.moves, start: { lot } });
      for (const { place: end, uL } of on.ends)
        expect(Math.abs((book.tags.get(end)?.get(lot) ?? 0) - uL)).toBeLessThanOrEqual(2);
    }),
    { numRuns: 200 },
  );
});
