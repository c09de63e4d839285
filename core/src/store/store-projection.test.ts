// Longer than a file should be: stories of oil that is moved, each with its account.
import fc from 'fast-check';
import { rebuildAll } from '../fold/index.js';
import type { Entry, EntryBodies } from '../journal/index.js';
import { KeptStates } from '../testing/kept-states.js';
import { at, bookOf, entryAt } from '../testing/small-yard.js';
import type { AccountState } from './account-state.js';
import type { Move } from './ledger.js';
import { totalUL } from './part.js';
import { bookEntry, storeProjection } from './store-projection.js';

const book = bookOf();
const containers = (...ids: string[]) => ids.map((id) => ({ type: 'container' as const, id }));

/** What is said of containers alone. */
const ofStore = <K extends 'transfer' | 'stocktake' | 'opened' | 'mediaChange'>(
  hours: number,
  kind: K,
  body: EntryBodies[K],
  id = 'none',
): Entry => ({ ...entryAt(hours, kind, body), subjects: containers(id) });
const pour = (hours: number, body: EntryBodies['transfer']) =>
  ofStore(hours, 'transfer', body, body.fromId ?? body.toId ?? '');
const buy = (hours: number, toId: string, oilMl: number, productId = 'oil-a') =>
  pour(hours, { toId, outside: 'bought', productId, oilMl });
const change = (hours: number, body: Partial<EntryBodies['change']>, pumpId = 'p1') =>
  entryAt(hours, 'change', { sump: 'oil', productId: 'oil-a', inMl: 700, levelAfter: 'right', ...body }, { pumpId });

const folded = (entries: readonly Entry[]) => rebuildAll({ projection: storeProjection, entries, book });
const ml = (state: AccountState | undefined, phase?: 'oil' | 'water' | 'cream' | 'sludge') =>
  totalUL(state?.parts ?? [], phase) / 1000;
/** mL by rounds, and whether it has a name. */
const shares = (state: AccountState | undefined) =>
  Object.fromEntries(
    (state?.parts ?? [])
      .filter((p) => p.phase === 'oil')
      .map((p) => [`${p.lot === null ? 'unnamed' : 'named'}, ${p.rounds} rounds, ${p.passes} passes`, p.uL / 1000]),
  );

