import { effectiveEntries, rebuildAll, type Entry, type JournalEntry } from '@winter-jar/core';
import { at, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { pourAt, pouredOil, type PouredOil } from '@winter-jar/core/testing/poured-oil';
import { writingStatements } from '../database/statements.js';
import { openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';
import { contentHash } from './content-hash.js';
import { DerivedTables } from './derived-tables.js';
import { insertEntry } from './insert-entry.js';

let house: TestHouse;
beforeEach(async () => (house = await openHouse()));
afterEach(() => house.close());

describe('subjects that are tied to one another', () => {
  const tables = () => {
    const sql = writingStatements(house.database.writer);
    const derived = new DerivedTables(sql, house.store, [pouredOil]);
    const store = (entry: Entry) => {
      const seq = insertEntry(sql, entry, { contentHash: contentHash(entry), content: JSON.stringify(entry) }, null);
      return derived.count({ entry, seq: seq! });
    };
    return { derived, store, take: (entry: Entry) => derived.fold(store(entry)) };
  };
  const lots = () =>
    Object.fromEntries(
      Object.values(house.everyState()).map((state) => [(state as PouredOil).place, (state as PouredOil).lots]),
    );

  test('one late pour changes what two containers and the sump hold', () => {
    const { take } = tables();
    take(pourAt(1, { from: null, to: 'a', ul: 1000, lot: 'x' }));
    take(pourAt(5, { from: 'a', to: 'b', ul: 500 }));
    take(pourAt(9, { from: 'b', to: 'sump-1', ul: 200 }));
    expect(lots()).toEqual({ a: { x: 500 }, b: { x: 300 }, 'sump-1': { x: 200 } });
    take(pourAt(3, { from: null, to: 'a', ul: 3000, lot: 'y' }));
    expect(lots()).toEqual({ a: { x: 875, y: 2625 }, b: { x: 75, y: 225 }, 'sump-1': { x: 50, y: 150 } });
  });

  test('what comes in bulk catches up together, and what is written meanwhile is folded in then', () => {
    const { derived, store, take } = tables();
    const pours = Array.from({ length: 60 }, (_, i) =>
      i % 3 === 0
        ? pourAt(i, { from: null, to: 'a', ul: 900, lot: `lot ${i % 2}` })
        : pourAt(i, { from: i % 3 === 1 ? 'a' : 'b', to: i % 3 === 1 ? 'b' : 'sump-1', ul: 200 }),
    );
    const late = pourAt(7.5, { from: 'a', to: 'sump-1', ul: 55 });
    for (const entry of pours.toReversed()) derived.fallBehind(store(entry));
    take(late);
    expect(lots()).toEqual({});
    while (derived.catchUp());
    const rebuilt = rebuildAll({ projection: pouredOil, entries: [...pours, late], book: house.store.book });
    expect(house.everyState()).toEqual(Object.fromEntries(rebuilt));
  });
});

describe('the record of an equipment', () => {
  const chamber = () => house.everyState()['equipment:chamber'];
  const taken = (target: Entry): JournalEntry => ({
    ...target,
    id: '20000000-0000-4000-8000-000000000001',
    actId: '20000000-0000-4000-8000-000000000001',
    kind: 'correction',
    recordedAt: at(900),
    body: { targetId: target.id, supersedes: null, action: 'void' },
  });

  test('follows late entries and corrections of whatever pump', () => {
    const wrong = runAt(50, 9);
    expect(house.write(runAt(80, 4), changeAt(90), wrong, runAt(10, 20, 'any-empty', { pumpId: 'd1' }))).toEqual(
      Array(4).fill('written'),
    );
    expect(chamber()).toMatchObject({ runs: 3, minutes: 33 * 60, last: { happenedAt: at(80) } });
    house.write(taken(wrong));
    expect(chamber()).toMatchObject({ runs: 2, minutes: 24 * 60 });
    expect(effectiveEntries(house.journal())).toHaveLength(3);
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  test('hours that follow from its cycle time move with a correction of the set-up', () => {
    const cycles = runAt(10, 1, 'any-empty', { equipmentId: 'line', body: { minutes: null, cycles: 120 } });
    const line = house.store.book.at(at(0)).equipment.line!;
    expect(house.write(cycles)).toEqual(['written']);
    const before = (house.everyState()['equipment:line'] as unknown as { minutes: number }).minutes;
    const issues = house.writer.writeSetUp(SERVER, [
      {
        id: '40000000-0000-4000-8000-000000000001',
        kind: 'equipment',
        subjectId: 'line',
        validFrom: at(0),
        recordedAt: at(901),
        body: { ...line, cycleTimeS: 2 * (line.cycleTimeS ?? 0) },
      },
    ]);
    expect(issues).toEqual([]);
    expect(house.everyState()['equipment:line']).toMatchObject({ minutes: 2 * before });
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  test('a note and a meter may be about it alone; a change of oil may not', () => {
    const alone = (entry: Entry): Entry => ({
      ...entry,
      subjects: [{ type: 'equipment', id: 'chamber' }],
      actId: entry.id,
    });
    expect(house.write(alone(entryAt(5, 'note', { text: 'writer seal is flat at the hinge' })))).toEqual(['written']);
    expect(house.write(alone(entryAt(6, 'meter', { action: 'read', minutes: 900 })))).toEqual(['written']);
    expect(chamber()).toMatchObject({ entries: 2, meter: { minutes: 900 } });
    expect(house.states()).toEqual({});
    const [answer] = house.writer.write(SERVER, [alone(changeAt(7))]);
    expect(answer).toMatchObject({
      status: 'refused',
      issues: [{ field: 'subjects', code: 'missing', right: 'at least one pump' }],
    });
  });
});
