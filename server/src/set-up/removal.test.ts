import { at, entryAt, runAt } from '@winter-jar/core/testing';
import type { JournalEntry, SetUpKind } from '@winter-jar/core';
import { SERVER } from '../journal/actor.js';
import { serveHouse, versionOf, type ServedHouse } from '../testing/served-house.js';
import { nowMs, rebuiltStates, type TestHouse } from '../testing/test-house.js';
import { inJournal } from '../journal/set-up-removal.js';

let served: ServedHouse;
let house: TestHouse;
const openHouse = async () => {
  served = await serveHouse();
  ({ house } = served);
};
const closeHouse = () => served.close();

type Named = readonly [kind: SetUpKind, id: string];
const remove = (...records: readonly Named[]) =>
  served.post('/api/set-up/remove', { records: records.map(([kind, id]) => ({ kind, id })) });
const refusal = async (...records: readonly Named[]) => {
  const { body } = await remove(...records).expect(400);
  return (body as { issues: { right: string }[] }).issues.map(({ right }) => right).join('; ');
};
const names = async (kind: SetUpKind) => {
  const { body } = await served.get('/api/set-up').expect(200);
  return Object.keys((body as { house: Record<SetUpKind, object> }).house[kind]);
};
/** Beside what is there, by the server's own door. */
const add = async (kind: SetUpKind, like: string, id: string, changes: object = {}) => {
  const version = { ...versionOf(house, kind, like, at(100), { name: id, ...changes }), subjectId: id };
  await served.post('/api/set-up', { versions: [version] }).expect(201);
};
const send = (entry: JournalEntry) => served.post('/api/entries', { entries: [entry] }).expect(201);

describe('what goes, or may have gone', () => {
  beforeEach(openHouse);
  afterEach(closeHouse);

  test('what was just added goes again: a pump with its take-over, and what came with it, in one', async () => {
    await add('site', 'site', 'shed');
    await add('equipment', 'chamber', 'tank', { siteId: 'shed' });
    await add('pump', 'p1', 'p9', { siteId: 'shed', equipmentId: 'tank' });
    await send(entryAt(200, 'takeOver', { runsSince: 3 }, { pumpId: 'p9' }));
    expect(Object.keys(house.states())).toEqual(['p9']);
    expect(await refusal(['site', 'shed'])).toMatch(/no other names: tank, p9 does, or did/);
    const { body } = await remove(['pump', 'p9'], ['equipment', 'tank'], ['site', 'shed']).expect(200);
    expect(body).toEqual({ removed: 3 });
    expect([await names('pump'), await names('site')].flat()).not.toContain('p9');
    expect(await names('site')).toEqual(['site']);
    expect(house.journal()).toEqual([]);
    expect(house.states()).toEqual({});
    await served.get('/api/pumps/p9').expect(404);
    // It can come again under the same id.
    await add('pump', 'p1', 'p9');
    expect(await names('pump')).toContain('p9');
  });

  test('a material of which only a taken-back run tells stays; one that nothing names goes', async () => {
    const run = runAt(10, 20, 'fd-meat', { equipmentId: 'chamber' });
    await send(run);
    const correction = { targetId: run.id, supersedes: null, saw: [], action: 'void' as const };
    const id = '30000000-0000-4000-8000-000000000001';
    await send({ ...run, id, actId: run.actId, kind: 'correction', body: correction });
    expect(house.states()).toEqual({});
    expect(await refusal(['material', 'fd-meat'])).toMatch(/1 of the journal do/);
    await remove(['material', 'fd-plants']).expect(200);
    expect(await names('material')).not.toContain('fd-plants');
  });

  test('what was written between the search and the removal is seen', () => {
    const record = { kind: 'material', subjectId: 'fd-meat' } as const;
    const searched = { until: 0, named: [inJournal(house.reading.sql, record)] };
    house.write(runAt(10, 20, 'fd-meat', { equipmentId: 'chamber' }));
    expect(house.writer.removeSetUp(SERVER, [record], searched)).toMatchObject([{ code: 'named', value: 1 }]);
    expect(house.store.book.at(new Date(nowMs()).toISOString()).material['fd-meat']).toBeDefined();
  });
});

// Nothing of it changes the house.
describe('what is refused', () => {
  beforeAll(async () => {
    await openHouse();
    await send(runAt(10, 20, 'fd-meat', { equipmentId: 'chamber' }));
  });
  afterAll(closeHouse);

  test.each<[string, Named, RegExp]>([
    ['a model that a pump has', ['pumpModel', 'vane'], /no other names: P-1 does/],
    ['an oil that a pump has', ['oilProduct', 'oil-a'], /no other names: P-1, B-1 does/],
    ['a pump that ran', ['pump', 'p1'], /no entry names: 1 of the journal do/],
    ['a material that was in a run', ['material', 'fd-meat'], /no entry names: 1 of the journal do/],
    ['the rules of the house', ['houseRules', 'house'], /the rules of the house always stand/],
    ['a record that there is not', ['pump', 'p7'], /a record of the set-up/],
  ])('%s stays', async (_, record, right) => {
    const before = (await served.get('/api/set-up')).body as { house: object };
    expect(await refusal(record)).toMatch(right);
    expect(((await served.get('/api/set-up')).body as { house: object }).house).toEqual(before.house);
    expect(house.everyState()).toEqual(rebuiltStates(house));
  });

  test.each([{}, { records: [] }, { records: 'all' }, { records: [{ kind: 'cart', id: 'p1' }] }, { records: [null] }])(
    '%j is no list of records',
    async (body) => {
      const answer = await served.post('/api/set-up/remove', body).expect(400);
      expect(JSON.stringify(answer.body)).toMatch(/a list of 1 to 20 records/);
    },
  );
});
