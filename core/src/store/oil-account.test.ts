import { costOfSchools, costOfShare, oilAccount } from './oil-account.js';
import type { Move } from './ledger.js';
import type { Part } from './part.js';

const part = (ml: number, rounds: number, phase: Part['phase'] = 'oil'): Part => ({
  ...{ phase, lot: null, productId: 'a', rounds, passes: 0, uL: ml * 1000 },
});
let made = 0;
const move = (from: string, to: string, ...parts: Part[]): Move => ({
  ...{ entryId: `e${made++}`, at: '2031-02-01T00:00:00.000Z', from, to, parts, heldAfterUL: 0 },
});
/** Two charges of a litre: new, then 800 used with 200 new; what came out and where it went. */
const MOVES: readonly Move[] = [
  move('bought', 'container:can', part(20_000, 0)),
  move('container:can', 'sump:p/oil', part(1000, 0)),
  move('sump:p/oil', 'container:jar', part(900, 1)),
  move('sump:p/oil', 'exhaust', part(40, 0)),
  move('container:jar', 'container:filter', part(850, 1)),
  move('container:jar', 'container:drum', part(50, 1), part(30, 0, 'water')),
  move('container:filter', 'container:bottle', part(800, 1)),
  move('container:bottle', 'sump:p/oil', part(800, 1)),
  move('container:can', 'sump:p/oil', part(200, 0)),
  move('sump:q/oil', 'container:drum', part(500, 1)),
  move('media:filter', 'media', part(50, 1)),
];
const span = { from: '2031-01-01T00:00:00.000Z', until: '2031-03-01T00:00:00.000Z' };
const account = oilAccount({ moves: MOVES, ...span, isWaste: (id) => id === 'drum' });

test('a span of time, added up', () => {
  expect(account).toEqual({
    ...{ newUL: 1_200_000, usedUL: 800_000, keptUL: 900_000, wastedUL: 500_000, unsaidUL: 0, exhaustUL: 40_000 },
    ...{ toWasteUL: 50_000, spiltUL: 0, mediaUL: 50_000, boughtUL: 20_000_000, pours: 3, fills: 3 },
  });
});

test('of one pump, and of another span', () => {
  expect(oilAccount({ moves: MOVES, ...span, isWaste: () => false, pumpId: 'q' })).toMatchObject({
    ...{ newUL: 0, keptUL: 500_000, fills: 0 },
  });
  expect(oilAccount({ moves: MOVES, from: span.until, until: '2032', isWaste: () => false }).newUL).toBe(0);
});

/**
 * By hand, oil 10 a litre, an hour 60, waste 2 a litre, media 6, 10 runs, two readings.
 * As it was: 1.2 L · 10 + 6 + (3 · 4 + 2 · 5) min · 1 + 0.6 L · 2 = 12 + 6 + 22 + 1.2 = 41.2.
 * New oil only: 2 L · 10 + 1.4 L · 2 = 22.8.
 */
test('what both schools cost, side by side', () => {
  const prices = { oilPerL: 10, hour: 60, wastePerL: 2 };
  const found = costOfSchools({ account, reads: 2, mediaMoney: 6, mediaPerL: 1, runs: 10, prices, newPercent: 20 });
  expect(found.otherSchool).toBe('newOnly');
  expect(found.actual.money).toBeCloseTo(41.2, 9);
  expect(found.actual.perRun).toBeCloseTo(4.12, 9);
  expect(found.actual).toMatchObject({ newL: 1.2, minutes: 22 });
  expect(found.actual.wasteL).toBeCloseTo(0.6, 9);
  expect(found.other.money).toBeCloseTo(22.8, 9);
});

/**
 * Pump p kept all 900 mL of what was kept, so the whole work on the shelf is its: 12 + 6 + 22 + 0.1 L of waste · 2 = 40.2; new oil only
 * 2 L · 10 + 0.9 L · 2 = 21.8. Pump q let half a litre into waste: 1. Together they are the whole.
 */
test('what each pump costs is its oil and its share of the shelf, and the shares make up the whole', () => {
  const shelf = { reads: 2, mediaMoney: 6, mediaPerL: 1, newPercent: 20, runs: 5 };
  const prices = { oilPerL: 10, hour: 60, wastePerL: 2 };
  const of = (pumpId: string) => oilAccount({ moves: MOVES, ...span, isWaste: (id) => id === 'drum', pumpId });
  const [p, q] = ['p', 'q'].map((id) => costOfShare({ ...shelf, prices, of: of(id), whole: account }));
  expect(p?.actual.money).toBeCloseTo(40.2, 9);
  expect(p?.actual.perRun).toBeCloseTo(8.04, 9);
  expect(p?.other.money).toBeCloseTo(21.8, 9);
  expect([p?.otherSchool, q?.otherSchool]).toEqual(['newOnly', 'newOnly']);
  expect(q?.actual.money).toBeCloseTo(1, 9);
  expect(q?.other.money).toBeCloseTo(1, 9);
});

test('of one product alone', () => {
  const other: Move = { ...move('container:can-b', 'sump:r/oil', { ...part(300, 0), productId: 'b' }) };
  const one = (productId: string) =>
    oilAccount({ moves: [...MOVES, other], ...span, isWaste: (id) => id === 'drum', productId });
  expect(one('a')).toEqual(account);
  expect(one('b')).toMatchObject({ newUL: 300_000, usedUL: 0, fills: 1, pours: 0 });
});

/** A house of new oil: 10 L in, 9 out. Reuse: 6.75 L back, 3.25 new, 2.25 waste, 5 · 18 min, 0.5 a litre for media. */
test('a house of new oil sees what reuse would have cost', () => {
  const fresh = { ...account, newUL: 10_000_000, usedUL: 0, keptUL: 0, wastedUL: 9_000_000, fills: 5, pours: 0 };
  const plain = { ...fresh, toWasteUL: 0, mediaUL: 0 };
  const prices = { oilPerL: 10, hour: 60, wastePerL: 2 };
  const found = costOfSchools({
    ...{ account: plain, reads: 0, mediaMoney: 0, mediaPerL: 0.5, runs: 0, prices, newPercent: 20 },
  });
  expect(found.actual).toMatchObject({ newL: 10, wasteL: 9, minutes: 0, money: 118, perRun: null });
  expect(found.other.newL).toBeCloseTo(3.25, 9);
  expect(found.other.money).toBeCloseTo(32.5 + 6.75 * 0.5 + 90 + 2.25 * 2, 9);
});

test('without prices there are litres and minutes, and no money', () => {
  const prices = { oilPerL: null, hour: 60, wastePerL: null };
  const found = costOfSchools({ account, reads: 0, mediaMoney: 0, mediaPerL: 0, runs: 10, prices, newPercent: 20 });
  expect(found.actual).toMatchObject({ newL: 1.2, money: null, perRun: null });
});
