import type { RunRuler } from '@winter-jar/core';
import { layOutRuler } from './ruler-layout.js';

const bar = (weight: number, n: number) => ({
  entryId: `e${n}`,
  at: '',
  load: 'wet' as const,
  materialId: 'm',
  carriedOver: false,
  bled: false,
  looked: false,
  minutes: 60,
  weight,
});
const ruler = (more: Partial<RunRuler>): RunRuler => ({
  collapsed: null,
  bars: [],
  expected: [],
  flag: null,
  usedWeight: 0,
  ...more,
});
const right = (placed: { x: number; width: number }) => placed.x + placed.width;

test('bars are as wide as their weight and follow one another', () => {
  const { bars, ticks } = layOutRuler(ruler({ bars: [bar(1, 1), bar(2, 2)], usedWeight: 3 }), 400);
  expect(bars[1]!.width + 3).toBeCloseTo(2 * (bars[0]!.width + 3), 6);
  expect(bars[1]!.x).toBeGreaterThan(right(bars[0]!));
  expect(ticks[0]).toBeCloseTo(bars[1]!.x, 6);
});

test('a reached limit stands inside the bars', () => {
  const layout = layOutRuler(
    ruler({
      bars: [bar(3, 1), bar(3, 2)],
      usedWeight: 6,
      flag: { atWeight: 5, measure: 'weight', limit: 5, reached: true },
    }),
    400,
  );
  expect(layout.flag).toMatchObject({ beyond: false });
  expect(layout.flag!.x).toBeGreaterThan(layout.bars[1]!.x);
  expect(layout.flag!.x).toBeLessThan(right(layout.bars[1]!));
});

test('a limit far ahead stands at the end, marked as beyond, and leaves the bars their room', () => {
  const far = layOutRuler(
    ruler({
      bars: [bar(1, 1)],
      usedWeight: 1,
      expected: [{ weight: 1, inDays: 2 }],
      flag: { atWeight: 240, measure: 'hours', limit: 1500, reached: false },
    }),
    400,
    50,
  );
  expect(far.flag?.beyond).toBe(true);
  expect(far.flag!.x).toBeLessThan(400 - 50);
  expect(far.bars[0]!.width).toBeGreaterThan(20);
});

test('a long charge is one piece of fixed width before the last bars', () => {
  const layout = layOutRuler(ruler({ collapsed: { runs: 78, weight: 81 }, bars: [bar(1, 1)], usedWeight: 82 }), 400);
  expect(layout.collapsed?.label).toBe('+78 runs');
  expect(layout.bars[0]!.x).toBeGreaterThan(right(layout.collapsed!));
  expect(layout.bars[0]!.width).toBeGreaterThan(20);
  expect(layOutRuler(ruler({ collapsed: { runs: 1, weight: 1 } }), 400).collapsed?.label).toBe('+1 run');
});
