import { at, bookOf, changeAt, entryAt, lookAt, runAt, type YardOptions } from '../testing/small-yard.js';
import type { Entry, EntryBodies } from '../journal/index.js';
import { rebuild } from './pump-projection.js';
import { standingAt } from '../standing/standing.js';

const QUIET = {
  limits: { oilChange: { runs: null, weight: null }, look: { runs: null, days: null }, bleed: { runs: null } },
} as const;

function verdictOf(entries: Entry[], options: YardOptions = {}) {
  const book = bookOf({ ...QUIET, ...options });
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(500) });
  if (!setUp) throw new Error('the pump is missing');
  return standingAt({ state: rebuild({ pumpId: 'p1', entries, book }), setUp, now: at(500) });
}
/** Two runs: within the first one it would be dark again. */
const afterChange = (...looks: Entry[]) => [changeAt(1), runAt(10, 10), runAt(25, 10), ...looks];
const judge = (seen: Partial<EntryBodies['look']>, options?: YardOptions) => {
  const { verdict, act, reasons } = verdictOf(afterChange(lookAt(50, seen)), options);
  return [verdict, act, reasons[0]?.code ?? null];
};

// docs/trade.md 6, the charge being 700 mL: 2 % is 14 mL, 5 % is 35 mL, 10 % is 70 mL.
test.each<[Partial<EntryBodies['look']>, string, string | null, string | null]>([
  [{ freeWaterMl: 14 }, 'runOn', null, null],
  [{ freeWaterMl: 15 }, 'lookSooner', 'bleed', 'water'],
  [{ freeWaterMl: 35 }, 'lookSooner', 'bleed', 'water'],
  [{ freeWaterMl: 36 }, 'beforeNextRun', 'change', 'water'],
  [{ freeWaterMl: 71 }, 'stop', 'change', 'water'],
  [{ clarity: 'bright' }, 'runOn', null, null],
  [{ clarity: 'hazy' }, 'lookSooner', 'look', 'clarity'],
  [{ clarity: 'cloudy' }, 'beforeNextRun', 'change', 'clarity'],
  [{ clarity: 'opaque' }, 'beforeNextRun', 'change', 'clarity'],
  [{ clarity: 'opaque', hoursStood: 0 }, 'stop', 'change', 'clarity'],
  [{ clarity: 'hazy', hoursStood: 0.2 }, 'runOn', null, null],
  [{ clarity: 'cloudy', hoursStood: 0.2 }, 'lookSooner', 'look', 'clarity'],
  [{ colour: 2 }, 'runOn', null, null],
  [{ colour: 2.5 }, 'lookSooner', 'look', 'colour'],
  [{ colour: 4 }, 'beforeNextRun', 'change', 'colour'],
  [{ level: 'right' }, 'runOn', null, null],
  [{ level: 'low' }, 'beforeNextRun', 'topUp', 'level'],
  [{ level: 'high' }, 'beforeNextRun', 'drainToMark', 'level'],
  [{ level: 'none' }, 'stop', 'topUp', 'level'],
])('a look showing %j gives %s', (seen, verdict, act, code) => {
  expect(judge(seen)).toEqual([verdict, act, code]);
});

test.each<[Partial<EntryBodies['look']>, YardOptions, string]>([
  [{ clarity: 'hazy' }, { waterBehaviour: 'detergent' }, 'runOn'],
  [{ clarity: 'cloudy' }, { waterBehaviour: 'detergent' }, 'lookSooner'],
  [{ clarity: 'opaque' }, { waterBehaviour: 'detergent' }, 'beforeNextRun'],
  [{ colour: 2.5 }, { waterBehaviour: 'detergent' }, 'runOn'],
  [{ colour: 3 }, { waterBehaviour: 'detergent' }, 'lookSooner'],
  [{ colour: 5 }, { waterBehaviour: 'detergent' }, 'beforeNextRun'],
  [{ colour: 8 }, { base: 'pfpe' }, 'runOn'],
])('a look showing %j in %j oil gives %s', (seen, options, verdict) => {
  expect(judge(seen, options)[0]).toBe(verdict);
});

