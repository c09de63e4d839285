import type { JarSeen } from '@winter-jar/core';
import { halfWidthAt } from './jar-outline.js';
import { jarSizeMl, layersOf, placeLayers } from './jar-layout.js';

const layer = (kind: 'water' | 'oil' | 'sludge', ml: number) => ({ kind, ml, tint: '#fff' });

test('layers are to scale in the smallest jar that holds them', () => {
  expect(jarSizeMl(340)).toBe(500);
  const placed = placeLayers([layer('water', 100), layer('oil', 300)], 1000);
  const perMl = (placed[1]?.height ?? 0) / 300;
  expect((placed[0]?.height ?? 0) / 100).toBeCloseTo(perMl, 6);
  expect(placed[1]?.bottom).toBeCloseTo(placed[0]?.height ?? 0, 6);
  expect(placed[0]!.height + placed[1]!.height).toBeLessThan(1000);
});

test('a layer that exists is at least 2 px high, the largest gives way, an absent one is not drawn', () => {
  const placed = placeLayers([layer('sludge', 0.5), layer('water', 0), layer('oil', 480)], 30);
  expect(placed.map((l) => l.kind)).toEqual(['sludge', 'oil']);
  expect(placed[0]?.height).toBe(2);
  expect(placed[0]!.height + placed[1]!.height).toBeCloseTo(((480.5 * 30) / 500) * 0.86, 6);
});

test('an empty jar has no layers', () => {
  expect(placeLayers([], 100)).toEqual([]);
  expect(layersOf(null, 700)).toEqual([]);
});

test('a sight glass shows the whole charge, a jar what is in it; haze is a layer of its own', () => {
  const seen: JarSeen = {
    entryId: 'e',
    at: '',
    source: 'sightGlass',
    oilUl: 0,
    sludgeUl: 0,
    waterUl: 20_000,
    waterRead: true,
    creamUl: 0,
    hazyUl: 0,
    photoId: null,
    colour: 3,
    clarity: 'hazy',
    level: null,
    hoursStood: 8,
    waterFloats: false,
  };
  expect(layersOf(seen, 700).map((l) => [l.kind, l.ml])).toEqual([
    ['sludge', 0],
    ['water', 20],
    ['cream', 0],
    ['hazy', 680],
    ['oil', 0],
  ]);
  // In an oil denser than water the water stands on top.
  expect(
    layersOf({ ...seen, waterFloats: true }, 700)
      .filter((l) => l.ml > 0)
      .map((l) => l.kind),
  ).toEqual(['hazy', 'water']);
  expect(
    layersOf({ ...seen, source: 'sample', oilUl: 294_000, clarity: 'bright' }, 700).map((l) => [l.kind, l.ml]),
  ).toEqual([
    ['sludge', 0],
    ['water', 20],
    ['cream', 0],
    ['hazy', 0],
    ['oil', 294],
  ]);
});

test('the wall of a cone is as wide as its volume says, and goes straight on above what it holds', () => {
  const cone = {
    name: 'Cone',
    points: [
      { heightMm: 0, ml: 0 },
      { heightMm: 100, ml: 100 },
      { heightMm: 200, ml: 500 },
    ],
  };
  // 1 mL/mm below and 4 mL/mm above: the radii are as 1 to 2, and 1.5 where they meet.
  expect(halfWidthAt(0, cone)).toBeCloseTo(0.5, 9);
  expect(halfWidthAt(0.43, cone)).toBeCloseTo(0.75, 9);
  expect(halfWidthAt(0.86, cone)).toBeCloseTo(1, 9);
  expect(halfWidthAt(1, cone)).toBe(1);
});
