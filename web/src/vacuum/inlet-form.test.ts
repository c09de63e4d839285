import type { InletPart } from '@winter-jar/core';
import { inlineFilterBegins, inlineFilterIssue, inlineFilterOf } from './inline-filter-form.js';
import { figureIssue, inletCosts, partsOf, typedPart } from './inlet-form.js';

const hose = (diameterMm: number, lengthMm = 1000): InletPart => ({ kind: 'hose', diameterMm, lengthMm });
const SET = { pumpingSpeedM3h: 6, volumeL: 62, targetPa: 5, ultimatePa: 0.5 };

test.each<[string, InletPart[], number | null]>([
  // A metre of 10 mm to 5 Pa costs minutes; nearly all of them come back with the first size that gives back four fifths.
  ['a thin hose', [hose(10)], 16],
  ['a wide one', [hose(40)], null],
  ['a thin filter: no hose helps', [hose(40), { kind: 'filter', conductanceLPerS: 0.3 }], null],
])('%s: the hose that is worth it', (_, parts, best) => {
  expect(inletCosts({ ...SET, parts }).best?.diameterMm ?? null).toBe(best);
});

test('what holds up most, what a set without a volume is told, and how far down it is reckoned', () => {
  const parts = [hose(25), { kind: 'filter', conductanceLPerS: 0.5 } as const, hose(32)];
  expect(inletCosts({ ...SET, parts }).most).toBe(1);
  const bare = inletCosts({ ...SET, volumeL: null, parts });
  expect(bare).toMatchObject({ lostMinutes: null, wider: [], best: null });
  expect(bare.speeds.length).toBeGreaterThan(2);
  // Not to where the pump’s own end holds it up: three times 5 Pa.
  expect(inletCosts({ ...SET, ultimatePa: 5, parts }).toPa).toBe(15);
  // 250 m³/h through 16 mm whirls above 6.4 hPa, by hand.
  expect(inletCosts({ ...SET, pumpingSpeedM3h: 250, parts: [hose(16)] }).belowPa).toBeCloseTo(638, -1);
});

test.each<[string, string | undefined]>([
  ['25', undefined],
  ['25,4', undefined],
  ['', 'Right would be a number from 1 to 1,000.'],
  ['thin', 'Right would be a number from 1 to 1,000.'],
  ['0', 'Right would be a number from 1 to 1,000.'],
])('a bore of “%s”', (text, issue) => expect(figureIssue('diameterMm', text)).toBe(issue));

test('what is typed is the chain, once all of it is right; a chain that is kept is typed again as it was', () => {
  const parts: InletPart[] = [hose(25), { kind: 'bends', diameterMm: 25, count: 2 }];
  expect(partsOf(parts.map(typedPart))).toEqual(parts);
  expect(partsOf([{ kind: 'bends', diameterMm: '25', count: '1.5' }])).toBeNull();
  expect(partsOf([{ kind: 'hose', diameterMm: '25' }])).toBeNull();
});

// By hand with what stands in the fields: oil 10 · 0.3 · 0.95 · 30 = 85.5, pump 900 / 4 · 0.3 · 0.95 = 64.1; housing 35, elements
// 4 · (35 + 10) = 180, joints 2 · 0.05 · 2 · 40 = 8.
test('an in-line filter by what stands there at first', () => {
  const typed = inlineFilterBegins({});
  expect(inlineFilterOf(typed, 0)?.net).toBeCloseTo(85.5 + 64.125 - 35 - 180 - 8, 6);
  // Its own runs, and a set whose hour is worth 12: 300 runs of 2 minutes are 120 a year.
  const own = { ...inlineFilterBegins({ runsPerYear: 300 }), machineHourPrice: '12' };
  expect(inlineFilterOf(own, 2)?.yearly.time).toBeCloseTo(-120, 6);
  expect(inlineFilterOf({ ...typed, wearShare: '130' }, 0)).toBeNull();
  expect(inlineFilterIssue('wearShare', '130')).toBe('Right would be a number from 0 to 100.');
  expect(inlineFilterIssue('filterLastsYears', '0')).toBe('Right would be a number above 0.');
});
