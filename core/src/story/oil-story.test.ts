import { bookOf, changeAt, entryAt, lookAt, runAt } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { chargeTrends, oilStory } from './oil-story.js';
import { refoldPump } from '../fold/index.js';
import { initialState } from '../fold/first-state.js';

const story = (entries: Entry[]) => oilStory({ pumpId: 'p1', entries, book: bookOf() });

test('looks and bleeds stand at the runs of their charge, with the water found so far and the verdict after them', () => {
  const [first, second, ...more] = story([
    changeAt(1),
    lookAt(2, { colour: 1 }),
    runAt(10, 20, 'fd-meat'),
    entryAt(40, 'bleed', { sump: 'oil', drawnMl: 30, waterMl: 12 }),
    runAt(50, 20),
    lookAt(80, { colour: 2.5, freeWaterMl: 6, level: 'low' }),
    changeAt(90, 'oil-b'),
    runAt(100, 20),
    lookAt(130, { clarity: 'bright' }),
  ]);
  expect(more).toEqual([]);
  expect(first).toMatchObject({ number: 1, runs: 2, productId: 'oil-a', startColour: 1, weightMilli: 3550 });
  expect(first?.points.map((p) => [p.runs, p.weightMilli, p.colour, p.waterUl, p.verdict])).toEqual([
    [0, 0, 1, null, 'runOn'],
    [1, 2550, null, 12_000, 'runOn'],
    [2, 3550, 2.5, 18_000, 'beforeNextRun'],
  ]);
  expect(second).toMatchObject({ number: 2, until: null, runs: 1, productId: 'oil-b', points: [{ waterUl: null }] });
});

test('a story from a kept state tells the later charges as the whole one does', () => {
  const entries = Array.from({ length: 6 }, (_, i) => [
    changeAt(1 + i * 100),
    runAt(10 + i * 100, 20),
    lookAt(40 + i * 100, { colour: 1 + i / 2 }),
  ]).flat();
  const book = bookOf();
  const { checkpoints } = refoldPump({ from: initialState('p1'), entries, book });
  const kept = checkpoints.filter((c) => c.endedPeriod !== null).at(2);
  const from = kept?.state;
  if (!from?.last) throw new Error('no state was kept');
  const lastId = from.last.id;
  const later = entries.slice(entries.findIndex((e) => e.id === lastId) + 1);
  expect(oilStory({ from, pumpId: 'p1', entries: later, book }).slice(-3)).toEqual(story(entries).slice(-3));
});

/** Charges whose water per weighted run rises: 2, 3, 4 … mL in two runs of weight 1. */
const rising = (count: number) =>
  Array.from({ length: count }, (_, i) => [
    changeAt(1 + i * 100),
    lookAt(2 + i * 100, { colour: 1 }),
    runAt(10 + i * 100, 20),
    runAt(40 + i * 100, 20),
    lookAt(80 + i * 100, { colour: 1.5, freeWaterMl: 4 + 2 * i }),
  ]).flat();

test('worse from charge to charge is a tested trend over ended charges, per weighted run', () => {
  const [water, colour] = chargeTrends(story(rising(7)));
  expect(water).toMatchObject({ measure: 'waterMl', trend: { n: 6, s: 15, slope: 1, verdict: 'rising' } });
  expect(water?.values.map((v) => v.value)).toEqual([2, 3, 4, 5, 6, 7]);
  expect(colour).toMatchObject({ measure: 'colourRise', trend: { n: 6, s: 0, verdict: 'none' } });
  expect(colour?.own?.usual).toBe(0.25);
});

test('with few charges it says so, and has no limit of its own', () => {
  const [water] = chargeTrends(story(rising(4)));
  expect(water).toMatchObject({ trend: { n: 3, verdict: 'tooFew' }, own: null });
});

test('what laboratories found is told per charge: iron by the hour, silicon as it was', () => {
  const charge = (i: number): Entry[] => {
    const from = i * 300;
    const sample = entryAt(from + 120, 'labSample', { sump: 'oil', drawnMl: 100 });
    return [
      changeAt(from + 1),
      runAt(from + 10, 100),
      sample,
      entryAt(from + 130, 'labResult', {
        sampleId: sample.id,
        ironPpm: 4 + 2 * i,
        siliconPpm: 5,
        acidMgKohG: 0.4,
        count6PerMl: 1000 * 2 ** i,
        count14PerMl: 50,
      }),
    ];
  };
  const trends = chargeTrends(story([0, 1, 2, 3, 4, 5, 6].flatMap(charge)));
  const of = (measure: string) => trends.find((t) => t.measure === measure);
  // 4, 6, 8 … ppm in 100 h each; the charge that goes on is left out.
  expect(of('ironPpmPer100h')?.values.map((v) => v.value)).toEqual([4, 6, 8, 10, 12, 14]);
  expect(of('ironPpmPer100h')?.trend).toMatchObject({ n: 6, slope: 2, verdict: 'rising' });
  expect(of('siliconPpm')?.trend).toMatchObject({ n: 6, verdict: 'none' });
  // 1,000 per mL at 6 µm is class 17, and twice as many one class more.
  expect(of('particleClass')?.values.map((v) => v.value)).toEqual([17, 18, 19, 20, 21, 22]);
  // The set-up of this oil does not say what is new: nothing is told.
  expect(of('acidRise')?.values).toEqual([]);
});
