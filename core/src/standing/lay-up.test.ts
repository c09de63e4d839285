import { rebuild } from '../fold/index.js';
import { QUIET } from '../testing/judged-pump.js';
import { at, bookOf, changeAt, entryAt, runAt } from '../testing/small-yard.js';
import type { Entry } from '../journal/index.js';
import { standingAt } from './standing.js';
import type { LayUp } from './lay-up.js';

/** A run of 20 h that ends at hour 40, on oil of hour 1. */
const dryer = [changeAt(1), runAt(20, 20)];
const bagging = (materialId: string) => [changeAt(1), runAt(20, 20, materialId, { equipmentId: 'line' })];
/** Every second day, ten times: the last ends at hour 236. */
const often = [changeAt(1), ...Array.from({ length: 5 }, (_, i) => runAt(20 + i * 48, 24))];

test.each<[string, Entry[], number, LayUp['why'] | null]>([
  ['a dryer that stood for under three days', dryer, 40 + 71, null],
  ['a dryer that stood for three days', dryer, 40 + 73, 'wetOil'],
  ['the same with new oil that has not run', [...dryer, changeAt(60)], 40 + 73, null],
  ['the same while it runs again', [...dryer, runAt(100, 1, 'any-empty', { body: { stillRunning: true } })], 113, null],
  ['a dry line', bagging('any-empty'), 40 + 90, null],
  ['a line that packed cheese, whose whey is sour', bagging('vp-cheese'), 40 + 90, 'acidOil'],
  ['a pump that ran every second day and stands for fifty', often, 236 + 50 * 24, 'idle'],
  ['a pump that has never run', [changeAt(1), entryAt(2, 'done', { task: 'gaugeCheck' })], 2000, null],
])('%s: %s', (_, entries, hour, why) => {
  const book = bookOf(QUIET);
  const state = rebuild({ pumpId: 'p1', entries, book });
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(hour) })!;
  expect(standingAt({ state, setUp, now: at(hour) }).layUp?.why ?? null).toBe(why);
});
