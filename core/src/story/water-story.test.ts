import type { Entry, EntryBodies } from '../journal/index.js';
import { seededRandom, simulatePump } from '../simulate/index.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { waterStory } from './water-story.js';

const book = bookOf();
const story = (entries: Entry[]) => waterStory({ pumpId: 'p1', entries, book, now: at(9000) })!;
/** 30 h on 6 m³/h with the trap at -40 °C: 17.1 g past it. */
const wet = (hours: number, body: Partial<EntryBodies['run']> = {}) =>
  runAt(hours, 30, 'any-empty', { body: { trapTempC: -40, ...body } });
const bleed = (hours: number, waterMl: number) =>
  entryAt(hours, 'bleed', { sump: 'oil', drawnMl: waterMl + 10, waterMl });
const glass = (hours: number, freeWaterMl: number) => lookAt(hours, { hoursStood: 10, freeWaterMl });

test('found is what was bled, drawn with samples and stands in the glass; cream counts half', () => {
  const { found, budget } = story([
    changeAt(1),
    wet(10),
    bleed(45, 15),
    wet(50),
    lookAt(85, { source: 'sample', lookedAtMl: 200, hoursStood: 50, freeWaterMl: 4, creamMl: 6 }),
    glass(90, 9),
  ]);
  expect(found).toEqual({ bledUl: 15_000, sampledUl: 7000, standingUl: 9000 });
  expect(budget.foundMl).toBe(31);
  expect(budget.expectedMl).toBeCloseTo(34.2, 0);
});

test('only runs that were over at the last look count; the next one is not yet missing', () => {
  const before = story([changeAt(1), wet(10), bleed(45, 17)]);
  const after = story([changeAt(1), wet(10), bleed(45, 17), wet(50)]);
  expect(after.runs).toHaveLength(2);
  expect(after.runsSeen).toBe(1);
  expect(after.budget).toEqual(before.budget);
});

test('the jar of a bleed takes the place of what was said when it was drawn', () => {
  const jar = lookAt(60, { source: 'bleed', lookedAtMl: 30, hoursStood: 20, freeWaterMl: 12 });
  expect(story([changeAt(1), wet(10), bleed(45, 20), jar]).found.bledUl).toBe(12_000);
});

test('what cannot be estimated says why: an unknown charge, a trap nobody read, no source', () => {
  expect(story([wet(10), bleed(45, 17)]).budget.says).toBe('notEstimated');
  const untold = story([changeAt(1), runAt(10, 30), bleed(45, 17)]);
  expect(untold.runs[0]?.water).toEqual({ ok: false, why: 'trapTempMissing' });
  expect(untold.budget.says).toBe('notEstimated');
  const line = story([changeAt(1), runAt(10, 9, 'vp-meat', { equipmentId: 'line', body: { cycles: 2000 } })]);
  expect(line.runs[0]?.water).toEqual({ ok: false, why: 'chamberVolumeMissing' });
  expect(waterStory({ pumpId: 'd1', entries: [], book, now: at(10) })).toBeNull();
});

test('an excess is called one well outside the interval, with hints from its runs and numbers that exclude a leak', () => {
  const body = { trapTempC: -50, lowestPressurePa: 5, defrostedBefore: 'yes' as const };
  const runs = [changeAt(1), wet(10, body), wet(50, body)];
  expect(story([...runs, glass(90, 12)]).budget.says).toBe('asExpected');
  const { budget, hints } = story([...runs, glass(90, 60)]);
  expect(budget.says).toBe('more');
  expect(budget.unexplainedLowMl).toBeGreaterThan(0);
  expect(hints.map((h) => h.code)).toEqual(['meltwater', 'warmTrap', 'leak']);
  // By the trade's figure, 17 g in 30 h hold it near 11.2 hPa: 49.7 mL in 60 h are 1.46 times that, 16.4 hPa.
  expect(hints.find((h) => h.code === 'leak')).toMatchObject({
    chamberHpa: expect.closeTo(16.4, 0) as number,
    reachedHpa: 0.05,
    excluded: true,
  });
  // From -50 to about -34 °C the vapour over ice rises 5.8 times.
  const warm = hints.find((h) => h.code === 'warmTrap');
  expect(warm?.warmerK).toBeGreaterThan(14);
  expect(warm?.warmerK).toBeLessThan(18);
});

test('a pump that was borrowed to the same trap teaches about it too', () => {
  const stretch = (hours: number, pumpId: string) => [
    entryAt(hours, 'change', { sump: 'oil', productId: 'oil-a', outMl: 1, inMl: 700, levelAfter: 'right' }, { pumpId }),
    runAt(hours + 5, 30, 'any-empty', { pumpId, body: { trapTempC: -40 } }),
    entryAt(hours + 50, 'look', { sump: 'oil', source: 'sightGlass', hoursStood: 10, freeWaterMl: 34 }, { pumpId }),
  ];
  const own = [1, 101].flatMap((h) => stretch(h, 'p1'));
  const others = [201, 301, 401].flatMap((h) => stretch(h, 'b1'));
  const told = { pumpId: 'p1', entries: own, book, now: at(9000) };
  expect(waterStory(told)?.fit).toEqual({ ok: false, why: 'tooFewSegments', segments: 2 });
  const fit = waterStory({ ...told, otherPumps: [{ pumpId: 'b1', entries: others }] })?.fit;
  expect(fit).toMatchObject({ ok: true, segments: 5 });
});

describe('on a simulated pump', () => {
  const life = (efficiency: number, meltwater?: { fromRun: number; ml: number }) =>
    simulatePump({
      profile: {
        pumpId: 'p1',
        runsPerWeek: 2.5,
        intervalCv: 0.4,
        hours: { mean: 30, cv: 0.2 },
        materials: ['fd-paper-wet'],
        ballast: 'closed',
        trapTempC: [-48, -38],
        trap: { efficiency, ...(meltwater ? { meltwater } : {}) },
        pressurePa: [3, 40],
        waterMlPerRun: 0,
        darkeningPerRun: 0.05,
        diligence: 1,
        looksEveryRuns: 2,
      },
      book,
      from: at(0),
      until: at(30 * 7 * 24),
      random: seededRandom(5),
    });

  test.each([0.5, 0.75, 0.95])('a trap of efficiency %d is found out', (efficiency) => {
    const { fit, budget } = story(life(efficiency));
    expect(fit).toMatchObject({ ok: true, knowsEnough: true });
    if (fit?.ok) {
      expect(fit.low).toBeLessThan(efficiency * 1.03);
      expect(fit.high).toBeGreaterThan(efficiency * 0.97);
    }
    expect(budget.basis).toBe('fit');
  });

  test('20 mL of meltwater a run is noticed', () => {
    const entries = life(0.75, { fromRun: 60, ml: 20 });
    const runs = entries.flatMap((e, i) => (e.kind === 'run' ? [i] : []));
    const noticed = entries.some(
      (e, i) =>
        i > (runs[60] ?? 0) &&
        i < (runs[62] ?? 0) &&
        (e.kind === 'bleed' || e.kind === 'look') &&
        story(entries.slice(0, i + 1)).budget.says === 'more',
    );
    expect(noticed).toBe(true);
  });
});
