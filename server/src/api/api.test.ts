import type { INestApplication } from '@nestjs/common';
import { at, changeAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import type { Server } from 'node:http';
import request from 'supertest';
import { createApp } from '../app.js';
import { nowMs, NOW_HOURS, openHouse, type TestHouse } from '../testing/test-house.js';

let house: TestHouse;
let app: INestApplication;
let server: Server;
beforeAll(async () => {
  house = await openHouse();
  app = await createApp({ database: house.database, clock: { nowMs } });
  await app.init();
  server = app.getHttpServer() as Server;
});
afterAll(async () => {
  await app.close();
  await house.close();
});

const post = (entries: unknown[]) => request(server).post('/api/entries').set('Host', 'localhost').send({ entries });
const issueOf = async (entry: unknown) => {
  const response = await post([entry]).expect(400);
  return (response.body as { answers: { issues: { field: string; value: unknown; code: string; right: string }[] }[] })
    .answers[0]?.issues[0];
};
const run = (body: object, more: object = {}) => {
  const base = runAt(10, 20);
  return { ...base, ...more, body: { ...base.body, ...body } };
};

// Each wrong input names the field, the value and what would be right.
test.each<[string, () => unknown, string, unknown, RegExp]>([
  [
    'ends before it starts',
    () => run({ minutes: -30 }),
    'body.minutes',
    -30,
    /at least 1 minute: a run ends after it starts/,
  ],
  ['absurd hours', () => run({ minutes: 100_000 }), 'body.minutes', 100_000, /at most 30 days/],
  ['half minutes', () => run({ minutes: 10.5 }), 'body.minutes', 10.5, /whole minutes/],
  ['no length at all', () => run({ minutes: undefined }), 'body.minutes', null, /minutes, or cycles/],
  [
    'starts in the future',
    () => run({}, { happenedAt: at(NOW_HOURS + 1) }),
    'happenedAt',
    at(NOW_HOURS + 1),
    /a time that has passed/,
  ],
  [
    'ends in the future',
    () => run({ minutes: 120 }, { happenedAt: at(NOW_HOURS - 1) }),
    'body.minutes',
    120,
    /log it when it ends/,
  ],
  [
    'an unknown material',
    () => run({ materialId: 'moon-dust' }),
    'body.materialId',
    'moon-dust',
    /the id of a material/,
  ],
  [
    'an unknown pump',
    () => run({}, { subjects: [{ type: 'pump', id: 'p77' }] }),
    'subjects.0.id',
    'p77',
    /the id of a pump/,
  ],
  [
    'no pump',
    () => run({}, { subjects: [{ type: 'equipment', id: 'chamber' }] }),
    'subjects',
    [{ type: 'equipment', id: 'chamber' }],
    /at least one pump/,
  ],
  [
    'no equipment',
    () => run({}, { subjects: [{ type: 'pump', id: 'p1' }] }),
    'subjects',
    [{ type: 'pump', id: 'p1' }],
    /the equipment that it ran on/,
  ],
  ['an unknown field', () => run({ colour: 3 }), 'body.colour', 3, /leave this field out/],
  ['an unknown kind', () => ({ ...runAt(10, 20), kind: 'repair' }), 'kind', 'repair', /one of run, look/],
  [
    'a date that is none',
    () => run({}, { happenedAt: '2031-02-30T10:00' }),
    'happenedAt',
    '2031-02-30T10:00',
    /an instant in UTC/,
  ],
  ['a zone that is none', () => run({}, { zone: 'Moon/Base' }), 'zone', 'Moon/Base', /an IANA time zone/],
  ['an id that is none', () => run({}, { id: 'abc' }), 'id', 'abc', /a UUID/],
  ['a pressure above the atmosphere', () => run({ lowestPressurePa: 2e6 }), 'body.lowestPressurePa', 2e6, /atmosphere/],
  [
    'more in than the housing holds',
    () => ({ ...changeAt(20), body: { sump: 'oil', productId: 'oil-a', outMl: 600, inMl: 1200, levelAfter: 'right' } }),
    'body.inMl',
    1200,
    /at most 1000 mL/,
  ],
  [
    'more water than was drawn',
    () => entryAt(20, 'bleed', { sump: 'oil', drawnMl: 10, waterMl: 20 }),
    'body.waterMl',
    20,
    /at most what was drawn, 10 mL/,
  ],
  [
    'a sump the pump has not',
    () => entryAt(20, 'bleed', { sump: 'gearA', drawnMl: 10, waterMl: 2 }),
    'body.sump',
    'gearA',
    /a sump of this pump: oil/,
  ],
  [
    'oil in a dry pump',
    () => entryAt(20, 'topUp', { sump: 'oil', productId: 'oil-a', addedMl: 10, levelAfter: 'right' }, { pumpId: 'd1' }),
    'body.sump',
    'oil',
    /holds no oil/,
  ],
  ['a colour between the half steps', () => lookAt(20, { colour: 3.3 }), 'body.colour', 3.3, /half step/],
  [
    'a jar without its volume',
    () => lookAt(20, { source: 'sample', clarity: 'hazy' }),
    'body.lookedAtMl',
    null,
    /the mL in the jar/,
  ],
  ['a task that has an entry of its own', () => entryAt(20, 'done', { task: 'bleed' }), 'body.task', 'bleed', /one of/],
  ['not an object', () => 'run', 'body', 'run', /a JSON object/],
])('%s is refused', async (_what, entry, field, value, right) => {
  expect(await issueOf(entry())).toMatchObject({ field, value, right: expect.stringMatching(right) as string });
});

test('what is a little ahead of the clock is accepted', async () => {
  await post([{ ...lookAt(1, { level: 'right' }), happenedAt: new Date(nowMs() + 9 * 60_000).toISOString() }]).expect(
    201,
  );
});

test('one entry answers with its own status, several with 207 and each by itself', async () => {
  const first = runAt(4000, 20);
  await post([first]).expect(201);
  await post([first]).expect(200);
  await post([{ ...first, happenedAt: at(4001) }]).expect(409);
  await post([runAt(4005, 3)]).expect(422);
  const mixed = await post([runAt(4100, 5), run({ minutes: 0 })]).expect(207);
  expect((mixed.body as { answers: { status: string }[] }).answers.map((a) => a.status)).toEqual([
    'written',
    'refused',
  ]);
});

test('not JSON, too large, not a list, of another type: each says what would be right', async () => {
  const raw = (type: string, body: string) =>
    request(server).post('/api/entries').set('Host', 'localhost').set('content-type', type).send(body);
  expect((await raw('application/json', '{"entries": [').expect(400)).body).toMatchObject({
    code: 'notJson',
    right: 'a JSON body',
  });
  expect(
    (await raw('application/json', JSON.stringify({ entries: ['x'.repeat(1_000_100)] })).expect(413)).body,
  ).toMatchObject({ code: 'tooLarge', right: 'at most 1,000,000 bytes' });
  expect((await raw('application/json', '{"entries": {}}').expect(400)).body).toMatchObject({
    issues: [{ field: 'entries' }],
  });
  expect((await raw('text/plain', 'hello').expect(415)).body).toMatchObject({ code: 'unsupported' });
});

test('pages of other origins are kept out, also on this machine', async () => {
  await request(server).get('/api/round').set('Host', 'evil.example').expect(403);
  await request(server)
    .get('/api/round')
    .set('Host', 'localhost:4870')
    .set('Origin', 'http://evil.example')
    .expect(403);
  await request(server)
    .get('/api/round')
    .set('Host', 'localhost:4870')
    .set('Origin', 'http://localhost:4870')
    .expect(200);
  await request(server).get('/api/round').set('Host', '192.168.1.9:4870').expect(200);
});

test('the Round, a pump, its journal and the history of an entry can be read', async () => {
  const get = async (path: string, status = 200) =>
    (await request(server).get(path).set('Host', 'localhost').expect(status)).body as Record<string, unknown>;
  const change = changeAt(5000);
  const look = lookAt(5050, { freeWaterMl: 80 });
  await post([change, runAt(5010, 20), look]).expect(207);
  const round = (await get('/api/round')) as { rows: { pumpId: string; verdict: string }[]; needHands: number };
  expect(round.rows[0]).toMatchObject({ pumpId: 'p1', verdict: 'stop' });
  expect(round.needHands).toBe(round.rows.filter((r) => ['stop', 'beforeNextRun'].includes(r.verdict)).length);
  expect(await get('/api/pumps/p1')).toMatchObject({
    row: { name: 'P-1' },
    standing: { verdict: 'stop' },
    setUp: { model: { name: 'Test vane' } },
  });
  const journal = (await get('/api/pumps/p1/journal')) as unknown as { lines: { entry: { id: string } }[] };
  expect(journal.lines.some((l) => l.entry.id === look.id)).toBe(true);
  expect(await get(`/api/entries/${look.id}`)).toMatchObject({
    original: { id: look.id },
    corrections: [],
    contradicted: false,
  });
  expect(await get('/api/pumps/nobody', 404)).toMatchObject({
    code: 'notFound',
    right: expect.stringContaining('nobody') as string,
  });
  expect(await get('/api/nothing', 404)).toMatchObject({ code: 'notFound' });
  expect(await get('/api/openapi.json')).toMatchObject({
    openapi: '3.1.0',
    paths: { '/api/entries': { post: { operationId: 'postEntries' } } },
  });
});

test('set-up: every wrong field is named, and a pump without its model is refused', async () => {
  const version = {
    id: '0199aaaa-0000-7000-8000-000000000001',
    kind: 'site',
    subjectId: 's9',
    validFrom: at(1),
    recordedAt: at(1),
    body: { name: '', process: 'baking', zone: 'Europe/Lisbon', colour: 'red' },
  };
  const response = await request(server)
    .post('/api/set-up')
    .set('Host', 'localhost')
    .send({ versions: [version] })
    .expect(400);
  const fields = (response.body as { issues: { field: string }[] }).issues.map((i) => i.field);
  expect(fields).toEqual(
    expect.arrayContaining(['versions.0.body.name', 'versions.0.body.process', 'versions.0.body.colour']),
  );
});

test('long answers are compressed for whoever can read that, short ones not', async () => {
  const ask = (path: string, encoding: string) =>
    request(server).get(path).set('Host', 'localhost').set('Accept-Encoding', encoding).expect(200);
  const [packed, plain, short] = [
    await ask('/api/set-up', 'gzip'),
    await ask('/api/set-up', 'identity'),
    await ask('/api/about', 'gzip'),
  ];
  expect(packed.headers['content-encoding']).toBe('gzip');
  expect(plain.headers['content-encoding']).toBeUndefined();
  expect(short.headers['content-encoding']).toBeUndefined();
  expect(packed.body).toEqual(plain.body);
});