describe('a litre on its way, reckoned by hand', () => {
  const entries = [
    buy(1, 'can', 20_000),
    // The first change that is known: nobody said what was in the pump.
    change(2, { outMl: 650, inMl: 700, fromContainerId: 'can', intoContainerId: 'jar' }),
    entryAt(40, 'look', {
      ...{ sump: 'oil', source: 'drained', hoursStood: 38, containerId: 'jar' },
      ...{ lookedAtMl: 650, sludgeMl: 10, freeWaterMl: 40, creamMl: 20, hazyMl: 80, clarity: 'hazy' },
    }),
    ofStore(41, 'mediaChange', { mediaId: 'paper-gravity', holdUpMl: 180 }, 'filter'),
    pour(42, { fromId: 'jar', toId: 'filter', oilMl: 500 }),
    pour(60, { fromId: 'filter', toId: 'bottle', oilMl: 320 }),
    change(70, { outMl: 640, inMl: 300, fromContainerId: 'bottle', intoContainerId: 'jar-2' }),
    entryAt(70.1, 'topUp', {
      sump: 'oil',
      productId: 'oil-a',
      addedMl: 340,
      fromContainerId: 'can',
      levelAfter: 'right',
    }),
    change(90, { outMl: 630, inMl: 700, fromContainerId: 'can', intoContainerId: 'jar-3' }),
  ];
  const until = (n: number) => folded(entries.slice(0, n));

  test('bought, drained, filled', () => {
    const states = until(2);
    expect(ml(states.get('container:can'))).toBe(19_300);
    expect(shares(states.get('container:jar'))).toEqual({ 'unnamed, 1 rounds, 0 passes': 650 });
    expect(states.get('container:jar')?.marks.stays).toMatchObject([
      { pumpId: 'p1', from: null, until: at(2), by: 'change' },
    ]);
    expect(shares(states.get('sump:p1/oil'))).toEqual({ 'named, 0 rounds, 0 passes': 700 });
    // A past that nobody wrote down is no shortage.
    expect(states.get('sump:p1/oil')?.shortUL).toBe(0);
  });

  test('read: what lies beneath came with the load, and is no oil', () => {
    const jar = until(3).get('container:jar');
    expect([ml(jar, 'oil'), ml(jar, 'water'), ml(jar, 'cream'), ml(jar, 'sludge')]).toEqual([580, 40, 20, 10]);
    expect(jar?.reading).toMatchObject({ hazyUL: 80_000, clarity: 'hazy', at: at(40) });
    // It stood since the drain, not since somebody looked.
    expect(jar?.filledAt).toBe(at(2));
  });

  test('poured into a dry filter: its paper drinks first', () => {
    const states = until(5);
    expect(ml(states.get('container:jar'), 'oil')).toBe(80);
    expect(ml(states.get('container:filter'))).toBe(320);
    expect(totalUL(states.get('container:filter')?.media?.held ?? [])).toBe(180_000);
  });

  test('through the filter: once more passed, not once more round', () => {
    const states = until(6);
    expect(shares(states.get('container:bottle'))).toEqual({ 'unnamed, 1 rounds, 1 passes': 320 });
    expect(states.get('container:filter')?.media).toMatchObject({ passedUL: 320_000 });
    expect(ml(states.get('container:filter'))).toBe(0);
  });

  test('back into the pump, with what stayed behind and new oil', () => {
    const states = until(8);
    // 700 in, 640 out: the 60 of the hold-up stay.
    expect(shares(states.get('container:jar-2'))).toEqual({ 'named, 1 rounds, 0 passes': 640 });
    expect(shares(states.get('sump:p1/oil'))).toEqual({
      'named, 0 rounds, 0 passes': 60 + 340,
      'unnamed, 1 rounds, 1 passes': 300,
    });
  });

  test('drained again: each part a round more, and what is missing left with the exhaust', () => {
    const states = until(9);
    // 630 of 700: 360 of the new, 270 of the used; of the 70 left 60 are the hold-up.
    expect(shares(states.get('container:jar-3'))).toEqual({
      'named, 1 rounds, 0 passes': 360,
      'unnamed, 2 rounds, 0 passes': 270,
    });
    expect(ml(states.get('sump:p1/oil'))).toBe(760);
  });

  test('media renewed: what is caught comes back, the rest goes with it', () => {
    const states = folded([
      ...entries,
      ofStore(
        95,
        'mediaChange',
        { mediaId: 'paper-gravity', holdUpMl: 180, recoveredMl: 50, recoveredIntoId: 'bottle' },
        'filter',
      ),
    ]);
    expect(shares(states.get('container:bottle'))).toEqual({
      'unnamed, 1 rounds, 1 passes': 70,
    });
    expect(states.get('container:filter')?.media).toMatchObject({ held: [], passedUL: 0 });
  });
});

