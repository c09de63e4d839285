import type { Question } from '@winter-jar/contracts';
import type { Entry, SetUpVersion } from '@winter-jar/core';
import { at, changeAt, entryAt, runAt, versionsOf } from '@winter-jar/core/testing';
import { versionOf } from '../testing/served-house.js';
import { openHouse, type TestHouse } from '../testing/test-house.js';
import { SERVER } from './actor.js';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
afterEach(() => house.close());

let made = 0;
/** A record as it is from the beginning, otherwise than the small yard has it. */
function saved(subjectId: string, changes: object, kind?: SetUpVersion['kind']): void {
  const base = versionsOf().find((v) => v.subjectId === subjectId)!;
  made += 1;
  const id = `30000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  const version = {
    ...base,
    id,
    kind: kind ?? base.kind,
    body: { ...base.body, ...changes },
    recordedAt: at(made / 100),
  };
  expect(house.writer.writeSetUp(SERVER, [version as SetUpVersion])).toEqual([]);
}
function asked(entry: Entry): Question[] {
  const [answer] = house.writer.write(SERVER, [entry]);
  return answer?.status === 'asked' ? [...answer.questions] : [];
}
const topUp = (hours: number) => entryAt(hours, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 50 });

test('hydrocarbon oil for an oxygen or a PFPE pump is asked about before it is saved, and saved where it happened', () => {
  expect(asked(changeAt(2))).toEqual([]);
  saved('p1', { serviceClasses: ['oxygen'] });
  const unfit = { code: 'unfitOil', unfit: 'oxygen', productId: 'oil-a' };
  expect(asked(changeAt(10))).toEqual([unfit]);
  expect(asked(topUp(12))).toEqual([unfit]);
  expect(house.write({ ...changeAt(14), acknowledged: ['unfitOil'] })).toEqual(['written']);
  saved('p1', { oilProductId: 'oil-b' });
  saved('oil-b', { base: 'pfpe', densityKgM3: 1890 });
  expect(asked(topUp(20))).toEqual([{ ...unfit, unfit: 'pfpe' }]);
  expect(asked(changeAt(22, 'oil-b'))).toEqual([]);
});

test('mineral oil that is filled into an oxygen pump under the name of PFPE is told by its can', () => {
  saved('p1', { serviceClasses: ['oxygen'] });
  saved('oil-b', { base: 'pfpe', densityKgM3: 1890 });
  const can = versionsOf().find((v) => v.subjectId === 'oil-a')!;
  const id = '30000000-0000-4000-8000-000000000999';
  const body = { name: 'Can', vessel: 'can', holdsMl: 5000, siteId: 'site' } as const;
  expect(house.writer.writeSetUp(SERVER, [{ ...can, id, kind: 'container', subjectId: 'can', body }])).toEqual([]);
  const bought = { toId: 'can', outside: 'bought', productId: 'oil-a', oilMl: 5000 } as const;
  const purchase = { ...entryAt(1, 'transfer', bought), subjects: [{ type: 'container', id: 'can' }] } as Entry;
  expect(house.write(purchase)).toEqual(['written']);
  const told = { code: 'otherOil', containerId: 'can', productIds: ['oil-a'], unfit: 'oxygen' };
  const filled = changeAt(10, 'oil-b');
  const fromCan = { ...filled, body: { ...filled.body, fromContainerId: 'can' } } as Entry;
  expect(asked(fromCan)).toEqual([told]);
  const flushed = { ...filled, body: { ...filled.body, flushed: [{ inMl: 300, fromContainerId: 'can' }] } } as Entry;
  expect(asked(flushed)).toEqual([told]);
  // Said as what it is, it is the oil itself that does not belong there.
  const named = { ...changeAt(11), body: { ...changeAt(11).body, fromContainerId: 'can' } } as Entry;
  expect(asked(named)).toEqual([{ code: 'unfitOil', unfit: 'oxygen', productId: 'oil-a' }]);
});

test('a run after a pump was retired is asked about; one from before is not, nor is what else is done at it', () => {
  const retired = versionOf(house, 'pump', 'p1', at(100), { place: 'retired' });
  expect(house.writer.writeSetUp(SERVER, [retired])).toEqual([]);
  const on = { equipmentId: 'chamber' };
  expect(asked(runAt(50, 20, 'any-empty', on))).toEqual([]);
  expect(asked(runAt(150, 20, 'any-empty', on))).toEqual([{ code: 'retired' }]);
  expect(asked(changeAt(200))).toEqual([]);
  expect(house.write({ ...runAt(250, 20, 'any-empty', on), acknowledged: ['retired'] })).toEqual(['written']);
});

test('oil that is not registered for food is asked about in a food pump', () => {
  saved('chamber', { serviceClasses: ['food'] });
  expect(asked(changeAt(10))).toEqual([{ code: 'unfitOil', unfit: 'food', productId: 'oil-a' }]);
  saved('oil-a', { foodGrade: true });
  expect(asked(changeAt(11))).toEqual([]);
});

test('a run with oxygen on hydrocarbon oil, and one with solvent and an open ballast, are asked about', () => {
  saved('any-empty', { oxygenPercent: 60 });
  expect(asked(runAt(10, 2))).toEqual([{ code: 'unfitOil', unfit: 'oxygen', productId: 'oil-a' }]);
  // Once it has pumped oxygen, mineral oil is asked about whatever its class.
  expect(house.write({ ...runAt(20, 2), acknowledged: ['unfitOil'] })).toEqual(['written']);
  expect(asked(changeAt(30))).toEqual([{ code: 'unfitOil', unfit: 'oxygen', productId: 'oil-a' }]);
  const styrene = (ballast: 'open' | 'closed' | 'purge') => runAt(40, 2, 'co-polyester', { body: { ballast } });
  expect(asked(styrene('open'))).toEqual([{ code: 'airOnSolvent' }]);
  expect(asked(styrene('purge'))).toEqual([{ code: 'airOnSolvent' }]);
  expect(asked(styrene('closed'))).toEqual([]);
});
