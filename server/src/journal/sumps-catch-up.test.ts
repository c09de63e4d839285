import type { Entry, SetUpVersion } from '@winter-jar/core';
import { at, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';
import { contentHash } from './content-hash.js';

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
    `INSERT OR REPLACE INTO lagging_subject SELECT DISTINCT "subjectType", "subjectId", '', '', '' FROM subject_entry
     WHERE "subjectType" IN ('sump', 'container')`,
  );
}
const catchUp = (): number => {
  let turns = 0;
  while (house.writer.bulk.catchUp() !== null) turns += 1;
  return turns;
};

const putCans = (...ids: string[]): void => {
  const cans = ids.map((subjectId, i) => ({
    ...{ id: `90000000-0000-4000-8000-${String(i).padStart(12, '0')}`, kind: 'container', subjectId },
    ...{ validFrom: at(0), recordedAt: at(0) },
    body: { name: subjectId, vessel: 'can', holdsMl: 20_000_000, siteId: 'site' },
  }));
  expect(house.writer.writeSetUp(SERVER, cans as SetUpVersion[])).toEqual([]);
};
const pour = (hours: number, fromId: string | null, toId: string, oilMl: number) =>
  ({
    ...entryAt(hours, 'transfer', {
      ...(fromId ? { fromId } : { outside: 'bought' as const, productId: 'oil-a' }),
      ...{ toId, oilMl },
    }),
    subjects: [{ type: 'container', id: fromId ?? toId }],
    acknowledged: ['moreThanThere'],
  }) as Entry;

test('sumps that nothing ties catch up each by itself, in turns, to the states of a rebuild', () => {
  const changes = Array.from({ length: 500 }, (_, i) => changeAt(1 + 3 * i));
  inBulk([...changes, runAt(2, 0.5), entryAt(2000, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 20 })]);
  catchUp();
  sumpsLag();
  // 501 entries, 400 a turn.
  expect(catchUp()).toBe(2);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('those that the shelf ties catch up together, and what is written meanwhile is folded in', () => {
  putCans('can');
  const from = (hours: number, pumpId: string) =>
    entryAt(
      hours,
      'change',
      { sump: pumpId === 'p1' ? 'oil' : 'gearA', productId: 'oil-a', inMl: 300, fromContainerId: 'can' },
      { pumpId },
    );
  const bought = pour(1, null, 'can', 9000);
  expect(house.write(bought, from(5, 'p1'), from(6, 'b1'))).toEqual(['written', 'written', 'written']);
  sumpsLag();
  expect(house.write(from(7, 'p1'))).toEqual(['written']);
  catchUp();
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

/** As an import writes them: the folding comes afterwards. */
function inBulk(entries: readonly Entry[]): void {
  const { bulk } = house.writer;
  const staged = entries.map((entry) => ({ entry, contentHash: contentHash(entry), content: JSON.stringify(entry) }));
  bulk.open('an import');
  expect(bulk.write(SERVER, 'an import', staged)).toEqual(entries.map(() => ({ status: 'written' })));
  bulk.close('an import');
}

test('one movement that came in bulk is folded with both ends, not each alone', () => {
  putCans('can', 'jar');
  expect(house.write(pour(1, null, 'can', 9000))).toEqual(['written']);
  inBulk([pour(2, 'can', 'jar', 500)]);
  catchUp();
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

describe('a shelf of many movements catches up in turns', () => {
  /** Among three cans; a fourth stands by itself. */
  const movements = (n: number) => [
    pour(1, null, 'a', 90_000),
    ...Array.from({ length: n - 1 }, (_, i) => pour(2 + i, 'abc'[i % 3] ?? 'a', 'bca'[i % 3] ?? 'b', 1 + (i % 50))),
  ];
  const begin = (n: number) => {
    putCans('a', 'b', 'c', 'new');
    inBulk(movements(n));
    sumpsLag();
  };

  test('to the states of a rebuild', () => {
    begin(600);
    // 400, and the rest at once.
    expect(catchUp()).toBe(2);
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  test.each<[string, () => Entry]>([
    ['something new', () => pour(600, 'b', 'c', 20)],
    ['something that ties another to them', () => pour(600, 'a', 'new', 20)],
    ['something that ties another to them where they have not come yet', () => pour(450.5, 'a', 'new', 20)],
    ['something that they have passed already', () => pour(100.5, 'c', 'a', 20)],
    ['what another gave them where they have passed already', () => pour(100.5, 'new', 'a', 20)],
  ])('written between two turns: %s', (_, entry) => {
    begin(450);
    expect(house.writer.bulk.catchUp()).not.toBeNull();
    expect(house.write(entry())).toEqual(['written']);
    catchUp();
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });
});
