import type { LevelMark } from '../set-up/index.js';
import { GLASS_MARKS, glassLevel, warmRiseMl } from './level.js';

const model = (levelMark: LevelMark | null, betweenMarksMl: number | null = null) => ({
  levelMark,
  sumps: [{ key: 'oil' as const, chargeMl: 1000, housingMl: 1500, holdUpMl: 80, betweenMarksMl }],
});

// Two lines at a quarter and at three quarters, 200 mL between them: a tenth of the glass is 40 mL.
test.each<[string, number, LevelMark | null, number | null, string, number | null]>([
  ['in the middle', 0.5, 'twoLines', 200, 'right', 0],
  ['at MAX', 0.75, 'twoLines', 200, 'right', 100],
  ['a tenth above MAX', 0.85, 'twoLines', 200, 'high', 140],
  ['a tenth below MIN', 0.15, 'twoLines', 200, 'low', -140],
  ['nothing in it', 0, 'twoLines', 200, 'low', -200],
  ['full', 1, 'twoLines', 200, 'high', 200],
  ['nobody has said what lies between', 0.85, 'twoLines', null, 'high', null],
  ['nobody has said what the marks are', 0.5, null, 200, 'right', 0],
  ['half a window', 0.5, 'windowHalf', null, 'right', null],
  ['half a window that is to be three quarters full', 0.5, 'windowThreeQuarters', null, 'low', null],
  ['above the upper circle', 0.95, 'upperCircle', null, 'high', null],
])('%s', (_, share, mark, between, level, offMl) => {
  expect(glassLevel(share, model(mark, between))).toEqual({ level, offMl });
});

test('a glass has a top and a bottom', () => {
  expect(() => glassLevel(1.01, model('twoLines'))).toThrow(/^share: 1.01/);
  for (const { low, high } of Object.values(GLASS_MARKS)) expect(0 < low && low < high && high < 1).toBe(true);
});

// 40 K and 0.75 mL a litre and kelvin; ten kelvin below the room.
test.each([
  [1000, 60, 30],
  [20_000, 60, 600],
  [700, 10, -5.25],
])('%d mL at %d °C take %d mL more', (chargeMl, oilC, more) => {
  expect(warmRiseMl({ chargeMl, oilC })).toBeCloseTo(more, 9);
});