test('a pass that was timed is kept with what the media was then, and stays when a like one is fitted', () => {
  const paper = { mediaId: 'paper-gravity', holdUpMl: 180 };
  const entries = [
    buy(1, 'jar', 2000),
    ofStore(2, 'mediaChange', paper, 'filter'),
    pour(3, { fromId: 'jar', toId: 'filter', oilMl: 500 }),
    // Filled up while it ran: one pass of 700.
    pour(4, { fromId: 'jar', toId: 'filter', oilMl: 200 }),
    pour(30, { fromId: 'filter', toId: 'bottle', oilMl: 520, throughHours: 26 }),
    pour(31, { fromId: 'jar', toId: 'filter', oilMl: 300 }),
    pour(40, { fromId: 'filter', toId: 'bottle', oilMl: 300, throughHours: 4.5 }),
  ];
  const timed = [
    { pouredUL: 700_000, heldUL: 0, sludgeUL: 0, hours: 26, productId: 'oil-a' },
    { pouredUL: 300_000, heldUL: 180_000, sludgeUL: 0, hours: 4.5, productId: 'oil-a' },
  ];
  const media = (...more: Entry[]) => folded([...entries, ...more]).get('container:filter')?.media;
  expect(media()).toMatchObject({ timed, pass: null });
  expect(media(ofStore(50, 'mediaChange', paper, 'filter'))).toMatchObject({ timed, held: [] });
  expect(media(ofStore(50, 'mediaChange', { mediaId: 'spin-on', holdUpMl: 450 }, 'filter'))?.timed).toEqual([]);
  // Timed once more without a pour: there is nothing that it could have timed.
  expect(media(pour(60, { fromId: 'filter', toId: 'bottle', oilMl: 1, throughHours: 9 }))?.timed).toEqual(timed);
});

test('a flush draws each fill and lets each out again; what nobody measured is all but what a drain leaves', () => {
  const flushed = [
    { inMl: 700, fromContainerId: 'can', outMl: 690, intoContainerId: 'drum' },
    { inMl: 700, fromContainerId: 'can' },
  ];
  const states = folded([
    buy(1, 'can', 20_000),
    change(2, { outMl: 650, inMl: 700, fromContainerId: 'can' }),
    change(50, { outMl: 640, inMl: 700, fromContainerId: 'can', intoContainerId: 'drum', flushed }),
  ]);
  // Four fills of 700 out of it.
  expect(ml(states.get('container:can'))).toBe(17_200);
  // 640 of the old charge and 690 of the first fill; the second went nobody said where.
  expect(shares(states.get('container:drum'))).toEqual({ 'named, 1 rounds, 0 passes': 1330 });
  // The hold-up of 60 and the charge.
  expect(ml(states.get('sump:p1/oil'))).toBe(760);
});

test('more came out of a flush than the book has in the pump: what was measured stands in the drum', () => {
  const flushed = [{ inMl: 700, fromContainerId: 'can', outMl: 900, intoContainerId: 'drum' }];
  const states = folded([
    buy(1, 'can', 20_000),
    change(2, { outMl: 650, fromContainerId: 'can' }),
    change(50, { outMl: 640, fromContainerId: 'can', flushed }),
  ]);
  expect(ml(states.get('container:drum'))).toBe(900);
  expect([ml(states.get('sump:p1/oil')), states.get('sump:p1/oil')?.shortUL]).toEqual([700, 0]);
});

test('what a filter strained goes with its media, and is not counted on the next', () => {
  const paper = { mediaId: 'paper-gravity', holdUpMl: 100 };
  const states = folded([
    ofStore(1, 'mediaChange', paper, 'filter'),
    buy(2, 'a', 1000),
    pour(3, { fromId: 'a', toId: 'filter', oilMl: 500, waterMl: 20, sludgeMl: 6 }),
    pour(4, { fromId: 'filter', toId: 'b', oilMl: 400 }),
    ofStore(5, 'mediaChange', paper, 'filter'),
    pour(6, { fromId: 'a', toId: 'filter', oilMl: 50 }),
  ]);
  const filter = states.get('container:filter');
  expect(ml(filter, 'sludge') + ml(filter, 'water')).toBe(0);
  expect(filter?.media).toMatchObject({ sludgeUL: 0, waterUL: 0, passedUL: 0 });
});

test('warm oil shrinks on the shelf: five litres drained at 60 °C are 4,860 mL', () => {
  const states = folded([change(1, { outMl: 5000, outTempC: 60, intoContainerId: 'drum' })]);
  expect(ml(states.get('container:drum'))).toBe(4860);
});

