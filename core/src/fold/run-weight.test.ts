import type { Process } from '../set-up/index.js';
import { MATERIAL_LIBRARY } from '../set-up/material-library.js';
import { loadOf, materialFactor, runWeightMilli } from './run-weight.js';

const rated = (moisture: number, fat: number, fines: number, solvent: number, acid: number) => ({
  name: 'Test',
  process: 'industrial' as Process,
  moisture,
  fat,
  fines,
  solvent,
  acid,
});
const chamber = { referenceHours: 20 };
const line = { referenceHours: 8, cyclesPerRun: 2000, cycleTimeS: 30 };
const weigh = (minutes: number | null, material = rated(0, 0, 0, 0, 0), session: 'run' | 'sideJob' = 'run') =>
  runWeightMilli({ body: { minutes, session }, material, equipment: chamber });

// By hand: 1 + 0.15 m + 0.30 f + 0.20 fines + 0.35 s + 0.20 a.
test.each([
  [rated(0, 0, 0, 0, 0), 1],
  [rated(3, 0, 1, 0, 0), 1.65],
  [rated(3, 3, 1, 0, 0), 2.55],
  [rated(0, 0, 0, 3, 0), 2.05],
  [rated(3, 3, 3, 3, 3), 4.6],
])('the material factor follows the ratings', (material, factor) => {
  expect(materialFactor(material)).toBeCloseTo(factor, 10);
});

test('a rating outside 0-3 is named', () => {
  expect(() => materialFactor(rated(0, 4, 0, 0, 0))).toThrow(/^fat: 4/);
});

test.each([
  ['a plain run weighs one', 20 * 60, 1000],
  ['half as long weighs half', 10 * 60, 500],
  ['a short one never less than half', 60, 500],
  ['a very long one never more than two', 200 * 60, 2000],
])('%s', (_what, minutes, weight) => {
  expect(weigh(minutes)).toBe(weight);
});

test('30 h of wet paper where 20 h are a plain run weigh 1.5 x 1.65', () => {
  expect(weigh(30 * 60, MATERIAL_LIBRARY['fd-paper-wet'])).toBe(2475);
});

test('cycles count by number, not clamped', () => {
  const of = (cycles: number, session: 'run' | 'sideJob' = 'run') =>
    runWeightMilli({ body: { cycles, session }, material: rated(2, 2, 0, 0, 1), equipment: line });
  expect(of(2000)).toBe(2100);
  expect(of(10_000)).toBe(10_500);
  expect(of(100)).toBe(105);
  expect(of(100, 'sideJob')).toBe(500);
});

test('the library has at least 25 classes over all four processes, every one with a note', () => {
  const classes = Object.values(MATERIAL_LIBRARY);
  expect(classes.length).toBeGreaterThanOrEqual(25);
  expect(new Set(classes.map((m) => m.process)).size).toBe(4);
  for (const material of classes) expect(material.note?.length).toBeGreaterThan(5);
});

test.each([
  ['fd-paper-wet', 'wet'],
  ['fd-meat', 'fatty'],
  ['fd-soil', 'dusty'],
  ['co-polyester', 'fumes'],
  ['any-empty', 'clean'],
])('the bar of %s is %s', (id, load) => {
  expect(loadOf(MATERIAL_LIBRARY[id] ?? rated(0, 0, 0, 0, 0))).toBe(load);
});
