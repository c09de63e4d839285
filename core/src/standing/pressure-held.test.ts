import { bookOf, changeAt, runAt } from '../testing/small-yard.js';
import { heldAgainst } from './pressure-held.js';
import { rebuild } from '../fold/index.js';

const equipment = { targetFirstPa: 300, targetUltimatePa: 5 };
const best = { equipmentId: 'chamber', firstPa: 200, lowestPa: 4 };

test('each pressure that was logged is held against its target and the own best', () => {
  expect(heldAgainst({ firstPa: 250, lowestPa: 12, equipment, best })).toEqual([
    { which: 'first', reachedPa: 250, targetPa: 300, met: true, bestPa: 200, timesBest: 1.25 },
    { which: 'lowest', reachedPa: 12, targetPa: 5, met: false, bestPa: 4, timesBest: 3 },
  ]);
  expect(heldAgainst({ firstPa: null, lowestPa: 5, equipment, best: null })).toEqual([
    { which: 'lowest', reachedPa: 5, targetPa: 5, met: true, bestPa: null, timesBest: null },
  ]);
  expect(heldAgainst({ firstPa: null, lowestPa: 12, equipment: {}, best })).toMatchObject([
    { met: null, timesBest: 3 },
  ]);
});

test('a pump remembers its best on each of its last equipments', () => {
  const run = (hours: number, equipmentId: string, lowestPressurePa: number | null) =>
    runAt(hours, 5, 'any-empty', {
      equipmentId,
      body: { lowestPressurePa, ...(equipmentId === 'line' ? { cycles: 100 } : {}) },
    });
  const entries = [
    changeAt(1),
    run(10, 'chamber', 6),
    run(20, 'line', 400),
    run(30, 'chamber', 9),
    run(40, 'chamber', null),
  ];
  const { best: kept } = rebuild({ pumpId: 'p1', entries, book: bookOf() });
  expect(kept).toEqual([
    { equipmentId: 'line', firstPa: null, lowestPa: 400 },
    { equipmentId: 'chamber', firstPa: null, lowestPa: 6 },
  ]);
});
