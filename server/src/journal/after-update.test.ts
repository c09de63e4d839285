import { changeAt, lookAt, runAt } from '@winter-jar/core/testing';
import { PumpReader } from '../house/pump-reader.js';
import { RoundService } from '../round/round.service.js';
import { nowMs, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  house.write(changeAt(1), runAt(10, 20), runAt(50, 20), lookAt(80, { clarity: 'bright', level: 'right' }));
});
afterEach(() => house.close());

const clock = { nowMs };
const row = () => new RoundService(clock, house.reading, house.store).round(null).rows.find((r) => r.pumpId === 'p1');
const standing = () => new PumpReader(clock, house.reading, house.store).pump('p1').standing;
/** As an update finds it: states of another meaning, in another shape. */
const ofBefore = (state: string) =>
  house.database.writer.exec(`UPDATE subject_state SET "foldVersion" = 0, "state" = ${state}`);

test.each([
  ['of another version', `json_set(state, '$.foldVersion', 0)`],
  ['with nothing in them that is known', `'{}'`],
  ['that cannot be read', `'{"foldVersion":0,"sumps":7,"totals":null}'`],
])('states %s are made anew while others read, and nobody is told to run on until then', (_what, state) => {
  const right = house.everyState();
  expect(standing().reasons.map((r) => r.code)).not.toContain('madeAnew');
  ofBefore(state);
  house.writer.putInOrder();
  expect(house.writer.lagging).toBeGreaterThan(0);
  for (const seen of [row(), standing()]) {
    expect(['beforeNextRun', 'stop']).toContain(seen?.verdict);
    expect(seen?.reasons.map((r) => r.code)).toContain('madeAnew');
  }
  expect(row()?.untouched).toBe(false);
  while (house.writer.bulk.catchUp() !== null);
  expect(house.everyState()).toEqual(right);
  expect(house.writer.lagging).toBe(0);
  expect(row()?.reasons.map((r) => r.code)).not.toContain('madeAnew');
});

test('what is written meanwhile is folded in, and a start in the midst of it goes on', () => {
  ofBefore(`'{}'`);
  house.writer.putInOrder();
  expect(house.write(runAt(200, 5))).toEqual(['written']);
  expect(row()?.reasons.map((r) => r.code)).toContain('madeAnew');
  house.writer.bulk.catchUp();
  house.started();
  expect(house.states().p1?.totals.runs).toBe(3);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

test('entries are counted anew where their bodies are read otherwise', () => {
  house.database.writer.exec(`INSERT INTO house_fact VALUES ('bodyVersion', '0'); DELETE FROM counted_entry`);
  house.writer.putInOrder();
  expect(house.everyState()).toEqual(rebuiltStates(house));
  expect(house.reading.sql.countedById.get('nothing')).toBeUndefined();
  expect(house.database.reader.prepare('SELECT COUNT(*) FROM counted_entry').pluck().get()).toBe(4);
});
