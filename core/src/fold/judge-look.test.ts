import fc from 'fast-check';
import { judged } from '../testing/judged-pump.js';
import { at, changeAt, entryAt, lookAt, runAt, versionsOf } from '../testing/small-yard.js';
import type { Entry, EntryBodies } from '../journal/index.js';
import { VERDICT_LEVELS } from '../limits/index.js';
import { setUpBook, type SetUpVersion } from '../set-up/index.js';
import { holdsDenserOil } from './judge-look.js';
import { rebuild } from './pump-projection.js';

type Seen = Partial<EntryBodies['look']>;
const RUNS = [changeAt(1), runAt(10, 10), runAt(25, 10)];
/** A sample that has settled: two and a half days at 25 °C. */
const jar = (hours: number, seen: Seen) =>
  lookAt(hours, { source: 'sample', lookedAtMl: 200, hoursStood: 60, jarTempC: 25, ...seen });
const done = (hours: number, task: string) => entryAt(hours, 'done', { task });

test.each<[string, Seen, string]>([
  ['metal', { particles: 'few', particleKinds: ['glitter'] }, 'vaneCheck'],
  ['much sludge', { sludgeMl: 40 }, 'housingClean'],
])('%s stands through a change, until what answers it', (_what, seen, task) => {
  const found = [...RUNS, jar(50, seen)];
  expect(judged(found).verdict).toBe('stop');
  expect(judged([...found, changeAt(60)]).verdict).toBe('stop');
  expect(judged([...found, changeAt(60), jar(70, { clarity: 'bright', particles: 'none', sludgeMl: 0 })]).verdict).toBe(
    'stop',
  );
  expect(judged([...found, done(60, task)])).toMatchObject({ verdict: 'stop', act: 'change' });
  expect(judged([...found, done(60, task), changeAt(61)]).verdict).toBe('runOn');
});

test('oil thrown from the exhaust is answered by its filter or by an inspection, not by a top-up or a change', () => {
  const thrown = [...RUNS, lookAt(50, { thrownFromExhaust: true, level: 'right' })];
  expect(judged(thrown)).toMatchObject({ verdict: 'stop', act: 'inspect' });
  expect(judged([...thrown, changeAt(60), lookAt(70, { level: 'right' })]).verdict).toBe('stop');
  expect(judged([...thrown, done(60, 'exhaustFilter')]).verdict).toBe('runOn');
  expect(judged([...thrown, done(60, 'vaneCheck')]).verdict).toBe('runOn');
});

test('solvent stands until the new oil is shown to be thick enough', () => {
  const found = [...RUNS, jar(50, { smell: 'solvent' })];
  expect(judged([...found, jar(55, { smell: 'none' })]).verdict).toBe('stop');
  expect(judged([...found, changeAt(60)]).verdict).toBe('stop');
  expect(judged([...found, changeAt(60), lookAt(70, { smell: 'none' })])).toMatchObject({
    verdict: 'stop',
    act: 'sample',
  });
});

test('dark again is answered by a flush, not by one more change', () => {
  const found = [changeAt(1), lookAt(2, { colour: 1 }), runAt(10, 10), lookAt(30, { colour: 4 })];
  expect(judged(found)).toMatchObject({ verdict: 'beforeNextRun', act: 'flush', codes: ['darkAgain'] });
  expect(judged([...found, changeAt(60)]).codes).toEqual(['darkAgain']);
  expect(judged([...found, done(60, 'flush')]).verdict).toBe('runOn');
});

test('a purge that does not clear the cream leaves the change', () => {
  const cream = [...RUNS, jar(50, { creamMl: 4 })];
  expect(judged(cream)).toMatchObject({ verdict: 'lookSooner', act: 'purge' });
  const purged = [...cream, done(60, 'purge')];
  expect(judged([...purged, jar(150, { creamMl: 4, freeWaterMl: 0 })])).toMatchObject({
    verdict: 'beforeNextRun',
    act: 'change',
    reasons: [{ code: 'cream', afterPurge: true }],
  });
  expect(judged([...purged, jar(150, { creamMl: 0, freeWaterMl: 0, clarity: 'bright' })]).verdict).toBe('runOn');
  // Purged without anything seen before: it did not fail to clear what was not there.
  expect(judged([...RUNS, done(60, 'purge'), jar(150, { creamMl: 4 })])).toMatchObject({ verdict: 'lookSooner' });
});

