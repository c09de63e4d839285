import { changeAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';
import { rebuiltStates } from '../testing/test-house.js';

let served: ServedHouse;
beforeAll(async () => {
  served = await serveHouse();
});
afterAll(() => served.close());

/** Values that a form never sends and a program may. */
const ODD: readonly unknown[] = [
  { constructor: 1 },
  { __proto__: null, toString: 1 },
  JSON.parse('{"__proto__":{"x":1}}'),
  [[]],
  [null],
  [{}],
  [[[]]],
  {},
  [],
  null,
  '',
  'x'.repeat(5000),
  1e308,
  -1,
  true,
];
const entries = [
  { ...runAt(10, 5), body: { ...runAt(10, 5).body, trapProfile: [{ minutes: 0, tempC: -40 }] } },
  lookAt(11, { source: 'sample', lookedAtMl: 300, particles: 'few', particleKinds: ['fibres'] }),
  changeAt(12),
  entryAt(13, 'test', { findings: [{ id: 'haze', state: 'hazy', certainty: 1 }] }),
  entryAt(14, 'labResult', { sampleId: newId(), waterPpm: 12, wearSigns: ['noise'] }),
];

/** An entry with one of its fields, or its body's, replaced. */
const bent = entries.flatMap((entry) => {
  type Make = (fresh: typeof entry, value: unknown) => object;
  const own = Object.keys(entry).map((key): [string, Make] => [key, (fresh, value) => ({ ...fresh, [key]: value })]);
  const inBody = Object.keys(entry.body).map((key): [string, Make] => [
    `body.${key}`,
    (fresh, value) => ({ ...fresh, body: { ...fresh.body, [key]: value } }),
  ]);
  return [...own, ...inBody].map(([field, make]) => ({ entry, kind: entry.kind, field, make }));
});

test.each(bent)('$kind with an odd $field is answered, never failed', async ({ entry, make }) => {
  for (const odd of ODD) {
    const id = newId();
    const sent = make({ ...entry, id, actId: id }, odd);
    const { status, body } = await served.post('/api/entries', { entries: [sent] });
    expect({ odd, status, body: status < 500 ? null : (body as object) }).toMatchObject({ body: null });
  }
});

test.each([[null], ['x'], [[]], [{ entries: null }], [{ entries: [null] }], [{ entries: [[]] }], [{ entries: [1] }]])(
  'a post of %j is answered',
  async (post) => {
    expect((await served.post('/api/entries', post as object)).status).toBeLessThan(500);
    expect((await served.post('/api/set-up', post as object)).status).toBeLessThan(500);
    expect((await served.post('/api/entries/preview', post as object)).status).toBeLessThan(500);
  },
);

test('after all of that the pump still answers, and stands as its journal says', async () => {
  for (const path of ['pumps/p1', 'pumps/p1/diagnosis', 'pumps/p1/water', 'pumps/p1/oil-story', 'round'])
    expect([path, (await served.get(`/api/${path}`)).status]).toEqual([path, 200]);
  expect(served.house.everyState()).toEqual(rebuiltStates(served.house));
});
