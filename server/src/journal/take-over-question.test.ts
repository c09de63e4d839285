import type { Question } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import { at, changeAt, entryAt, runAt } from '@winter-jar/core/testing';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

function asked(entry: Entry): Question[] {
  const [answer] = house.writer.write(SERVER, [entry]);
  return answer?.status === 'asked' ? [...answer.questions] : [];
}
/** Runs on the oil that is in the pump, as its stored state counts them. */
function counted(): number {
  const { totals, sumps } = house.states()['p1']!;
  return totals.runs - sumps[0]!.charge.since.counts.runs;
}
const taken = entryAt(200, 'takeOver', { oilChangedAt: at(100), runsSince: 2 });

test('a run from before the take-over is asked about, and counts once however it is answered', () => {
  expect(house.write(taken)).toEqual(['written']);
  const question = { code: 'takenOver', takenOverAt: at(200), runs: 2 };
  expect(asked(runAt(150, 10))).toEqual([question]);
  expect(counted()).toBe(2);
  expect(house.write({ ...runAt(150, 10), acknowledged: ['takenOver'] })).toEqual(['written']);
  expect(counted()).toBe(2);
  const onTop = runAt(170, 10, 'any-empty', { body: { beyondTakeOver: true } });
  expect(asked(onTop)).toEqual([]);
  expect(counted()).toBe(3);
  expect(asked(runAt(210, 10))).toEqual([]);
  expect(counted()).toBe(4);
});

test('what cannot be one of those that were counted is not asked about', () => {
  expect(house.write(taken)).toEqual(['written']);
  // On the oil before, and a change.
  expect(asked(runAt(50, 10))).toEqual([]);
  expect(asked(changeAt(120))).toEqual([]);
  // The change that nobody knew of begins the charge: what was told of the oil before it says nothing of it.
  expect(counted()).toBe(0);
  // A run on that newer charge is none of those that were counted on the one before.
  expect(asked(runAt(140, 10))).toEqual([]);
  expect(counted()).toBe(1);
  expect(asked(entryAt(300, 'takeOver', {}))).toEqual([]);
  expect(asked(runAt(250, 10))).toEqual([]);
  expect(counted()).toBe(2);
});
