import type { DoorAnswer, NewCode, PeopleAnswer } from '@winter-jar/contracts';
import { changeAt, runAt } from '@winter-jar/core/testing';
import { Door } from '../house/door.js';
import { TabletWriters } from '../people/tablet-writers.js';
import { addOtherSite } from '../testing/other-site.js';
import { ServedHouses, signedIn, type ServedHouse } from '../testing/served-house.js';

// A tablet that everybody of a site shares. Ada is the owner, Ben a technician, Cleo an operator of the site, Dov a reader, Eve of the other site.
const houses = new ServedHouses();
afterEach(() => houses.close());

let served: ServedHouse;
let ada: string;
let tablet: string;
beforeEach(async () => {
  served = await houses.serve();
  addOtherSite(served);
  ada = await signedIn(served, 'Ada', 'owner');
  await signedIn(served, 'Ben', 'technician');
  await signedIn(served, 'Cleo', 'operator', ['site']);
  await signedIn(served, 'Dov', 'reader');
  await signedIn(served, 'Eve', 'operator', ['north']);
  tablet = await pairedTablet();
});

const as = (cookie: string) => ({ Cookie: cookie });
const code = async (siteId: string) =>
  ((await served.post('/api/people/tablet-code', { siteId }, as(ada)).expect(200)).body as NewCode).code;
async function pairedTablet(): Promise<string> {
  const answer = await served.post('/api/door/pair', { code: await code('site'), device: 'Plant room' }).expect(200);
  const [cookie = ''] = answer.headers['set-cookie'] as unknown as string[];
  return cookie.split(';')[0] ?? '';
}
const door = async (cookie = tablet) => (await served.get('/api/door').set('Cookie', cookie)).body as DoorAnswer;
const writeAs = (personId: string | null, pin: string | null = null) =>
  served.post('/api/door/write-as', { personId, pin }, as(tablet));
const write = (entry: object) => served.post('/api/entries', { entries: [entry] }, as(tablet));

test('its code is for one site, used once, and says which; it asks who writes, and offers those who may there', async () => {
  const another = await code('site');
  expect((await served.post('/api/door/look-at-code', { code: another })).body).toEqual({
    ...{ purpose: 'tablet', name: 'Test site' },
  });
  expect(await door()).toMatchObject({ state: 'in', who: null, rights: ['read'] });
  expect((await door()).tablet).toEqual({
    siteName: 'Test site',
    people: [
      { personId: 'ada', name: 'Ada', hasPin: false },
      { personId: 'ben', name: 'Ben', hasPin: false },
      { personId: 'cleo', name: 'Cleo', hasPin: false },
    ],
  });
  await served.post('/api/people/tablet-code', { siteId: 'constructor' }, as(ada)).expect(404);
});

test('nobody writes before they have said who they are; then it is theirs, of this site, and nothing that is theirs alone', async () => {
  await write(runAt(20, 2)).expect(403);
  await writeAs('dov').expect(404);
  await writeAs('eve').expect(404);
  await writeAs('cleo').expect(200);
  expect(await door()).toMatchObject({ who: { personId: 'cleo', siteIds: ['site'] }, rights: ['read', 'log'] });
  const run = runAt(20, 2);
  await write(run).expect(201);
  const { body } = await served.get(`/api/entries/${run.id}`).set('Cookie', tablet);
  expect(body).toMatchObject({ original: { who: 'cleo' } });
  // Not as somebody else, not what an operator may not, not of the other site.
  await write({ ...runAt(30, 2), who: 'ada' }).expect(403);
  await write(changeAt(40)).expect(403);
  await write(runAt(30, 2, 'any-empty', { pumpId: 'n1', equipmentId: 'n-line' })).expect(403);
  // An owner is not one here.
  await writeAs('ada').expect(200);
  expect((await door()).rights).toEqual(['read', 'log', 'write']);
  await write(changeAt(40)).expect(201);
  for (const [path, sent] of [
    ['/api/people/ada/code', { purpose: 'pair' }],
    ['/api/people/ada/code', { purpose: 'password' }],
    ['/api/door/pin', { pin: '1234' }],
    ['/api/people/tablet-code', { siteId: 'site' }],
  ] as const)
    expect([path, (await served.post(path, sent, as(tablet))).status]).toEqual([path, 403]);
  await served
    .post('/api/door/set-password', { present: 'whatever it was', password: 'three small jars' }, as(tablet))
    .expect(401);
  const { body: own } = await served.get('/api/door/sessions').set('Cookie', tablet);
  expect(own).toEqual({ sessions: [], hasPin: false });
  await writeAs(null).expect(200);
  await write(runAt(60, 2)).expect(403);
});

test('a PIN is asked for where one is set, and guessing is slowed down', async () => {
  const ben = await signedIn(served, 'Ben', 'technician');
  for (const pin of ['123', '123456789', '12a4', 1234])
    await served.post('/api/door/pin', { pin }, as(ben)).expect(400);
  const kept = await served.post('/api/door/pin', { pin: '0420' }, as(ben)).expect(200);
  expect(kept.body).toMatchObject({ hasPin: true });
  await writeAs('ben').expect(403);
  await writeAs('ben', '0421').expect(403);
  expect((await door()).who).toBeNull();
  await writeAs('ben', '0420').expect(200);
  for (let i = 0; i < 5; i++) await writeAs('ben', '9999').expect(403);
  await writeAs('ben', '0420').expect(429);
  // Whoever has written goes on; others come as before.
  expect((await door()).who?.personId).toBe('ben');
  await writeAs('cleo').expect(200);
  await served.post('/api/door/pin', { pin: null }, as(ben)).expect(200);
  await writeAs('ben').expect(200);
});

test('whoever steps away is asked again; taken off, it opens nothing', async () => {
  const { people } = served.app.get(Door);
  await writeAs('cleo').expect(200);
  const [session] = people.sessions.tablets;
  people.writers.say(session?.id ?? '', null);
  await write(runAt(20, 2)).expect(403);
  const { tablets } = (await served.get('/api/people').set('Cookie', ada)).body as PeopleAnswer;
  expect(tablets).toMatchObject([{ name: 'Plant room', siteId: 'site', kind: 'tablet' }]);
  await served.post(`/api/door/sessions/${tablets[0]?.id}/end`, {}, as(ada)).expect(200);
  await served.get('/api/round').set('Cookie', tablet).expect(401);
  await writeAs('cleo').expect(403);
  // What was never a tablet asks nobody.
  await served.post('/api/door/write-as', { personId: 'ben' }, as(ada)).expect(403);
  const { events } = (await served.get('/api/people/record').set('Cookie', ada)).body as { events: { what: string }[] };
  expect(events.map((e) => e.what)).toEqual(expect.arrayContaining(['tabletPaired', 'wroteAs', 'sessionEnded']));
});

test('a writer is kept for ten minutes, each deed anew', () => {
  let nowMs = Date.parse('2031-03-01T08:00:00.000Z');
  const writers = new TabletWriters({ nowMs: () => nowMs });
  writers.say('t', 'cleo');
  nowMs += 599_000;
  writers.goesOn('t');
  nowMs += 599_000;
  expect(writers.at('t')).toBe('cleo');
  nowMs += 1_000;
  expect(writers.at('t')).toBeNull();
  writers.goesOn('t');
  expect(writers.at('t')).toBeNull();
});