test('what was bled is out of the oil: what stands now is weighed', () => {
  const s = verdictOf(
    afterChange(entryAt(40, 'bleed', { sump: 'oil', drawnMl: 40, waterMl: 20 }), lookAt(50, { freeWaterMl: 16 })),
  );
  expect(s.reasons[0]).toMatchObject({ code: 'water', foundUl: 16_000, chargeUl: 700_000, level: 'lookSooner' });
});

test('water is answered by a bleed and then a clear look, not by either alone', () => {
  const wet = lookAt(50, { freeWaterMl: 40 });
  const bleed = entryAt(60, 'bleed', { sump: 'oil', drawnMl: 60, waterMl: 38 });
  expect(verdictOf(afterChange(wet, bleed)).verdict).toBe('beforeNextRun');
  expect(verdictOf(afterChange(wet, lookAt(70, { freeWaterMl: 0 }))).verdict).toBe('beforeNextRun');
  expect(verdictOf(afterChange(wet, bleed, lookAt(70, { freeWaterMl: 0 }))).verdict).toBe('runOn');
  expect(verdictOf(afterChange(wet, bleed, lookAt(70, { freeWaterMl: 0, hoursStood: 0.2 }))).verdict).toBe(
    'beforeNextRun',
  );
  const purge = entryAt(60, 'done', { task: 'purge' });
  expect(verdictOf(afterChange(wet, purge, lookAt(70, { freeWaterMl: 0 }))).verdict).toBe('runOn');
});

test('each reason stands until what answers it', () => {
  expect(verdictOf(afterChange(lookAt(50, { colour: 4 }), lookAt(60, { colour: 1 }))).verdict).toBe('beforeNextRun');
  expect(verdictOf(afterChange(lookAt(50, { colour: 4 }), changeAt(60))).verdict).toBe('runOn');
  const topUp = entryAt(60, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 80, levelAfter: 'right' });
  expect(verdictOf(afterChange(lookAt(50, { level: 'low' }), topUp)).verdict).toBe('runOn');
  expect(
    verdictOf(afterChange(lookAt(50, { clarity: 'hazy' }), lookAt(60, { clarity: 'bright', hoursStood: 0.2 }))).verdict,
  ).toBe('lookSooner');
  expect(
    verdictOf(afterChange(lookAt(50, { clarity: 'hazy' }), lookAt(60, { clarity: 'bright', hoursStood: 12 }))).verdict,
  ).toBe('runOn');
});

test('the worst reason decides, all that speak are listed', () => {
  const s = verdictOf(afterChange(lookAt(50, { level: 'low', clarity: 'hazy', freeWaterMl: 80 })));
  expect(s.verdict).toBe('stop');
  expect(s.reasons.map((r) => [r.code, r.level])).toEqual([
    ['water', 'stop'],
    ['level', 'beforeNextRun'],
    ['clarity', 'lookSooner'],
  ]);
});

test('a jar of the charge that is gone gives at most Look sooner, and a look at the new oil answers it', () => {
  const gone = lookAt(60, { source: 'drained', lookedAtMl: 650, freeWaterMl: 90, clarity: 'opaque' });
  const s = verdictOf([changeAt(1), runAt(10, 20), changeAt(55), gone]);
  expect(s.verdict).toBe('lookSooner');
  expect(s.reasons[0]).toMatchObject({ code: 'goneCharge', cause: 'water' });
  expect(verdictOf([changeAt(1), runAt(10, 20), changeAt(55), gone, lookAt(70, { clarity: 'bright' })]).verdict).toBe(
    'runOn',
  );
  // Drained, but not replaced: it is still this charge.
  expect(verdictOf([changeAt(1), runAt(10, 20), gone]).verdict).toBe('stop');
});

test('another oil product calls for a flush', () => {
  const s = verdictOf([changeAt(1), changeAt(60, 'oil-b')]);
  expect(s.reasons[0]).toMatchObject({
    code: 'otherProduct',
    beforeId: 'oil-a',
    afterId: 'oil-b',
    answeredBy: 'flush',
  });
  expect(verdictOf([changeAt(1), changeAt(60, 'oil-b'), entryAt(70, 'done', { task: 'flush' })]).verdict).toBe('runOn');
});
