import { runAt } from '@winter-jar/core/testing';
import request from 'supertest';
import { Door, OWN_MACHINE } from '../house/door.js';
import { ServedHouses, signedIn, type ServedHouse } from '../testing/served-house.js';

const houses = new ServedHouses();
let served: ServedHouse;
let owner: string;
beforeEach(async () => {
  served = await houses.serve();
  owner = await signedIn(served, 'Ada', 'owner');
});
afterEach(() => houses.close());

const entries = { entries: [runAt(10, 2)] };
const seq = async () => (await served.get('/api/changes').set('Cookie', owner)).text;

// With the owner's cookie, as a browser would send it along if it were not told otherwise.
test.each<[string, Record<string, string>, string, number]>([
  ['fetch of a foreign page', { Origin: 'http://evil.example' }, 'application/json', 403],
  ['fetch of another port', { Origin: 'http://localhost:9999' }, 'application/json', 403],
  ['page without an origin of its own', { Origin: 'null' }, 'application/json', 403],
  ['name that points here', { Host: 'evil.example', Origin: 'http://evil.example' }, 'application/json', 403],
  ['form', {}, 'application/x-www-form-urlencoded', 415],
  ['form of plain text', {}, 'text/plain', 415],
])('a %s writes nothing as whoever is signed in', async (_who, headers, type, status) => {
  const before = await seq();
  await request(served.server)
    .post('/api/entries')
    .set({ Host: 'localhost', Cookie: owner, 'content-type': type, ...headers })
    .send(JSON.stringify(entries))
    .expect(status);
  expect(await seq()).toBe(before);
});

test('a name that points here is not shown anything either', async () => {
  await served.get('/api/round').set({ Host: 'evil.example', Cookie: owner }).expect(403);
  await served.get('/api/door').set({ Host: 'evil.example', Cookie: owner }).expect(403);
});

test.each([
  '/api/photos/..%2f..%2fpeople.sqlite',
  '/api/photos/%2e%2e%2fpeople.sqlite/thumb',
  '/api/gauge-logs/..%2fpeople.sqlite',
  '/assets/..%2f..%2fpeople.sqlite',
  '/..%2f..%2fpeople.sqlite',
])('%s leads nowhere', async (path) => {
  const { status, text } = await served.get(path).set('Cookie', owner);
  expect([400, 403, 404]).toContain(status);
  expect(text).not.toContain('SQLite');
});

test('a claim that is sent beside another of the same code comes too late', async () => {
  const open = await houses.serve({ ways: { openToNetwork: true } });
  const { code } = await open.app.get(Door).people.codes.make('claim', null);
  const claim = (name: string) => open.post('/api/door/claim', { code, name, password: 'three small jars' });
  const statuses = await Promise.all(['Ada', 'Mallory', 'Eve'].map(async (name) => (await claim(name)).status));
  expect(statuses.sort()).toEqual([200, 404, 404]);
  expect(open.app.get(Door).people.accounts.all).toHaveLength(1);
});

test('many guesses at once are no more than one after another', async () => {
  const guesses = Array.from({ length: 30 }, (_, i) =>
    served.post('/api/door/look-at-code', { code: `AAAA-BB${String(i).padStart(2, '2')}` }),
  );
  const statuses = (await Promise.all(guesses)).map(({ status }) => status);
  expect(statuses.filter((status) => status === 404)).toHaveLength(5);
  expect(statuses.filter((status) => status === 429)).toHaveLength(25);
});

// Where it is asked from, whether the line is safe, and how the server was started.
test.each([
  ['127.0.0.1', false, false, true],
  ['::1', false, false, true],
  ['::ffff:127.0.0.1', false, false, true],
  ['192.168.1.20', false, false, false],
  ['192.168.1.20', true, false, true],
  ['192.168.1.20', false, true, true],
  ['10.127.0.1', false, false, false],
  ['1270.0.0.1', false, false, false],
])('from %s, by https %s, told to be plain %s: passwords are taken %s', (remoteAddress, secure, isPlain, taken) => {
  const door = new Door(served.app.get(Door).people, { ...OWN_MACHINE, isPlain });
  const asked = { socket: { remoteAddress }, secure } as unknown as Parameters<Door['mayCarryPasswords']>[0];
  expect(door.mayCarryPasswords(asked)).toBe(taken);
});
