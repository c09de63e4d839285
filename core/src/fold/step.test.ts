import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { rebuild } from './pump-projection.js';

const fold = (entries: Entry[], pumpId = 'p1') => rebuild({ pumpId, entries, book: bookOf() });
const oil = (entries: Entry[]) => {
  const sump = fold(entries).sumps.find((s) => s.key === 'oil');
  if (!sump) throw new Error('no oil case');
  return sump;
};

test('a run counts in runs, weight and minutes, and is what the next log starts from', () => {
  const run = entryAt(
    10,
    'run',
    {
      materialId: 'fd-meat',
      minutes: 1200,
      session: 'run',
      ballast: 'open',
      trapTempC: -41,
      lowestPressurePa: 4.7,
      ventedBeforeStop: 'no',
    },
    { equipmentId: 'chamber' },
  );
  const state = fold([run]);
  expect(state.totals).toEqual({ runs: 1, weightMilli: 2550, minutes: 1200, unloggedMinutes: 0, changes: 0 });
  expect(state.lastRun).toEqual({
    entryId: run.id,
    happenedAt: at(10),
    equipmentId: 'chamber',
    materialId: 'fd-meat',
    minutes: 1200,
    cycles: null,
    ballast: 'open',
    trapTempC: -41,
    lowestPressurePa: 4.7,
    ventedBeforeStop: 'no',
  });
});

test('the reference hours are those of the equipment that the run names: a borrowed pump', () => {
  const eightHours = (equipmentId: string) => fold([runAt(10, 8, 'any-empty', { equipmentId })]).totals.weightMilli;
  expect(eightHours('line')).toBe(1000);
  expect(eightHours('chamber')).toBe(500);
});

test('cycles count by number, their hours by the cycle time', () => {
  const cycles = entryAt(
    10,
    'run',
    { materialId: 'any-empty', cycles: 3000, session: 'run', ballast: 'open', ventedBeforeStop: 'yes' },
    { equipmentId: 'line' },
  );
  expect(fold([cycles]).totals).toMatchObject({ weightMilli: 1500, minutes: 1500 });
});

test('a change starts a charge: number, product, volume, empty ruler, nothing found', () => {
  const before = [
    runAt(2, 20),
    lookAt(30, { freeWaterMl: 60, colour: 3 }),
    entryAt(31, 'bleed', { sump: 'oil', drawnMl: 50, waterMl: 30 }),
  ];
  expect(oil(before).charge).toMatchObject({ number: 0, bledWaterUl: 30_000, filledUl: null });
  const change = changeAt(40, 'oil-b');
  const state = fold([...before, change]);
  expect(state.bars).toEqual([]);
  expect(oil([...before, change])).toMatchObject({
    charge: {
      number: 1,
      productId: 'oil-b',
      filledUl: 700_000,
      bledWaterUl: 0,
      startColour: null,
      since: { at: at(40), entryId: change.id },
    },
    findings: [{ code: 'otherProduct' }],
  });
  expect(state.tasks.bleed?.entryId).toBe(change.id);
  expect(state.totals.changes).toBe(1);
});

test('the first look at a fresh charge sets its start colour, a later one is held against the fresh oil', () => {
  expect(oil([changeAt(1), lookAt(2, { colour: 2 })]).charge.startColour).toBe(2);
  expect(oil([changeAt(1), runAt(5, 10), lookAt(20, { colour: 2 })]).charge.startColour).toBe(1);
  expect(oil([changeAt(1), lookAt(2, { colour: 2 }), runAt(5, 10), lookAt(20, { colour: 3 })]).findings).toEqual([]);
});

test('the last four jars are kept, whatever they came from', () => {
  const jars = fold([
    changeAt(1),
    lookAt(2, { freeWaterMl: 1 }),
    entryAt(3, 'bleed', { sump: 'oil', drawnMl: 40, waterMl: 25 }),
    lookAt(4, { source: 'sample', lookedAtMl: 300, freeWaterMl: 20, clarity: 'hazy' }),
    lookAt(5, { level: 'right' }),
  ]).jars;
  expect(jars.map((j) => [j.source, j.oilUl, j.waterUl])).toEqual([
    ['sightGlass', 0, 1000],
    ['bleed', 15_000, 25_000],
    ['sample', 280_000, 20_000],
    ['sightGlass', 0, 0],
  ]);
});

test('a sample takes its water out of the pump, a sight glass only shows it', () => {
  const sample = (hours: number) => lookAt(hours, { source: 'sample', lookedAtMl: 200, freeWaterMl: 8 });
  const drawn = oil([changeAt(1), sample(10), sample(20)]);
  expect([drawn.charge.sampledWaterUl, drawn.findings]).toEqual([16_000, []]);
  const seen = oil([changeAt(1), lookAt(10, { freeWaterMl: 8 }), lookAt(20, { freeWaterMl: 8 })]);
  expect([seen.charge.sampledWaterUl, seen.findings]).toEqual([0, []]);
});

test('a top-up with the level still low leaves the reason standing', () => {
  const topUp = (levelAfter: 'low' | 'right') =>
    entryAt(20, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 30, levelAfter });
  expect(oil([lookAt(10, { level: 'low' }), topUp('low')]).findings).toMatchObject([{ code: 'level', found: 'low' }]);
  expect(oil([lookAt(10, { level: 'low' }), topUp('right')])).toMatchObject({
    findings: [],
    charge: { toppedUpUl: 30_000 },
  });
});

test('the seal cup of a booster is topped up as a task', () => {
  const cup = entryAt(
    10,
    'topUp',
    { sump: 'sealCup', productId: 'oil-a', addedMl: 8, levelAfter: 'right' },
    { pumpId: 'b1' },
  );
  expect(fold([cup], 'b1').tasks.sealCup).toMatchObject({ at: at(10), entryId: cup.id });
});

test('a note changes nothing but the count of entries', () => {
  const run = runAt(10, 20);
  const { entries, last, ...withNote } = fold([run, entryAt(40, 'note', { text: 'Quiet.' })]);
  const { entries: fewer, last: earlier, ...without } = fold([run]);
  expect(withNote).toEqual(without);
  expect([entries - fewer, last?.happenedAt, earlier?.happenedAt]).toEqual([1, at(40), at(10)]);
});

test('tasks never done count from the first entry', () => {
  const state = fold([runAt(10, 20), entryAt(40, 'done', { task: 'inletScreen' })]);
  expect(state.start).toMatchObject({ at: at(10), entryId: null });
  expect(state.tasks.inletScreen).toMatchObject({ at: at(40), counts: { runs: 1, minutes: 1200 } });
  expect(state.tasks.gaugeCheck).toBeUndefined();
});
