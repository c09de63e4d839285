import type { MaterialRate, Suspects } from '@winter-jar/core';
import { suspectPlan } from './suspect-plan.js';

const rate = (materialId: string, runsToClear: number, standsOut = false): MaterialRate => ({
  materialId,
  runs: 10,
  came: 2,
  p10: 0.1,
  p50: 0.2,
  p90: 0.3,
  standsOut,
  runsToClear,
});
const suspects = (...materials: MaterialRate[]): Suspects => ({ usualRate: 0.1, stretches: 30, materials });

test('those that stand out are tested, each once, with the longer of its two tests', () => {
  const dark = suspects(rate('sausage', 2, true), rate('bread', 8));
  const water = suspects(rate('fruit', 4, true), rate('sausage', 5, true));
  expect(suspectPlan({ dark, water })).toEqual([
    { materialId: 'sausage', runsToClear: 5 },
    { materialId: 'fruit', runsToClear: 4 },
  ]);
});

test('where none stands out, the most suspect of each', () => {
  const plan = suspectPlan({ dark: suspects(rate('sausage', 2), rate('bread', 8)), water: suspects(rate('fruit', 4)) });
  expect(plan.map((p) => p.materialId)).toEqual(['sausage', 'fruit']);
});

test('one so rare that clearing it takes months is left out', () => {
  expect(suspectPlan({ dark: suspects(rate('bread', 86)), water: suspects() })).toEqual([]);
});

test('at most three at once, and none without readings', () => {
  const many = suspects(...['a', 'b', 'c', 'd'].map((id) => rate(id, 3, true)));
  expect(suspectPlan({ dark: many, water: suspects() })).toHaveLength(3);
  expect(suspectPlan({ dark: suspects(), water: suspects() })).toEqual([]);
});