test('more than there was: the book is short of it, and nothing is below zero', () => {
  const states = folded([buy(1, 'a', 100), pour(2, { fromId: 'a', toId: 'b', oilMl: 150 })]);
  expect(ml(states.get('container:a'))).toBe(0);
  expect(states.get('container:a')?.shortUL).toBe(50_000);
  expect(shares(states.get('container:b'))).toEqual({
    'named, 0 rounds, 0 passes': 100,
    'unnamed, 0 rounds, 0 passes': 50,
  });
});

test('a stocktake writes its difference, and ends what was short', () => {
  const entries = [buy(1, 'a', 100), pour(2, { fromId: 'a', toId: 'b', oilMl: 150 })];
  const states = folded([...entries, ofStore(3, 'stocktake', { oilMl: 12 }, 'a')]);
  expect(ml(states.get('container:a'))).toBe(12);
  expect(states.get('container:a')?.shortUL).toBe(0);
});

test('a trace of a lot loses its name and keeps where it came from', () => {
  // 0.4 mL of one lot in 10 L of another: under 1 mL and under 0.1 %.
  const first = buy(1, 'a', 100);
  const states = folded([first, buy(2, 'b', 10_000), pour(3, { fromId: 'a', toId: 'b', oilMl: 0.4 })]);
  const b = states.get('container:b');
  expect(b?.parts.map(({ lot, uL }) => [lot === 'older', uL])).toEqual([
    [false, 10_000_000],
    [true, 400],
  ]);
  expect(b?.marks.older).toEqual([first.id]);
});

test('what stays behind in a pump does not gather all its past', () => {
  const states = folded(Array.from({ length: 9 }, (_, i) => change(i + 1, { outMl: 640, intoContainerId: 'jar' })));
  expect(states.get('sump:p1/oil')?.marks.stays.map((s) => s.until)).toEqual([at(7), at(8), at(9)]);
});

test('the service that an oil did stays with it, however it is poured', () => {
  const entries = [buy(1, 'can', 5000), change(2, { outMl: 600, fromContainerId: 'can', intoContainerId: 'jar' })];
  const smelt = ofStore(5, 'stocktake', { oilMl: 600, smell: 'burnt', particleKinds: ['glitter'] }, 'jar');
  const states = folded([...entries, smelt, pour(6, { fromId: 'jar', toId: 'can', oilMl: 10 })]);
  expect(states.get('container:can')?.marks).toMatchObject({ smells: ['burnt'], particleKinds: ['glitter'] });
  // Empty, nothing of it is left.
  const emptied = folded([...entries, smelt, pour(6, { fromId: 'jar', outside: 'spill', oilMl: 600 })]);
  expect(emptied.get('container:jar')?.marks).toMatchObject({ smells: [], stays: [] });
});

