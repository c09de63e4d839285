import type { FilterMedia } from '../set-up/index.js';
import { FILTER_MEDIA, filterAsItStands, filterForecast, filterMediaOf, ownRateShare } from './filter-media.js';
import type { Part } from './part.js';

const PAPER: FilterMedia = { name: 'P', kind: 'paper', holdUpMl: 180, rateMlPerH: 120, lifeL: 10, lifeSludgeMl: 60 };
const held = (ml: number): Part[] =>
  ml > 0 ? [{ phase: 'oil', lot: null, productId: 'oil-a', rounds: 1, passes: 0, uL: ml * 1000 }] : [];
const state = (heldMl: number, passedL = 0, sludgeMl = 0) => ({
  ...{ held: held(heldMl), passedUL: passedL * 1e6, sludgeUL: sludgeMl * 1000 },
});

/**
 * By hand: rate = 120 · 100/ν · (1 - solids) · (0.3 dry). 500 mL of 200 mm²/s: dry 500 / 18 = 27.8 h, wet 500 / 60 = 8.33 h;
 * warm oil of 50 mm²/s 500 / 240 = 2.08 h; half clogged 500 / 30 = 16.7 h.
 */
test.each([
  ['dry: the first pass takes overnight', state(0), 200, 320, 27.78, 180],
  ['nothing known of it yet', null, 200, 320, 27.78, 180],
  ['wet: faster', state(180), 200, 500, 8.33, 0],
  ['wet and warm', state(180), 50, 500, 2.083, 0],
  ['half clogged', state(180, 2, 30), 200, 500, 16.67, 0],
  ['clogged: it still drips', state(180, 2, 90), 200, 500, 166.7, 0],
] as const)('%s', (_name, media, viscosityMm2s, throughMl, hours, drinksMl) => {
  const found = filterForecast({ media: PAPER, state: media, ml: 500, viscosityMm2s });
  expect(found.throughMl).toBe(throughMl);
  expect(found.drinksMl).toBe(drinksMl);
  expect(found.hours).toBeCloseTo(hours, hours > 100 ? 1 : 2);
});

// With one pass as estimated among them: r = expected / taken, the (n + 1)th root of their product, within 1/8 and 8.
test.each([
  ['nobody timed it', [], 1],
  ['twice as long, once: 0.5^(1/2)', [[4, 2]], 0.7071],
  [
    'twice as long, three times: 0.5^(3/4)',
    [
      [4, 2],
      [8, 4],
      [2, 1],
    ],
    0.5946,
  ],
  [
    'one odd among four as expected: 10^(-1/6)',
    [
      [2, 2],
      [2, 2],
      [20, 2],
      [2, 2],
      [2, 2],
    ],
    0.6813,
  ],
  ['a hundred times as long, five times', Array.from({ length: 5 }, () => [100, 1]), 0.125],
  ['what is no time counts for nothing', [[0, 2]], 1],
] as const)('own rate: %s', (_, passes, share) => {
  const timed = passes.map(([hours = 0, expectedHours = 0]) => ({ hours, expectedHours }));
  expect(ownRateShare(timed)).toBeCloseTo(share, 4);
});

test('a filter that was timed runs as it was timed, by the oil and the media of then', () => {
  // VG-less oil: 215 mm²/s. 430 mL dry: 430 / (120 · 100/215 · 0.3) = 25.68 h; it took 12.84 h: twice as fast, once: 2^(1/2).
  const pass = { pouredUL: 430_000, heldUL: 0, sludgeUL: 0 };
  const timed = [{ ...pass, hours: 12.84, productId: 'none' }];
  const media = { mediaId: 'own', since: '', holdUpUL: 180_000, ...state(180), waterUL: 0, pass: null, timed };
  const house = { oilProduct: {}, filterMedia: { own: PAPER } };
  const asIs = { container: {}, productId: null, house, ml: 430 };
  // Wet now: 430 / 55.81 = 7.704 h, and 7.704 / 1.4142.
  expect(filterAsItStands({ ...asIs, state: { media: { ...media, timed: [] } } })?.hours).toBeCloseTo(7.704, 2);
  expect(filterAsItStands({ ...asIs, state: { media } })?.hours).toBeCloseTo(5.448, 2);
});

test('its life: by litres or by what clogs it, whichever comes first', () => {
  const at = (passedL: number, sludgeMl: number) =>
    filterForecast({ media: PAPER, state: state(180, passedL, sludgeMl), ml: 0, viscosityMm2s: 100 });
  expect(at(4, 0)).toMatchObject({ load: 0.4, litresLeft: 6 });
  // 30 of 60 mL came with 4 L: 4 L more.
  expect(at(4, 30)).toMatchObject({ load: 0.5, litresLeft: 4 });
  expect(at(12, 0)).toMatchObject({ load: 1.2, litresLeft: 0 });
  expect(at(3, 70).load).toBeCloseTo(70 / 60, 6);
});

test('less than it drinks: nothing comes through', () => {
  expect(filterForecast({ media: PAPER, state: state(50), ml: 100, viscosityMm2s: 100 })).toMatchObject({
    ...{ drinksMl: 130, throughMl: 0, wet: false },
  });
});

test('what is no viscosity or no volume is refused by name', () => {
  const one = { media: PAPER, state: null, ml: 1, viscosityMm2s: 100 };
  expect(() => filterForecast({ ...one, viscosityMm2s: 0 })).toThrow(/viscosityMm2s/);
  expect(() => filterForecast({ ...one, ml: Number.NaN })).toThrow(/ml/);
});

test('one’s own media come before the library’s, and an odd id finds nothing', () => {
  const own = { 'paper-gravity': PAPER };
  expect(filterMediaOf({ id: 'paper-gravity', own })).toBe(PAPER);
  expect(filterMediaOf({ id: 'spin-on', own })).toBe(FILTER_MEDIA['spin-on']);
  for (const id of ['constructor', '', null, undefined]) expect(filterMediaOf({ id, own })).toBeNull();
});