test('a few particles and a rancid smell go with a clear look or a change, more only with a change', () => {
  const few = [...RUNS, jar(50, { particles: 'few', smell: 'rancid' })];
  expect(judged(few).codes).toEqual(['particles', 'smell']);
  expect(judged([...few, jar(150, { particles: 'none', smell: 'none' })]).verdict).toBe('runOn');
  const many = [...RUNS, jar(50, { particles: 'many' })];
  expect(judged([...many, jar(150, { particles: 'none' })]).verdict).toBe('beforeNextRun');
  expect(judged([...many, changeAt(150)]).verdict).toBe('runOn');
});

test('metal is expected in the first hours after an overhaul, counted from it', () => {
  const glitter = { particles: 'few', particleKinds: ['glitter'] } as const;
  const early = [runAt(10, 20), jar(50, glitter)];
  expect(judged(early, { overhauledAt: at(0) })).toMatchObject({ verdict: 'beforeNextRun', act: 'change' });
  const late = [runAt(10, 60), runAt(80, 50), jar(200, glitter)];
  expect(judged(late, { overhauledAt: at(0) }).verdict).toBe('stop');
  expect(judged(early).verdict).toBe('stop');
});

test('the level rose with nothing added: water, where there is any', () => {
  const right = lookAt(40, { level: 'right' });
  const high = (seen: Seen = {}) => lookAt(50, { level: 'high', ...seen });
  expect(judged([...RUNS, right, high({ freeWaterMl: 20 })])).toMatchObject({ verdict: 'stop' });
  expect(judged([...RUNS, right, high()]).reasons[0]).toMatchObject({ code: 'level', nothingAdded: true });
  const topUp = entryAt(45, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 90, levelAfter: 'high' });
  expect(judged([...RUNS, right, topUp, high({ freeWaterMl: 20 })])).toMatchObject({
    verdict: 'beforeNextRun',
    codes: ['level', 'water'],
  });
});

test('the jar of a bleed that is read takes the place of what was said when it was drawn', () => {
  const bleed = entryAt(40, 'bleed', { sump: 'oil', drawnMl: 50, waterMl: 20 });
  const read = jar(60, { source: 'bleed', lookedAtMl: 50, freeWaterMl: 26, creamMl: 4 });
  const oil = (entries: Entry[]) => judged(entries).state.sumps[0]?.charge;
  expect(oil([...RUNS, bleed])?.bledWaterUl).toBe(20_000);
  expect(oil([...RUNS, bleed, read])?.bledWaterUl).toBe(28_000);
  expect(judged([...RUNS, bleed, read]).reasons).toMatchObject([{ code: 'cream', creamUl: 4000 }]);
  // Nobody wrote the bleed down: its jar speaks for it.
  const alone = judged([...RUNS, read]).state;
  expect(alone.sumps[0]?.charge.bledWaterUl).toBe(28_000);
  expect([alone.tasks.bleed?.at, alone.bars.at(-1)?.bled]).toEqual([at(60), true]);
});

test('a milder look does not talk a harder finding away', () => {
  const cloudy = [...RUNS, jar(50, { clarity: 'cloudy' })];
  expect(judged([...cloudy, jar(150, { clarity: 'hazy' })]).verdict).toBe('beforeNextRun');
  expect(judged([...cloudy, jar(150, { clarity: 'hazy', hoursStood: 0.2 })]).verdict).toBe('beforeNextRun');
  expect(judged([...cloudy, jar(150, { clarity: 'bright', hoursStood: 3 })]).verdict).toBe('beforeNextRun');
  expect(judged([...cloudy, jar(150, { clarity: 'bright' })]).verdict).toBe('runOn');
});

