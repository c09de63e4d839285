import type { Entry, EntryBodies } from '../journal/index.js';
import { judged, QUIET } from '../testing/judged-pump.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';

// A charge of 700 mL with 100 mL between the marks.
const YARD = {
  ...QUIET,
  model: { sumps: [{ key: 'oil' as const, chargeMl: 700, housingMl: 1000, holdUpMl: 60, betweenMarksMl: 100 }] },
};
const fill = (hours: number, addedMl: number): Entry =>
  entryAt(hours, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl, levelAfter: 'right' });
const bleed = (hours: number, body: Partial<EntryBodies['bleed']>): Entry =>
  entryAt(hours, 'bleed', { sump: 'oil', ...body });
const sample = (hours: number, drawnMl: number, more: object = {}): Entry =>
  entryAt(hours, 'labSample', { sump: 'oil', drawnMl, ...more });
const run = (from: number, hours: number): Entry => runAt(from, hours);
/** A change, and then stretches of running with what was filled up after each, 100 h apart at the least. */
const stretches = (...of: readonly (readonly [hours: number, mL: number])[]): Entry[] => {
  let now = 10;
  return [
    changeAt(1),
    ...of.flatMap(([hours, mL]) => {
      const from = now;
      now += hours + 40;
      return [run(from, hours), fill(from + hours + 20, mL)];
    }),
  ];
};
const DAY = 24;
const weeps = (hours: number): Entry =>
  entryAt(hours, 'test', { findings: [{ id: 'pumpWeeps', state: 'yes', certainty: 1 }] });
const every = (days: number, times: number, mL: number): Entry[] =>
  Array.from({ length: times }, (_, i) => fill(10 + i * days * DAY, mL));
const USUAL = [
  [100, 20],
  [100, 22],
  [100, 18],
  [100, 20],
] as const;
/** 700 h more in which nothing went, as far as the glass tells. */
const LEVEL_STANDS = [...stretches(...USUAL), run(570, 200), run(780, 200), run(990, 200), run(1200, 100)];

