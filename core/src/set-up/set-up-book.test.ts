import { at, START, versionsOf } from '../testing/small-yard.js';
import { setUpBook } from './set-up-book.js';
import type { SetUpVersion } from './records.js';

const versions = versionsOf();
const material = (id: string, validFrom: string, recordedAt: string, moisture: number): SetUpVersion => ({
  id,
  kind: 'material',
  subjectId: 'peat',
  validFrom,
  recordedAt,
  body: { name: 'Peat', process: 'freezeDrying', moisture, fat: 0, fines: 0, solvent: 0, acid: 0 },
});
const moistureAt = (extra: SetUpVersion[], instant: string) =>
  setUpBook([...versions, ...extra]).at(instant).material.peat?.moisture;

test('a change counts from its day; what happened before keeps the old value', () => {
  const extra = [material('a', START, START, 1), material('b', at(100), at(100), 3)];
  expect(moistureAt(extra, at(99))).toBe(1);
  expect(moistureAt(extra, at(100))).toBe(3);
});

test('a correction has the same validFrom and is recorded later', () => {
  const extra = [material('b', START, at(200), 2), material('a', START, START, 1)];
  expect(moistureAt(extra, at(5))).toBe(2);
});

test('before the first version of a record that version stands', () => {
  expect(moistureAt([material('a', at(50), at(50), 1), material('b', at(100), at(100), 3)], at(1))).toBe(1);
});

test('a pump that names a missing record is no pump', () => {
  const without = versions.filter((v) => v.subjectId !== 'vane');
  expect(setUpBook(without).pumpAt({ pumpId: 'p1', instant: START })).toBeNull();
  expect(setUpBook(versions).pumpAt({ pumpId: 'p1', instant: START })?.model.name).toBe('Test vane');
});
