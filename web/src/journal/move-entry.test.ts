import type { EntryHistory } from '@winter-jar/contracts';
import { BODY_VERSION, type Entry } from '@winter-jar/core';
import { at, bookOf, caseAt, changeAt, entryAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import { canMove, deedMoves, movedDeed } from './move-entry.js';

const house = bookOf().at(START);
const historyOf = (entry: Entry, counts: Entry | null = entry): EntryHistory => ({
  original: entry,
  corrections: [],
  unsettled: [],
  asks: [],
  counts,
  contradicted: false,
  actEntryIds: [entry.id],
});
const shared = { who: 'ines', device: 'browser', acknowledged: [], bodyVersion: BODY_VERSION };
const input = { house, now: at(900), idOf: (name: string) => `id of ${name}`, shared };

test('a run is taken back at one pump and written at the other, with its chamber, its time and its writer', () => {
  const run: Entry = { ...runAt(10, 20, 'fd-meat', { equipmentId: 'chamber' }), who: 'olu' };
  const { voids, written, all } = movedDeed([historyOf(run)], { pumpId: 'd1', equipmentId: 'line' }, input);
  expect(voids).toMatchObject([
    { kind: 'correction', subjects: run.subjects, actId: 'id of deed', body: { targetId: run.id, action: 'void' } },
  ]);
  expect(written).toEqual([
    {
      ...run,
      ...shared,
      who: 'olu',
      id: `id of ${run.id}`,
      actId: 'id of deed',
      recordedAt: at(900),
      subjects: [
        { type: 'pump', id: 'd1' },
        { type: 'equipment', id: 'line' },
      ],
    },
  ]);
  expect(all).toEqual([...voids, ...written]);
});

test('a run that stays with its pump changes its chamber alone', () => {
  const run = runAt(10, 20, 'fd-meat', { equipmentId: 'chamber' });
  const { written } = movedDeed([historyOf(run)], { pumpId: 'p1', equipmentId: 'line' }, input);
  expect(written[0]?.subjects).toEqual([
    { type: 'pump', id: 'p1' },
    { type: 'equipment', id: 'line' },
  ]);
});

test('what was said last moves, and a look goes on naming the change that moves with it', () => {
  const change = changeAt(10);
  const jar = entryAt(11, 'look', { sump: 'oil', source: 'drained', hoursStood: 1, drawnId: change.id });
  const alone = movedDeed([historyOf(jar)], { pumpId: 'b1', equipmentId: null }, input);
  expect(alone.written[0]?.body).toMatchObject({ drawnId: null });
  const corrected = { ...change, happenedAt: at(9) } as Entry;
  const both = movedDeed([historyOf(change, corrected), historyOf(jar)], { pumpId: 'b1', equipmentId: null }, input);
  expect(both.written).toMatchObject([
    { kind: 'change', happenedAt: at(9), subjects: [{ type: 'pump', id: 'b1' }] },
    { kind: 'look', body: { drawnId: `id of ${change.id}` } },
  ]);
});

test('what others name, and what was taken back, does not move', () => {
  expect(canMove(lookAt(10, {}))).toBe(true);
  expect(canMove(entryAt(10, 'labSample', { sump: 'oil', drawnMl: 100 }))).toBe(false);
  expect(canMove(caseAt.opened(10))).toBe(false);
  expect(canMove(entryAt(10, 'takeOver', {}))).toBe(false);
  expect(canMove(null)).toBe(false);
  expect(deedMoves([historyOf(changeAt(10)), historyOf(caseAt.opened(10))])).toBeNull();
});