// Written from the trade (docs/trade.md 6): what is consumed, and what was taken out.
test.each<[string, Entry[], string, string | null]>([
  ['five top-ups in ten days', [changeAt(1), ...every(2, 5, 20)], 'lookSooner', 'toppedUpOften'],
  ['four top-ups in ten days', [changeAt(1), ...every(2.5, 4, 20)], 'runOn', null],
  ['five top-ups in sixty days', [changeAt(1), ...every(12, 5, 20)], 'runOn', null],
  ['three times its usual', stretches(...USUAL, [100, 60]), 'lookSooner', 'oilUse'],
  ['three times its usual, and its usual again', stretches(...USUAL, [100, 60], [100, 20]), 'runOn', null],
  ['not twice its usual', stretches(...USUAL, [100, 35]), 'runOn', null],
  [
    '60 mL filled up after 40 mL of samples',
    [...stretches(...USUAL), run(570, 100), sample(680, 40, { levelAfter: 'low' }), fill(690, 60)],
    'runOn',
    null,
  ],
  ['60 mL after 30 h: too short to say', stretches(...USUAL, [30, 60]), 'runOn', null],
  // With 100 mL between the marks less than 10 mL per 100 h is nothing to speak of.
  ['five times next to nothing', stretches([100, 1], [100, 1], [100, 1], [100, 1], [100, 5]), 'runOn', null],
  [
    'twenty times next to nothing',
    stretches([100, 1], [100, 1], [100, 1], [100, 1], [100, 20]),
    'lookSooner',
    'oilUse',
  ],
  // Five times in ten days, the leak found by hand, and then filled up as often again or less.
  [
    'filled up once more after the leak was found',
    [changeAt(1), ...every(2, 5, 20), weeps(210), fill(220, 20)],
    'runOn',
    null,
  ],
  [
    'filled up five times more after the leak was found',
    [changeAt(1), ...every(2, 5, 20), weeps(210), ...[220, 230, 240, 250, 260].map((h) => fill(h, 20))],
    'lookSooner',
    'toppedUpOften',
  ],
  ['two usual stretches are no usual yet', stretches([100, 20], [100, 20], [100, 60]), 'runOn', null],
  // At 20 mL per 100 h 140 mL should be gone after 700 h, and the marks are 100 mL apart.
  ['a level that no longer falls', [...LEVEL_STANDS, lookAt(1400, { level: 'right' })], 'lookSooner', 'levelHolds'],
  [
    'a level that no longer falls, and a look for water that finds none',
    [
      ...LEVEL_STANDS,
      lookAt(1400, { level: 'right' }),
      lookAt(1420, { level: 'right', freeWaterMl: 0, hoursStood: 12 }),
    ],
    'runOn',
    null,
  ],
  [
    'water looked for at once, after a night',
    [...LEVEL_STANDS, lookAt(1400, { level: 'right', freeWaterMl: 0, hoursStood: 12 })],
    'runOn',
    null,
  ],
  [
    'water looked for while it ran says nothing',
    [...LEVEL_STANDS, lookAt(1400, { level: 'right', freeWaterMl: 0, hoursStood: 0 })],
    'lookSooner',
    'levelHolds',
  ],
  [
    'only the level looked at again',
    [...LEVEL_STANDS, lookAt(1400, { level: 'right' }), lookAt(1420, { level: 'right' })],
    'lookSooner',
    'levelHolds',
  ],
  [
    'a level that still may stand',
    [...stretches(...USUAL), run(570, 200), lookAt(800, { level: 'right' })],
    'runOn',
    null,
  ],
  // What is taken out lowers the level.
  [
    '50 mL of oil bled, nobody said the level',
    [changeAt(1), bleed(5, { drawnMl: 60, waterMl: 10 })],
    'runOn',
    'readLevel',
  ],
  [
    '50 mL bled, and the level said',
    [changeAt(1), bleed(5, { drawnMl: 60, waterMl: 10, levelAfter: 'right' })],
    'runOn',
    null,
  ],
  [
    '50 mL bled, and it is below MIN',
    [changeAt(1), bleed(5, { drawnMl: 60, waterMl: 10, levelAfter: 'low' })],
    'beforeNextRun',
    'level',
  ],
  ['5 mL of oil with 15 mL of water', [changeAt(1), bleed(5, { drawnMl: 20, waterMl: 15 })], 'runOn', null],
  ['two samples of 20 mL', [changeAt(1), sample(5, 20), sample(30, 20)], 'runOn', 'readLevel'],
  ['a sample of 20 mL', [changeAt(1), sample(5, 20)], 'runOn', null],
  [
    'two samples, then a look at the level',
    [changeAt(1), sample(5, 20), sample(30, 20), lookAt(40, { level: 'right' })],
    'runOn',
    null,
  ],
  ['two samples, then filled up', [changeAt(1), sample(5, 20), sample(30, 20), fill(40, 40)], 'runOn', null],
])('%s', (_what, entries, verdict, code) => {
  const { verdict: is, codes, asksForLevel } = judged(entries, YARD);
  const said: readonly string[] = [...codes, ...(asksForLevel ? ['readLevel'] : [])];
  expect({ is, said: code === null ? said : said.includes(code) }).toEqual({
    is: verdict,
    said: code === null ? [] : true,
  });
});

test.each([
  ['every second day', [2, 2, 2], true],
  ['every second week', [14, 14, 14], false],
  ['weekly, now and then half a day early', [7, 6.5, 7, 6.5], false],
  ['every fifth day', [5, 5], true],
  ['twice in a week, after a month', [30, 3], false],
])('a seal cup filled %s', (_what, gaps, leaks) => {
  let hours = 1;
  const cups = [0, ...gaps].map((days) => {
    hours += days * DAY;
    return entryAt(
      hours,
      'topUp',
      { sump: 'sealCup', productId: 'oil-a', addedMl: 5, levelAfter: 'right' },
      { pumpId: 'b1' },
    );
  });
  const state = rebuild({ pumpId: 'b1', entries: cups, book: bookOf() });
  expect(state.machine.map((f) => f.code)).toEqual(leaks ? ['sealCupLeak'] : []);
  expect(state.machine.every((f) => f.at <= at(hours))).toBe(true);
});

test('a seal cup that empties ends with its shaft seal looked at', () => {
  const cup = (hours: number) =>
    entryAt(hours, 'topUp', { sump: 'sealCup', productId: 'oil-a', addedMl: 5, levelAfter: 'right' }, { pumpId: 'b1' });
  const seal = entryAt(200, 'done', { task: 'sealCheck' }, { pumpId: 'b1' });
  const codes = (...entries: Entry[]) => rebuild({ pumpId: 'b1', entries, book: bookOf() }).machine.map((f) => f.act);
  expect(codes(cup(1), cup(50), cup(100))).toEqual(['sealCheck']);
  expect(codes(cup(1), cup(50), cup(100), seal)).toEqual([]);
  expect(codes(cup(1), cup(50), cup(100), seal, cup(220))).toEqual([]);
  expect(codes(cup(1), cup(50), cup(100), seal, cup(220), cup(240), cup(260))).toEqual(['sealCheck']);
});
