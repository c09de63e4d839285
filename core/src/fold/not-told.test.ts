import { stretchesOf } from '../diagnosis/stretches.js';
import type { Entry } from '../journal/index.js';
import { setUpBook, type SetUpBook } from '../set-up/index.js';
import { standingAt } from '../standing/index.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import { rebuild } from './pump-projection.js';

/*
 * What nobody has said yet counts on the cautious side until somebody does. Hand-reckoned: of the freeze-drying materials
 * meat or fish has the heaviest factor, 1 + 3 x 0.15 + 3 x 0.30 + 0.20 = 2.55; a plain run there is 20 h.
 */
const stateOf = (entries: Entry[], book: SetUpBook = bookOf()) => rebuild({ pumpId: 'p1', entries, book });
const standingOf = (entries: Entry[], hours: number) => {
  const book = bookOf();
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(hours) });
  if (!setUp) throw new Error('p1');
  return standingAt({ state: stateOf(entries, book), setUp, now: at(hours) });
};
const untold = (hours: number, length = 20) => runAt(hours, length, 'any-empty', { body: { materialId: null } });
const bleed = (hours: number, body: { drawnMl?: number; waterMl?: number }) =>
  entryAt(hours, 'bleed', { sump: 'oil', ...body });
const findingsOf = (entries: Entry[]) => stateOf(entries).sumps[0]?.findings ?? [];
const levelOf = (entries: Entry[]) => stateOf(entries).sumps[0]?.findings.filter((f) => f.code === 'level') ?? [];

test.each([
  ['a plain run', 20, 2550],
  ['half as long', 10, 1275],
  ['very long', 400, 5100],
])('%s of an untold material weighs as the heaviest that such an equipment has', (_what, hours, weightMilli) => {
  const run = untold(5, hours);
  const state = stateOf([run]);
  expect(state.bars).toMatchObject([{ load: 'notTold', materialId: null, weightMilli }]);
  expect(state.notTold).toEqual([{ kind: 'run', entryId: run.id, at: at(5) }]);
});

test('where no material is of the equipment’s process, all count; where there is none at all, every rating is 3', () => {
  const versions = versionsOf();
  const without = (keep: (process: string) => boolean) =>
    setUpBook(versions.filter((v) => v.kind !== 'material' || keep(v.body.process)));
  // Debinding of wax: 1 + 3 x 0.30 + 0.20.
  expect(
    stateOf(
      [untold(5)],
      without((p) => p === 'industrial'),
    ).totals.weightMilli,
  ).toBe(2100);
  expect(
    stateOf(
      [untold(5)],
      without(() => false),
    ).totals.weightMilli,
  ).toBe(4600);
});

test('the standing says how many, whatever the verdict; a change of the oil ends the matter', () => {
  const entries = [changeAt(1), untold(5), bleed(30, { drawnMl: 60 }), untold(40, 1)];
  expect(standingOf(entries, 60).reasons.find((r) => r.code === 'notTold')).toMatchObject({
    level: 'runOn',
    act: null,
    entries: [{ kind: 'run' }, { kind: 'bleed' }, { kind: 'run' }],
  });
  expect(stateOf([...entries, changeAt(70)]).notTold).toEqual([]);
});

test('once told it counts as it was', () => {
  const run = untold(5);
  const told = { ...run, body: { ...run.body, materialId: 'fd-paper-damp' } } as Entry;
  // 1 + 2 x 0.15 + 0.20
  expect(stateOf([told])).toMatchObject({ notTold: [], bars: [{ load: 'wet', weightMilli: 1500 }] });
});

test('of very many the newest are named', () => {
  const runs = Array.from({ length: 25 }, (_, i) => untold(5 + i * 24, 1));
  const { notTold, totals } = stateOf(runs);
  expect(totals.runs).toBe(25);
  expect(notTold).toHaveLength(20);
  expect(notTold.at(-1)?.entryId).toBe(runs.at(-1)?.id);
});

test('a bleed whose water is not read counts as dry, until its jar is', () => {
  const entries = [changeAt(1), runAt(5, 20), bleed(30, { drawnMl: 60 })];
  const before = stateOf(entries);
  expect(before.sumps[0]?.charge.bledWaterUl).toBe(0);
  // There is nothing to draw of a jar that nobody has read.
  expect(before.jars.map((j) => j.source)).toEqual(['change']);
  expect(before.tasks.bleed?.at).toBe(at(30));
  const read = stateOf([...entries, lookAt(40, { source: 'bleed', lookedAtMl: 60, freeWaterMl: 18 })]);
  expect(read.sumps[0]?.charge.bledWaterUl).toBe(18_000);
  expect(read.notTold).toEqual([]);
});

test('the jar of a later bleed says nothing of one before it', () => {
  const before = bleed(30, { drawnMl: 60 });
  const jar = lookAt(60, { source: 'bleed', lookedAtMl: 40, freeWaterMl: 9 });
  const state = stateOf([changeAt(1), before, bleed(50, { drawnMl: 40, waterMl: 8 }), jar]);
  expect(state.notTold.map((n) => n.entryId)).toEqual([before.id]);
  expect(state.sumps[0]?.charge.bledWaterUl).toBe(9000);
});

