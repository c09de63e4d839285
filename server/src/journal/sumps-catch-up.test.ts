import type { Entry, SetUpVersion } from '@winter-jar/core';
import { at, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

/** As a folder of before stands after its migration: the sumps lag from their first entry. */
function sumpsLag(): void {
  const { writer } = house.database;
  writer.exec(`DELETE FROM subject_state WHERE "subjectType" IN ('sump', 'container')`);
  writer.exec(`DELETE FROM checkpoint WHERE "subjectType" IN ('sump', 'container')`);
  writer.exec(
    `INSERT INTO lagging_subject SELECT DISTINCT "subjectType", "subjectId", '', '', '' FROM subject_entry
     WHERE "subjectType" IN ('sump', 'container')`,
  );
}
const catchUp = (): number => {
  let turns = 0;
  while (house.writer.bulk.catchUp() !== null) turns += 1;
  return turns;
};

test('sumps that nothing ties catch up each by itself, in turns, to the states of a rebuild', () => {
  const changes = Array.from({ length: 900 }, (_, i) => changeAt(1 + 3 * i));
  house.write(...changes, runAt(2, 0.5), entryAt(2000, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 20 }));
  sumpsLag();
  // 901 entries, 400 a turn.
  expect(catchUp()).toBe(3);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('those that the shelf ties catch up together, and what is written meanwhile is folded in', () => {
  const can = {
    ...{ id: '90000000-0000-4000-8000-000000000000', kind: 'container', subjectId: 'can' },
    ...{ validFrom: at(0), recordedAt: at(0) },
    body: { name: 'can', vessel: 'can', holdsMl: 20_000, siteId: 'site' },
  } as SetUpVersion;
  expect(house.writer.writeSetUp(SERVER, [can])).toEqual([]);
  const from = (hours: number, pumpId: string) =>
    entryAt(
      hours,
      'change',
      { sump: pumpId === 'p1' ? 'oil' : 'gearA', productId: 'oil-a', inMl: 300, fromContainerId: 'can' },
      { pumpId },
    );
  const bought = {
    ...entryAt(1, 'transfer', { toId: 'can', outside: 'bought', productId: 'oil-a', oilMl: 9000 }),
    subjects: [{ type: 'container', id: 'can' }],
  } as Entry;
  expect(house.write(bought, from(5, 'p1'), from(6, 'b1'))).toEqual(['written', 'written', 'written']);
  sumpsLag();
  expect(house.write(from(7, 'p1'))).toEqual(['written']);
  catchUp();
  expect(house.everyState()).toEqual(rebuiltStates(house));
});