test('a jar that has not settled never clears a verdict, whatever it does not show', () => {
  fc.assert(
    fc.property(
      fc.record({
        clarity: fc.constantFrom('hazy' as const, 'cloudy' as const, 'opaque' as const),
        freeWaterMl: fc.constantFrom(0, 20, 60),
        particles: fc.constantFrom('none' as const, 'few' as const),
        creamMl: fc.constantFrom(0, 6, 30),
      }),
      fc.constantFrom(0.17, 1.9, 8),
      (seen, hoursStood) => {
        const before = [...RUNS, jar(50, seen), entryAt(60, 'bleed', { sump: 'oil', drawnMl: 20, waterMl: 5 })];
        const clean = jar(70, { clarity: 'bright', freeWaterMl: 0, creamMl: 0, particles: 'none', hoursStood });
        const rank = (entries: Entry[]) => VERDICT_LEVELS.indexOf(judged(entries).verdict);
        expect(rank([...before, clean])).toBe(rank(before));
      },
    ),
  );
});

test('what is read in which order makes no difference: two readings in either order, or both at once', () => {
  const readings: Seen[] = [
    { clarity: 'cloudy' },
    { particles: 'many' },
    { smell: 'sour' },
    { freeWaterMl: 30 },
    { colour: 4 },
    { foam: 'stays' },
    { level: 'low' },
    { sludgeMl: 8 },
  ];
  const verdict = (...looks: Seen[]) => {
    const found = judged([...RUNS, ...looks.map((seen, i) => lookAt(50 + i, { hoursStood: 12, ...seen }))]);
    return [found.verdict, [...found.codes].sort()];
  };
  for (const a of readings)
    for (const b of readings) {
      if (a === b) continue;
      expect(verdict(a, b)).toEqual(verdict(b, a));
      expect(verdict(a, b)).toEqual(verdict({ ...a, ...b }));
    }
});

// A litre of oil, a sample of 100 mL from the bottom: where water sinks its free water was taken out, where it floats it is a share of all.
test.each([
  ['3 mL, 3 % of PFPE', 1890, 3, 'lookSooner'],
  ['6 mL, 6 % of PFPE', 1890, 6, 'beforeNextRun'],
  ['12 mL, 12 % of PFPE', 1890, 12, 'stop'],
  ['1 mL, 1 % of PFPE', 1890, 1, 'runOn'],
  ['12 mL of 1,000 of an oil that is lighter', 870, 12, 'runOn'],
] as const)('a sample at rest with %s', (_what, densityKgM3, freeWaterMl, level) => {
  const versions = versionsOf().map((v) => {
    if (v.subjectId === 'oil-a') return { ...v, body: { ...v.body, densityKgM3 } };
    if (v.kind !== 'pumpModel' || v.subjectId !== 'vane') return v;
    return { ...v, body: { ...v.body, sumps: [{ ...v.body.sumps[0], chargeMl: 1000, housingMl: 1500 }] } };
  });
  const own = setUpBook(versions as SetUpVersion[]);
  const look = lookAt(40, {
    source: 'sample',
    drawn: 'atRest',
    lookedAtMl: 100,
    hoursStood: 48,
    freeWaterMl,
    level: 'right',
  });
  const filled = entryAt(1, 'change', {
    sump: 'oil',
    productId: 'oil-a',
    outMl: null,
    inMl: 1000,
    levelAfter: 'right',
  });
  const state = rebuild({ pumpId: 'p1', entries: [filled, runAt(10, 5, 'any-empty'), look], book: own });
  expect(state.sumps[0]?.findings.find(({ code }) => code === 'water')?.level ?? 'runOn').toBe(level);
});

test.each([
  ['PFPE', { base: 'pfpe', densityKgM3: 1890 }, true],
  ['an ester heavier than water', { base: 'ester', densityKgM3: 1010 }, true],
  ['a light ester', { base: 'ester', densityKgM3: 960 }, false],
] as const)('in %s the water lies where its density puts it, whatever the base', (_what, body, floats) => {
  const versions = versionsOf().map((v) => (v.subjectId === 'oil-b' ? { ...v, body: { ...v.body, ...body } } : v));
  const heavy = setUpBook(versions as SetUpVersion[]);
  const setUp = heavy.pumpAt({ pumpId: 'p1', instant: at(10) })!;
  // Filled with oil B, though the set-up still names oil A.
  const state = rebuild({ pumpId: 'p1', entries: [changeAt(1, 'oil-b')], book: heavy });
  expect(holdsDenserOil(state, setUp, 'oil')).toBe(floats);
});
