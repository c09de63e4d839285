import type { PumpEffect } from '@winter-jar/contracts';
import type { SetUpKind, SetUpVersion } from '@winter-jar/core';
import { at, changeAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import { SERVER } from '../journal/actor.js';
import { versionOf } from '../testing/served-house.js';
import { jobTools, nowMs, openHouse, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { WorkQueue } from '../work/work-queue.js';
import { SET_UP_EFFECT_JOB } from './set-up-effect.js';
import { SetUpEffectsService } from './set-up-effects.service.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  house.write(
    changeAt(5),
    ...Array.from({ length: 30 }, (_, i) => runAt(10 + i * 40, 20, i % 3 ? 'any-empty' : 'fd-meat')),
    lookAt(700, { colour: 3 }),
    changeAt(705),
    ...Array.from({ length: 8 }, (_, i) => runAt(2000 + i * 30, 10, 'any-empty', { pumpId: 'd1' })),
  );
});
afterEach(() => house.close());

const now = new Date(nowMs()).toISOString();
const version = (kind: SetUpKind, id: string, from: string, changes: object) =>
  versionOf(house, kind, id, from, changes);
const effectOf = (versions: readonly SetUpVersion[], parts: PumpEffect[] = []) =>
  SET_UP_EFFECT_JOB.run(
    { ...jobTools(house), progress: (_share, part) => void (part && parts.push(part)) },
    { versions, now },
  );

test.each<[string, SetUpKind, string, string, object]>([
  ['a material is corrected', 'material', 'fd-meat', START, { fat: 0 }],
  ['a chamber’s hours are corrected', 'equipment', 'chamber', START, { referenceHours: 10 }],
  ['a pump’s limits are corrected', 'pump', 'p1', START, { limits: { oilChange: { runs: 3 } } }],
  ['a pump is named otherwise', 'pump', 'd1', at(8000), { name: 'D-9' }],
  ['a pump becomes a spare', 'pump', 'p1', at(8000), { place: 'spare' }],
  ['rules of the house count from then on', 'houseRules', 'house', at(8000), { limits: { oilChange: { hours: 40 } } }],
  ['rules of the house counted from then on', 'houseRules', 'house', at(500), { limits: { oilChange: { hours: 40 } } }],
  ['an oil is corrected', 'oilProduct', 'oil-a', START, { freshColour: 2 }],
])('where %s, what is said before is what is so after', async (_, kind, id, from, changes) => {
  const versions = [version(kind, id, from, changes)];
  const parts: PumpEffect[] = [];
  const said = await effectOf(versions, parts);
  expect(parts).toEqual(said.effects);
  const before = house.states();
  expect(house.writer.writeSetUp(SERVER, versions)).toEqual([]);
  expect(house.everyState()).toEqual(rebuiltStates(house));
  for (const { pumpId, runsAfter, weightAfter, hoursAfter } of said.effects) {
    const { totals } = house.states()[pumpId]!;
    expect([runsAfter, hoursAfter, weightAfter]).toEqual([totals.runs, totals.minutes / 60, totals.weightMilli / 1000]);
  }
  // Whoever is not named counts as before.
  for (const [pumpId, { totals }] of Object.entries(house.states()))
    if (!said.effects.some((e) => e.pumpId === pumpId)) expect(totals).toEqual(before[pumpId]?.totals);
  expect((await effectOf(versions)).effects).toEqual([]);
});

test('what would be refused is said with the reason', async () => {
  const lost = version('pump', 'p1', at(8000), { siteId: 'nowhere' });
  expect(await effectOf([lost])).toMatchObject({ issues: [{ code: 'unknownId', value: 'nowhere' }], effects: [] });
});

test('a change by a device whose clock is minutes ahead is looked at when it counts', async () => {
  const ahead = new Date(nowMs() + 5 * 60_000).toISOString();
  const { effects } = await effectOf([version('pump', 'p1', ahead, { place: 'retired' })]);
  expect(effects.map(({ pumpId }) => pumpId)).toEqual(['p1']);
});

test('the first rules of a house count from when they were said, not for what was', () => {
  const before = house.states();
  const rules = version('houseRules', 'house', at(8000), { limits: { oilChange: { hours: 40 } } });
  expect(house.store.book.at(at(8000)).houseRules).toEqual({});
  house.writer.writeSetUp(SERVER, [rules]);
  expect(house.states()).toEqual(before);
  expect(Object.keys(house.store.book.at(at(7999)).houseRules)).toEqual([]);
  expect(Object.keys(house.store.book.at(at(8000)).houseRules)).toEqual(['house']);
});

test('where much is to be folded anew it lags, says so, and comes out the same', () => {
  const runs = Array.from({ length: 1100 }, (_, i) => runAt(3000 + i * 3, 2, i % 3 ? 'any-empty' : 'fd-meat'));
  house.writer.writeTogether(SERVER, runs);
  let told = 0;
  house.writer.onLagging(() => (told += 1));
  house.writer.writeSetUp(SERVER, [version('material', 'fd-meat', START, { fat: 0 })]);
  expect([house.writer.lagging, told]).toEqual([1, 1]);
  // Not to be trusted until it is made anew.
  expect(house.states().p1?.foldVersion).toBe(0);
  while (house.writer.bulk.catchUp() !== null);
  expect(house.everyState()).toEqual(rebuiltStates(house));
});

describe('asked for as a page does', () => {
  let queue: WorkQueue;
  let effects: SetUpEffectsService;
  beforeEach(() => {
    queue = new WorkQueue(house.database);
    effects = new SetUpEffectsService({ nowMs }, queue);
  });
  afterEach(() => queue.onModuleDestroy());
  const hours = () => [version('equipment', 'chamber', START, { referenceHours: 10 })];

  test('it is whole at once, or goes on under its id until it is', async () => {
    let answer = await effects.begin(hours());
    while (answer.id !== null) {
      expect(answer.progress).toBeLessThan(1);
      answer = await effects.answerOf(answer.id);
    }
    expect(answer).toEqual({ ...(await effectOf(hours())), progress: 1, id: null });
  });

  test('an id that nobody knows, or that was answered whole, is none', async () => {
    await expect(effects.answerOf('x')).rejects.toThrow(/ask for it anew/);
  });

  test('while other data are put in place nothing is reckoned', async () => {
    house.database.busy = true;
    await expect(effects.begin(hours())).rejects.toThrow(/ask again in a moment/);
  });
});