describe('properties over any movements', () => {
  const places = ['a', 'b', 'c', 'filter'];
  const volume = fc.integer({ min: 1, max: 9000 }).map((v) => v / 10);
  const hours = fc.integer({ min: 0, max: 400 });
  const place = fc.constantFrom(...places);
  const product = fc.constantFrom('oil-a', 'oil-b');
  const fill = fc.record({
    inMl: volume,
    fromContainerId: fc.option(place),
    outMl: fc.option(volume),
    intoContainerId: fc.option(place),
  });
  const anyEntry: fc.Arbitrary<Entry> = fc.oneof(
    fc.tuple(hours, place, volume, product).map(([h, to, v, p]) => buy(h, to, v, p)),
    fc
      .tuple(hours, place, place, volume, volume)
      .filter(([, from, to]) => from !== to)
      .map(([h, fromId, toId, oilMl, waterMl]) => pour(h, { fromId, toId, oilMl, waterMl })),
    fc.tuple(hours, place, volume).map(([h, fromId, oilMl]) => pour(h, { fromId, outside: 'spill', oilMl })),
    fc
      .tuple(hours, place, volume, volume, volume)
      .map(([h, id, oilMl, waterMl, sludgeMl]) => ofStore(h, 'stocktake', { oilMl, waterMl, sludgeMl }, id)),
    fc
      .tuple(
        hours,
        fc.option(volume),
        volume,
        fc.option(place),
        fc.option(place),
        product,
        fc.array(fill, { maxLength: 2 }),
      )
      .map(([h, outMl, inMl, fromContainerId, intoContainerId, productId, flushed]) =>
        change(h, { outMl, inMl, fromContainerId, intoContainerId, productId, flushed }),
      ),
    fc
      .tuple(hours, volume, fc.option(place))
      .map(([h, addedMl, fromContainerId]) =>
        entryAt(h, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl, fromContainerId, levelAfter: 'right' }),
      ),
    fc
      .tuple(hours, volume, fc.option(place))
      .map(([h, drawnMl, intoContainerId]) =>
        entryAt(h, 'bleed', { sump: 'oil', drawnMl, waterMl: drawnMl / 2, intoContainerId }),
      ),
    fc
      .tuple(hours, volume, fc.option(place))
      .map(([h, recoveredMl, recoveredIntoId]) =>
        ofStore(h, 'mediaChange', { mediaId: 'spin-on', holdUpMl: 30, recoveredMl, recoveredIntoId }, 'filter'),
      ),
  );

  /** Every movement in the order of the journal, and the states after the last. */
  function ledgerOf(entries: readonly Entry[]): { moves: Move[]; states: Map<string, AccountState> } {
    const states = new Map<string, AccountState>();
    const moves: Move[] = [];
    const whole = new KeptStates(storeProjection, book);
    for (const entry of entries) whole.take(entry);
    for (const entry of whole.entries) {
      const named = new Map(
        [...rebuildAll({ projection: storeProjection, entries: [entry], book }).keys()].map((key) => {
          const [type = '', id = ''] = key.split(/:(.*)/s);
          return [key, states.get(key) ?? storeProjection.first({ type, id })] as const;
        }),
      );
      const booked = bookEntry(named, entry, book);
      for (const [key, state] of booked.states) states.set(key, state);
      moves.push(...booked.moves);
    }
    return { moves, states };
  }

  test('in = out + inside + named losses, per phase, to the microlitre; nothing is below zero', () => {
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 30 }), (entries) => {
        const { moves, states } = ledgerOf(entries);
        const balance = new Map<string, number>();
        const add = (key: string, uL: number) => balance.set(key, (balance.get(key) ?? 0) + uL);
        for (const { from, to, parts } of moves)
          for (const { phase, uL } of parts) {
            expect(uL).toBeGreaterThan(0);
            expect(Number.isInteger(uL)).toBe(true);
            add(`${from}|${phase}`, -uL);
            add(`${to}|${phase}`, uL);
          }
        for (const [key, state] of states) {
          for (const phase of ['oil', 'water', 'cream', 'sludge'] as const)
            expect([key, phase, totalUL(state.parts, phase)]).toEqual([
              key,
              phase,
              balance.get(`${key}|${phase}`) ?? 0,
            ]);
          const { id } = state.subject;
          expect(totalUL(state.media?.held ?? [])).toBe(state.media ? (balance.get(`media:${id}|oil`) ?? 0) : 0);
          expect(state.parts.every(({ uL }) => uL > 0)).toBe(true);
        }
      }),
      { numRuns: 250 },
    );
  });

  test('whatever the order in which entries come, are corrected and taken back, states are those of a rebuild', () => {
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 25 }), fc.array(fc.nat(), { maxLength: 8 }), (entries, undone) => {
        const kept = new KeptStates(storeProjection, book);
        for (const entry of entries) kept.take(entry);
        for (const n of undone) {
          const one = kept.entries[n % Math.max(1, kept.entries.length)];
          if (one) kept.takeBack(one);
        }
        expect(Object.fromEntries(kept.states)).toEqual(Object.fromEntries(folded(kept.entries)));
      }),
      { numRuns: 120 },
    );
  });
});
