import { rebuild, rebuildAll } from '../fold/index.js';
import { equipmentProjection } from '../equipment/index.js';
import { waterStory } from '../story/index.js';
import { at, bookOf, changeAt, runAt } from '../testing/small-yard.js';
import { equipmentOf, equipmentOfRun } from './equipment-of-run.js';

/*
 * P-1 stands at the chamber, where 20 h are a plain run. For one run it is lent to the line: 1,000 cycles of 30 s there are
 * 500 min and, of 2,000 to a run, half a run; by the chamber's hours it would be 0.5 x 8.3/10, and it would have no length.
 */
const book = bookOf();
const setUp = book.pumpAt({ pumpId: 'p1', instant: at(50) })!;
const lent = runAt(30, 0, 'any-empty', { equipmentId: 'line', body: { minutes: null, cycles: 1000 } });
const entries = [changeAt(1), runAt(5, 20), lent];

test('a run is on the equipment that it names, else on its pump’s own', () => {
  expect(equipmentOfRun(lent, setUp)).toEqual({ equipmentId: 'line', equipment: setUp.house.equipment.line });
  const unnamed = { ...lent, subjects: lent.subjects.filter((s) => s.type === 'pump') };
  expect(equipmentOfRun(unnamed, setUp)).toEqual({ equipmentId: 'chamber', equipment: setUp.equipment });
  expect(equipmentOf('no such one', setUp)).toEqual(setUp.equipment);
});

test('whoever speaks of the run means that equipment', () => {
  const state = rebuild({ pumpId: 'p1', entries, book });
  expect(state.lastRun).toMatchObject({ equipmentId: 'line', minutes: 500 });
  expect(state.totals).toMatchObject({ runs: 2, minutes: 1200 + 500, weightMilli: 1000 + 500 });
  const line = rebuildAll({ projection: equipmentProjection, entries, book }).get('equipment:line');
  expect(line).toMatchObject({ runs: 1, minutes: 500 });
  const story = waterStory({ pumpId: 'p1', entries, state, book, now: at(60) });
  expect(story?.runs.map((r) => r.minutes)).toEqual([1200, 500]);
});
