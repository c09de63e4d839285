import type { Entry, EntryBodies } from '../journal/index.js';
import { AS_NEW, buildOfSetUp, NO_LOAD, seededRandom, SimulatedPump, simulatePump } from '../simulate/index.js';
import { rebuild } from '../fold/index.js';
import { at, bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import { waterStory } from './water-story.js';

const book = bookOf();
const story = (entries: Entry[], pumpId = 'p1') =>
  waterStory({ pumpId, entries, state: rebuild({ pumpId, entries, book }), book, now: at(9000) });
const told = (entries: Entry[]) => story(entries)!;
/** 30 h on 6 m³/h with the trap at -40 °C: 17.1 g past it. */
const wet = (hours: number, body: Partial<EntryBodies['run']> = {}) =>
  runAt(hours, 30, 'any-empty', { body: { trapTempC: -40, ...body } });
const bleed = (hours: number, waterMl: number) =>
  entryAt(hours, 'bleed', { sump: 'oil', drawnMl: waterMl + 10, waterMl });
const glass = (hours: number, freeWaterMl: number) => lookAt(hours, { hoursStood: 10, freeWaterMl });

test('found is what was bled, drawn with samples and stands in the glass; cream counts half', () => {
  const { found, budget } = told([
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
  const before = told([changeAt(1), wet(10), bleed(45, 17)]);
  const after = told([changeAt(1), wet(10), bleed(45, 17), wet(50)]);
  expect(after.runs).toHaveLength(2);
  expect(after.runsSeen).toBe(1);
  expect(after.budget).toEqual(before.budget);
});

test('the jar of a bleed takes the place of what was said when it was drawn', () => {
  const jar = lookAt(60, { source: 'bleed', lookedAtMl: 30, hoursStood: 20, freeWaterMl: 12 });
  expect(told([changeAt(1), wet(10), bleed(45, 20), jar]).found.bledUl).toBe(12_000);
});

test('what cannot be estimated says why: an unknown charge, a trap nobody read, no source', () => {
  expect(told([wet(10), bleed(45, 17)]).budget.says).toBe('notEstimated');
  const untold = told([changeAt(1), runAt(10, 30), bleed(45, 17)]);
  expect(untold.runs[0]?.water).toEqual({ ok: false, why: 'trapTempMissing' });
  expect(untold.budget.says).toBe('notEstimated');
  const line = told([changeAt(1), runAt(10, 9, 'vp-meat', { equipmentId: 'line', body: { cycles: 2000 } })]);
  expect(line.runs[0]?.water).toEqual({ ok: false, why: 'chamberVolumeMissing' });
  expect(story([], 'd1')).toBeNull();
});

test('an excess is called one well outside the interval, with hints from its runs and numbers that exclude a leak', () => {
  const body = { trapTempC: -50, lowestPressurePa: 5, defrostedBefore: 'yes' as const };
  const runs = [changeAt(1), wet(10, body), wet(50, body)];
  expect(told([...runs, glass(90, 12)]).budget.says).toBe('asExpected');
  const { budget, hints } = told([...runs, glass(90, 60)]);
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

/** Oil, a run of 17.1 g past the trap, and a look. */
const charge = (hours: number, foundMl: number) => [changeAt(hours), wet(hours + 5), glass(hours + 50, foundMl)];

test('a trap that lets past twice as much as it should is known after four charges, and the fifth is expected by it', () => {
  const four = [1, 101, 201, 301].flatMap((h) => charge(h, 34));
  // The fourth has three before it.
  expect(told(four).fit).toEqual({ ok: false, why: 'tooFewSegments', segments: 3 });
  const fifth = told([...four, ...charge(401, 34)]);
  expect(fifth.fit).toMatchObject({ ok: true, knowsEnough: true, segments: 4 });
  expect(fifth.budget).toMatchObject({ basis: 'fit', says: 'asExpected' });
  expect(fifth.budget.expectedMl! / 34).toBeCloseTo(1, 1);
});

test('what a charge is expected to hold is one figure: verdict, budget, and run by run', () => {
  const four = [1, 101, 201, 301].flatMap((h) => charge(h, 34));
  const entries = [...four, ...charge(401, 90)];
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { budget, runs } = told(entries);
  const found = state.sumps[0]!.findings.find((f) => f.code === 'waterAboveExpected');
  expect(found).toMatchObject({ foundUl: 90_000, expectedUl: Math.round(budget.expectedMl! * 1000) });
  expect(state.sumps[0]!.charge.expectedWaterUl).toBe(budget.expectedMl! * 1000);
  expect(runs[0]?.water).toMatchObject({ leftG: expect.closeTo(budget.expectedMl! * 0.998, 1) as number });
});

// By hand, of 700 mL: 46 mL lie free in a jar of 340 and 18 mL are cream, 37.1 in the charge; half of that is water: 46 + 18.5.
test('what was found is one figure too, also where a small sample stands for the charge', () => {
  const jar = lookAt(90, {
    source: 'sample',
    lookedAtMl: 340,
    hoursStood: 60,
    jarTempC: 25,
    freeWaterMl: 46,
    creamMl: 18,
  });
  const entries = [changeAt(1), wet(10), jar];
  const state = rebuild({ pumpId: 'p1', entries, book });
  const found = state.sumps[0]!.findings.find((f) => f.code === 'waterAboveExpected');
  expect(told(entries).budget.foundMl).toBeCloseTo(64.5, 1);
  expect(found).toMatchObject({ foundUl: told(entries).budget.foundMl * 1000 });
});

test('a take-over that found a logged charge leaves its water as it was', () => {
  const logged = [changeAt(1), wet(5), wet(60)];
  const taken = entryAt(100, 'takeOver', {});
  const plain = told([...logged, glass(120, 30)]);
  const after = told([...logged, taken, glass(120, 30)]);
  expect(after.runs).toHaveLength(2);
  expect(after.budget).toEqual(plain.budget);
  // Of runs that were only told of nobody knows the water.
  expect(told([...logged, entryAt(100, 'takeOver', { runsSince: 4 }), glass(120, 30)]).budget.says).toBe(
    'notEstimated',
  );
});

test('runs on another set, a purge and oil of unknown age teach nothing about the trap', () => {
  const line = runAt(20, 5, 'any-empty', { equipmentId: 'line', body: { cycles: 100 } });
  const purge = entryAt(40, 'done', { task: 'purge' });
  const segments = (entries: Entry[]) => {
    const { fit } = told(entries);
    return fit && !fit.ok ? fit.segments : null;
  };
  expect(segments([changeAt(1), wet(5), glass(50, 17)])).toBe(1);
  expect(segments([changeAt(1), wet(5), line, glass(50, 17)])).toBe(0);
  expect(segments([changeAt(1), wet(5), purge, glass(50, 17)])).toBe(0);
  expect(segments([wet(5), glass(50, 17)])).toBe(0);
  // What came out with the change is the end of its stretch, once its jar is read.
  const drained = lookAt(60, { source: 'drained', lookedAtMl: 650, hoursStood: 50, freeWaterMl: 17 });
  expect(segments([changeAt(1), wet(5), changeAt(55)])).toBe(0);
  expect(segments([changeAt(1), wet(5), changeAt(55), drained])).toBe(1);
});

describe('on a simulated pump', () => {
  const HOUR_S = 3600;
  const life = (trapWarmerK: number, meltwater?: { fromRun: number; ml: number }) =>
    simulatePump({
      profile: {
        pumpId: 'p1',
        runsPerWeek: 2.5,
        shift: [6, 12],
        hours: 30,
        materials: ['fd-paper-wet'],
        ballast: 'closed',
        trapTempC: [-48, -38],
        condition: { trapWarmerK },
        ...(meltwater ? { meltwater } : {}),
        diligence: 1,
        looksEveryRuns: 2,
      },
      book,
      from: at(0),
      until: at(30 * 7 * 24),
      random: seededRandom(5),
    });

  /** What S·p over ice lets past (Magnus form: WMO, 2018, guide no. 8, annex 4.B) over what the machine swallows. */
  function factorOfMachine(trapWarmerK: number): number {
    const swallowed = [-48, -46, -44, -42, -40, -38].map((trapC) => {
      const setUp = book.pumpAt({ pumpId: 'p1', instant: at(0) })!;
      const machine = new SimulatedPump(buildOfSetUp(setUp, { trapC }), { ...AS_NEW, trapWarmerK });
      machine.begin({ ...NO_LOAD, waterG: 4500 });
      machine.advance(30 * HOUR_S, { running: true, inlet: 'chamber', ballast: 'closed' });
      const icePa = 611.2 * Math.exp((22.46 * trapC) / (272.62 + trapC));
      return [(icePa * 6 * 30 * 18.015) / (8.3145 * 293.15), machine.oil.waterMl];
    });
    const sum = (i: 0 | 1) => swallowed.reduce((total, of) => total + of[i]!, 0);
    return sum(0) / sum(1);
  }

  test.each([0, 3, 7])('of a trap that is %d K warmer than its display the factor is found out', (trapWarmerK) => {
    const { fit, budget } = told(life(trapWarmerK));
    expect(fit).toMatchObject({ ok: true, knowsEnough: true });
    const truth = factorOfMachine(trapWarmerK);
    // A bleed leaves a tenth or so behind, and the factor is that of what is caught.
    if (fit?.ok) {
      expect(fit.low).toBeLessThan(truth * 1.15);
      expect(fit.high).toBeGreaterThan(truth);
    }
    expect(budget.basis).toBe('fit');
  });

  test('20 mL of meltwater a run is noticed', () => {
    const entries = life(3, { fromRun: 60, ml: 20 });
    const runs = entries.flatMap((e, i) => (e.kind === 'run' ? [i] : []));
    const noticed = entries.some(
      (e, i) =>
        i > (runs[60] ?? 0) &&
        i < (runs[62] ?? 0) &&
        (e.kind === 'bleed' || e.kind === 'look') &&
        told(entries.slice(0, i + 1)).budget.says === 'more',
    );
    expect(noticed).toBe(true);
  });
});