// Weights by hand: size x factor, where 2,000 cycles are one run and smoked fish is the heaviest of packaging, 1 + 0.30 + 0.60 + 0.20.
test.each<[string, Entry, number]>([
  [
    'a line counted by cycles',
    runAt(5, 0, '', { equipmentId: 'line', body: { materialId: null, minutes: null, cycles: 2000 } }),
    2100,
  ],
  ['an aborted hour', runAt(5, 1, '', { body: { materialId: null, session: 'aborted' } }), 1275],
  [
    'a run of two pumps counts on this one',
    { ...untold(5), subjects: [...untold(5).subjects, { type: 'pump', id: 'b1' }] },
    2550,
  ],
])('an untold run of %s', (_what, run, weightMilli) => {
  expect(stateOf([run]).totals.weightMilli).toBe(weightMilli);
});

test('of a booster’s two ends the one that nobody read is named', () => {
  const fill = (hours: number, sump: 'gearA' | 'gearB', levelAfter: 'right' | null) =>
    entryAt(hours, 'topUp', { sump, productId: 'oil-a', addedMl: 30, levelAfter }, { pumpId: 'b1' });
  const state = rebuild({ pumpId: 'b1', entries: [fill(5, 'gearA', null), fill(6, 'gearB', 'right')], book: bookOf() });
  const named = state.sumps.flatMap((s) => s.findings.map((f) => [s.key, f.code]));
  expect(named).toEqual([['gearA', 'level']]);
});

test('water that was read of a bleed that nobody measured counts', () => {
  const state = stateOf([changeAt(1), bleed(30, { waterMl: 12 })]);
  expect(state.sumps[0]?.charge.bledWaterUl).toBe(12_000);
  expect(state.jars.at(-1)).toMatchObject({ waterUl: 12_000, oilUl: 0 });
  expect(state.notTold).toEqual([]);
});

test('what came out of a change may stay unmeasured', () => {
  const change = entryAt(5, 'change', { sump: 'oil', productId: 'oil-a', inMl: 700, levelAfter: 'right' });
  const state = stateOf([runAt(1, 2), change]);
  expect(state).toMatchObject({ totals: { changes: 1 }, jars: [], notTold: [] });
  expect(state.sumps[0]).toMatchObject({ charge: { number: 1, filledUl: 700_000, levelKnown: true }, findings: [] });
});

test('filled to a level that nobody read: look before you run, and a look that reads it ends that', () => {
  const change = entryAt(5, 'change', { sump: 'oil', productId: 'oil-a', outMl: 650, inMl: 700 });
  expect(levelOf([change])).toMatchObject([{ found: 'notTold', level: 'lookSooner', act: 'look' }]);
  expect(standingOf([change], 6)).toMatchObject({ verdict: 'lookSooner', act: 'look' });
  expect(levelOf([change, lookAt(20, { clarity: 'bright' })])).toHaveLength(1);
  expect(levelOf([change, lookAt(20, { level: 'right' })])).toEqual([]);
  expect(levelOf([change, lookAt(20, { level: 'low' })])).toMatchObject([{ found: 'low', act: 'topUp' }]);
});

test.each([
  ['low', 'beforeNextRun'],
  ['hair', 'lookSooner'],
  ['right', 'lookSooner'],
] as const)('a top-up without a level, after %s, leaves it no better than it was', (before, level) => {
  const topUp = entryAt(20, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50 });
  const entries = [changeAt(1), lookAt(10, { level: before }), topUp];
  expect(levelOf(entries)).toMatchObject([{ found: 'notTold', level, act: 'look' }]);
  const told = { ...topUp, body: { ...topUp.body, levelAfter: 'right' } } as Entry;
  expect(levelOf([...entries.slice(0, 2), told])).toEqual([]);
});

test('no oil in the glass: filled up it is a Stop still, until somebody says where it went', () => {
  const none = [changeAt(1), lookAt(10, { level: 'none' })];
  const topUp = (more: object) => entryAt(20, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50, ...more });
  const asks = [{ code: 'level', found: 'none', level: 'stop', act: 'findCause', filled: true }];
  expect(findingsOf([...none, topUp({})])).toMatchObject(asks);
  expect(findingsOf([...none, topUp({ levelAfter: 'right' })])).toMatchObject(asks);
  expect(findingsOf([...none, lookAt(20, { level: 'right' })])).toMatchObject(asks);
  expect(findingsOf([...none, topUp({ levelAfter: 'right', oilWent: 'leak' })])).toMatchObject([
    { code: 'oilLost', where: 'leak', level: 'lookSooner' },
  ]);
  const later = [...none, topUp({ levelAfter: 'right' }), lookAt(30, { level: 'right', oilWent: 'suckedBack' })];
  expect(findingsOf(later)).toMatchObject([{ code: 'oilLost', where: 'suckedBack' }]);
  expect(findingsOf([...later, lookAt(40, { level: 'right' })])).toEqual([]);
  expect(findingsOf([...later, lookAt(40, { level: 'none' })])).toMatchObject([{ level: 'stop', act: 'topUp' }]);
});

test('a stretch with an untold run speaks for no material, and an unread bleed for no water', () => {
  const look = (colour: number, waterMl: number | null = null) => ({ kind: 'look', colour, waterMl }) as const;
  const run = (materialId: string | null) => ({ kind: 'run', materialId }) as const;
  expect(stretchesOf([look(1), run('a'), run(null), look(3), run('a'), look(3)], 'dark')).toEqual([
    { runs: { a: 1 }, came: false },
  ]);
  const unread = { kind: 'bleed', waterMl: null } as const;
  expect(stretchesOf([look(1, 0), run('a'), unread, run('a'), look(1, 9)], 'water')).toEqual([
    { runs: { a: 1 }, came: true },
  ]);
});
