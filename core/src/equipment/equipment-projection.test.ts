import { rebuildAll } from '../fold/index.js';
import type { Entry } from '../journal/index.js';
import { at, bookOf, changeAt, entryAt, runAt } from '../testing/small-yard.js';
import { equipmentProjection } from './equipment-projection.js';
import type { EquipmentState } from './equipment-state.js';

const recordOf = (entries: Entry[], id = 'chamber'): EquipmentState | undefined =>
  rebuildAll({ projection: equipmentProjection, entries, book: bookOf() }).get(`equipment:${id}`);
/** About the equipment alone. */
const alone = (entry: Entry): Entry => ({ ...entry, subjects: [{ type: 'equipment', id: 'chamber' }] });

test('it counts what ran on it by whatever pump, and a run of two pumps once', () => {
  const both = runAt(60, 4);
  const entries = [
    runAt(10, 20),
    runAt(40, 10, 'any-empty', { pumpId: 'd1' }),
    changeAt(55),
    { ...both, subjects: [...both.subjects, { type: 'pump', id: 'b1' }] } as Entry,
  ];
  expect(recordOf(entries)).toMatchObject({
    runs: 3,
    minutes: 34 * 60,
    pumps: [
      { pumpId: 'd1', runs: 1, minutes: 600, lastAt: at(40) },
      { pumpId: 'p1', runs: 2, minutes: 1440, lastAt: at(60) },
      { pumpId: 'b1', runs: 1, minutes: 240, lastAt: at(60) },
    ],
    lastRun: { at: at(60), pumpIds: ['p1', 'b1'], minutes: 240 },
  });
});

test('a run that goes on does not count yet', () => {
  const open = runAt(10, 5, 'any-empty', { body: { minutes: null, stillRunning: true } });
  expect(recordOf([open])).toMatchObject({ entries: 1, runs: 0, minutes: 0, lastRun: null });
});

test('its own meter is one that was read without a pump; a pump’s is not taken for it', () => {
  const read = (hours: number, minutes: number) => entryAt(hours, 'meter', { action: 'read', minutes });
  expect(
    recordOf([{ ...read(5, 900), subjects: [...read(5, 900).subjects, { type: 'equipment', id: 'chamber' }] }]),
  ).toMatchObject({ meter: null });
  expect(recordOf([alone(read(5, 900))])).toMatchObject({ meter: { minutes: 900, at: at(5) } });
  const replaced = entryAt(9, 'meter', { action: 'replaced', minutes: 950, newMinutes: 2 });
  expect(recordOf([alone(read(5, 900)), alone(replaced)])).toMatchObject({ meter: { minutes: 2, at: at(9) } });
});

test('the last rise is the last one that was looked at', () => {
  const rise = (hours: number, state: string) =>
    entryAt(hours, 'test', { findings: [{ id: 'rateOfRise', state, certainty: 1 }] }, { equipmentId: 'chamber' });
  expect(recordOf([rise(5, 'straight'), rise(50, 'small'), runAt(60, 2)])).toMatchObject({
    lastRise: { state: 'small', at: at(50) },
  });
});

test('a note about it is an entry of its record and moves no count', () => {
  expect(recordOf([alone(entryAt(3, 'note', { text: 'door seal is flat at the hinge' }))])).toMatchObject({
    entries: 1,
    runs: 0,
    last: { happenedAt: at(3) },
  });
});
