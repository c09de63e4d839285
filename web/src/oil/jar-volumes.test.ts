import fc from 'fast-check';
import {
  edgeMl,
  mlAtEdge,
  mlOf,
  NO_LAYERS,
  scaleStepMl,
  setLayer,
  spread,
  surplusMl,
  withOil,
  type SetLayer,
} from './jar-volumes.js';

const JAR = { totalMl: 349, denser: false, by: 'edge' as const };
const KINDS: readonly SetLayer[] = ['sludge', 'water', 'cream', 'hazy'];
const READ = { sludgeMl: 17, waterMl: 62, creamMl: 40, hazyMl: 230 };

test('a layer grows at the cost of what lies above it, the nearest first', () => {
  expect(setLayer({ ...JAR, layers: READ, kind: 'water', ml: 70 })).toEqual({ ...READ, waterMl: 70, creamMl: 32 });
  expect(setLayer({ ...JAR, layers: READ, kind: 'water', ml: 110 })).toEqual({
    ...READ,
    waterMl: 110,
    creamMl: 0,
    hazyMl: 222,
  });
});

test('an amount that is said leaves what was said of the others, while there is clear oil', () => {
  const said = { sludgeMl: 0, waterMl: 38, creamMl: 20, hazyMl: 100 };
  const amount = { totalMl: 349, denser: false, by: 'amount' as const, layers: said };
  expect(setLayer({ ...amount, kind: 'sludge', ml: 6 })).toEqual({ ...said, sludgeMl: 6 });
  // 191 mL of clear oil are not enough: the hazy oil gives next.
  expect(setLayer({ ...amount, kind: 'sludge', ml: 200 })).toEqual({ ...said, sludgeMl: 200, hazyMl: 91 });
  expect(setLayer({ ...amount, kind: 'water', ml: 30 })).toEqual({ ...said, waterMl: 30 });
});

test('it shrinks in favour of the nearest layer that is there, else the clear oil', () => {
  expect(setLayer({ ...JAR, layers: READ, kind: 'water', ml: 60 })).toEqual({ ...READ, waterMl: 60, creamMl: 42 });
  const water = { ...NO_LAYERS, waterMl: 30 };
  expect(setLayer({ ...JAR, layers: water, kind: 'water', ml: 10 })).toEqual({ ...NO_LAYERS, waterMl: 10 });
});

test('on oil denser than water the water floats, and takes from below', () => {
  const floating = { ...NO_LAYERS, waterMl: 20, creamMl: 5 };
  expect(setLayer({ totalMl: 200, denser: true, by: 'edge', layers: floating, kind: 'water', ml: 23 })).toEqual({
    ...floating,
    waterMl: 23,
    creamMl: 2,
  });
  expect(edgeMl(floating, 'water', 200, true)).toBe(180);
  expect(mlAtEdge(floating, 'water', 170, 200, true)).toBe(30);
});

const jars = fc.record({
  layers: fc.record({
    sludgeMl: fc.integer({ min: 0, max: 50 }),
    waterMl: fc.integer({ min: 0, max: 100 }),
    creamMl: fc.integer({ min: 0, max: 60 }),
    hazyMl: fc.integer({ min: 0, max: 90 }),
  }),
  kind: fc.constantFrom(...KINDS),
  ml: fc.integer({ min: -50, max: 900 }),
  denser: fc.boolean(),
  by: fc.constantFrom('edge' as const, 'amount' as const),
});

test('whatever is set, the layers add up to what was drained and none is less than nothing', () => {
  fc.assert(
    fc.property(jars, ({ layers, kind, ml, denser, by }) => {
      const after = setLayer({ layers, kind, ml, totalMl: 349, denser, by });
      const { oilMl, ...rest } = withOil(after, 349);
      expect(Object.values(rest).every((v) => v >= 0)).toBe(true);
      expect(oilMl + Object.values(rest).reduce((a, b) => a + b, 0)).toBeCloseTo(349, 6);
      expect(surplusMl(after, 349)).toBeLessThan(1e-6);
    }),
  );
});

test('an edge that is dragged to a place stands there', () => {
  fc.assert(
    fc.property(jars, fc.integer({ min: 0, max: 349 }), ({ layers, kind, denser }, edge) => {
      const ml = mlAtEdge(layers, kind, edge, 349, denser);
      const after = setLayer({ layers, kind, ml, totalMl: 349, denser, by: 'edge' });
      if (mlOf(after, kind) === ml && ml > 0) expect(edgeMl(after, kind, 349, denser)).toBeCloseTo(edge, 6);
    }),
  );
});

test('layers that are more than the jar are said', () => {
  expect(surplusMl(READ, 300)).toBe(49);
  expect(withOil(READ, 300).oilMl).toBe(0);
});

test('labels keep apart and inside', () => {
  expect(spread([10, 12, 300], 40, 20, 320)).toEqual([20, 60, 300]);
  expect(spread([300, 310, 315], 40, 0, 320)).toEqual([240, 280, 320]);
});

test('a scale of about a dozen round ticks', () => {
  expect([100, 400, 500, 1000, 5000].map(scaleStepMl)).toEqual([10, 50, 50, 100, 500]);
});
