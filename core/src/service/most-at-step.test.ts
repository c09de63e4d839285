import type { PumpModel } from '../set-up/index.js';
import { boundsAtStep, mostAtStep } from './most-at-step.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import type { GuideStep } from './service-at.js';

const sump = (key: 'oil' | 'gearA' | 'gearB' | 'sealCup', housingMl: number) => ({
  ...{ key, housingMl, chargeMl: housingMl / 2, holdUpMl: 10 },
});
const model = (sumps: PumpModel['sumps'], assumed: readonly string[] = []) =>
  ({ sumps, assumed }) as unknown as PumpModel;
const VANE = model([sump('oil', 1000)]);
const BOOSTER = model([sump('gearA', 700), sump('gearB', 700), sump('sealCup', 120)]);

const stepOf = (id: ProcedureId, step: string) => PROCEDURES[id].steps.find((s) => s.id === step)!;
const said = (id: ProcedureId, values: Readonly<Record<string, number>>): GuideStep[] =>
  Object.entries(values).map(([step, value]) => ({
    shown: { step: stepOf(id, step), amountMl: null, flushes: [], purge: null, cautions: [] },
    ...{ visit: 1, begun: null },
    said: { entryId: step, step, visit: 1, at: '', who: null, value, choice: null, oil: null },
  }));

// A housing of 1,000 mL; a booster's ends of 700 each, its cup of 120.
test.each<[string, ProcedureId, string, Readonly<Record<string, number>>, PumpModel, number | null]>([
  ['a fill', 'oilChange', 'fill', {}, VANE, 1000],
  ['what came out', 'oilChange', 'out', {}, VANE, 1000],
  ['some more, with 900 in it', 'oilChange', 'addMore', { fill: 900 }, VANE, 100],
  ['some more, 50 of it taken off again', 'oilChange', 'addMore', { fill: 900, takeOff: 50 }, VANE, 150],
  ['it is full', 'oilChange', 'addMore', { fill: 1000, addMore: 20 }, VANE, 0],
  ['both ends', 'boosterOil', 'half', {}, BOOSTER, 1400],
  ['both ends, half full', 'boosterOil', 'mark', { half: 700 }, BOOSTER, 700],
  ['a cup', 'boosterOil', 'cup', { half: 700 }, BOOSTER, 120],
  ['nobody has said what it holds', 'oilChange', 'fill', {}, model([sump('oil', 1000)], ['sumps.0.housingMl']), null],
  ['what is taken off is bounded by what is in it, not by this', 'oilChange', 'takeOff', {}, VANE, null],
  ['a pressure', 'exhaustFilter', 'back', {}, VANE, null],
])('%s: at most so much', (_, id, step, before, of, most) => {
  expect(mostAtStep(stepOf(id, step) as never, said(id, before), of)).toBe(most);
});

test.each<[string, ProcedureId, string, ReturnType<typeof boundsAtStep>]>([
  ['a fill has an amount', 'oilChange', 'fill', { min: 1, wanted: true }],
  ['what came out may stay unsaid', 'oilChange', 'out', { min: 0, wanted: false }],
  ['a cold oil is below nothing', 'ballastPurge', 'oilTemp', { wanted: false }],
  // Over ambient: a bar more is read on a gauge that counts from vacuum.
  ['a back-pressure', 'exhaustFilter', 'back', { min: 0, max: 100_000, wanted: false }],
])('%s', (_, id, step, bounds) => {
  expect(boundsAtStep(stepOf(id, step) as Parameters<typeof boundsAtStep>[0])).toEqual(bounds);
});
