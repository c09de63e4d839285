import type { DoorAnswer, DoorRecordAnswer, NewCode, PeopleAnswer, SessionsAnswer } from '@winter-jar/contracts';
import { at, changeAt } from '@winter-jar/core/testing';
import { get as ask } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Door } from '../house/door.js';
import { ServedHouses, signedIn, versionOf, type ServedHouse } from '../testing/served-house.js';

const houses = new ServedHouses();
afterEach(() => houses.close());

const PASSWORD = 'four words of ours';
const cookieOf = ({ headers }: { headers: Record<string, unknown> }): string =>
  (headers['set-cookie'] as string[] | undefined)?.[0]?.split(';')[0] ?? '';
const as = (cookie: string) => ({ Cookie: cookie });
const stateOf = async (served: ServedHouse, cookie = '') =>
  ((await served.get('/api/door').set('Cookie', cookie)).body as DoorAnswer).state;
const doors = (served: ServedHouse) => served.app.get(Door).people;

test('on one machine nobody signs in, until somebody says that they are the owner', async () => {
  const served = await houses.serve();
  expect(await stateOf(served)).toBe('free');
  await served.get('/api/round').expect(200);

  const short = await served.post('/api/door/claim', { name: 'Ada', password: 'too short' }).expect(400);
  expect(short.body).toMatchObject({ issues: [{ field: 'password', value: null }] });
  expect(JSON.stringify(short.body)).not.toContain('too short');

  const claimed = await served.post('/api/door/claim', { name: ' Ada ', password: PASSWORD }).expect(200);
  expect(claimed.body).toMatchObject({ state: 'in', who: { name: 'Ada', role: 'owner' } });
  const [set] = claimed.headers['set-cookie'] as unknown as string[];
  expect(set).toMatch(/^winter-jar-[\w-]{8}=[\w-]{43}; Max-Age=\d+; Path=\/; .*HttpOnly; SameSite=Strict$/);
  await served.get('/api/round').expect(401);
  const { body } = await served.get('/api/set-up').set('Cookie', cookieOf(claimed)).expect(200);
  const { personId } = (claimed.body as DoorAnswer).who ?? { personId: '' };
  expect(body).toMatchObject({ house: { person: { [personId]: { name: 'Ada' } } } });
  // There is one owner to begin with, not whoever comes second.
  await served.post('/api/door/claim', { name: 'Mallory', password: PASSWORD }).expect(409);
});

test('whoever signs in is known by name, also where the set-up is older than they are', async () => {
  const served = await houses.serve();
  const claimed = await served.post('/api/door/claim', { name: 'Ada', password: PASSWORD }).expect(200);
  const id = (claimed.body as DoorAnswer).who?.personId ?? '';
  const here = as(cookieOf(claimed));
  await served.post('/api/set-up/remove', { records: [{ kind: 'person', id }] }, here).expect(200);
  const again = await served.post('/api/door/sign-in', { name: 'Ada', password: PASSWORD }).expect(200);
  const { body } = await served.get('/api/set-up').set('Cookie', cookieOf(again)).expect(200);
  expect(body).toMatchObject({ house: { person: { [id]: { name: 'Ada' } } } });
});

test('open to a network nothing but the door is served until the code of the terminal was used, once', async () => {
  const served = await houses.serve({ ways: { openToNetwork: true } });
  expect(await stateOf(served)).toBe('unclaimed');
  await served.get('/api/round').expect(401);
  await served.get('/api/openapi.json').expect(401);
  const { code } = await doors(served).codes.make('claim', null);
  const look = await served.post('/api/door/look-at-code', { code }).expect(200);
  expect(look.body).toEqual({ purpose: 'claim', name: null });
  await served.post('/api/door/claim', { name: 'Mallory', password: PASSWORD }).expect(404);
  await served.post('/api/door/claim', { name: 'Mallory', password: PASSWORD, code: 'AAAA-BBBB' }).expect(404);
  // As somebody types it.
  const typed = code.toLowerCase().replace('-', ' ');
  await served.post('/api/door/claim', { name: 'Ada', password: PASSWORD, code: typed }).expect(200);
  await served.post('/api/door/look-at-code', { code }).expect(404);
});

test('told to be open, it asks nobody, whatever accounts there are', async () => {
  const served = await houses.serve({ ways: { openToNetwork: true, isOpen: true } });
  await signedIn(served, 'Ada', 'owner');
  expect(await stateOf(served)).toBe('open');
  await served.get('/api/people').expect(200);
  await served.post('/api/door/step-into', { personId: 'ada' }).expect(403);
  // Nobody makes themselves an owner for the day when it is shut again.
  await served.post('/api/people/ada/account', { role: 'reader' }).expect(409);
  await served.post('/api/people/ada/account/end', {}).expect(409);
  await served.post('/api/people/ada/code', { purpose: 'password' }).expect(409);
  await served.post('/api/door/claim', { name: 'Eve', password: PASSWORD }).expect(409);
});

test('a name and its password; wrong ones are the same whether there is such a name, and are slowed down', async () => {
  const served = await houses.serve();
  await served.post('/api/door/claim', { name: 'Ada', password: PASSWORD }).expect(200);
  const signIn = (name: string, password: string) => served.post('/api/door/sign-in', { name, password });
  await signIn('ada', PASSWORD).expect(200);
  const wrong = await signIn('Ada', 'not these words').expect(401);
  const nobody = await signIn('Nobody', 'not these words').expect(401);
  expect(nobody.body).toEqual(wrong.body);
  // Right ones give the tries back.
  await signIn('Ada', PASSWORD).expect(200);
  for (const name of ['Ada', 'Nobody'])
    await Promise.all(Array.from({ length: 5 }, () => signIn(name, 'not these words')));
  const slowed = await signIn('Ada', PASSWORD).expect(429);
  expect(Number(slowed.headers['retry-after'])).toBeGreaterThan(60);
  await signIn('Nobody', PASSWORD).expect(429);
});

test('a session that somebody else put there is not gone on with, and one that was ended opens nothing', async () => {
  const served = await houses.serve();
  const claimed = await served.post('/api/door/claim', { name: 'Ada', password: PASSWORD }).expect(200);
  const first = cookieOf(claimed);
  const body = { name: 'Ada', password: PASSWORD };
  const again = await served.post('/api/door/sign-in', body, as(first)).expect(200);
  expect(cookieOf(again)).not.toBe(first);
  await served.get('/api/round').set('Cookie', first).expect(401);
  await served.get('/api/round').set('Cookie', cookieOf(again)).expect(200);
  const gone = await served.post('/api/door/sign-out', {}, as(cookieOf(again))).expect(200);
  expect(gone.body).toMatchObject({ state: 'shut', who: null, rights: [] });
  await served.get('/api/round').set('Cookie', cookieOf(again)).expect(401);
});

/** Begins to follow the changes. @returns what resolves when that ends */
async function following(served: ServedHouse, cookie: string, then: () => unknown): Promise<void> {
  await served.app.listen(0, '127.0.0.1');
  const { port } = served.server.address() as AddressInfo;
  await new Promise<void>((end, fail) => {
    const at = { port, host: '127.0.0.1', path: '/api/changes/stream', headers: { cookie, host: 'localhost' } };
    const stream = ask(at, (answer) => {
      expect(answer.statusCode).toBe(200);
      answer.resume().once('end', end);
      void then();
    });
    stream.once('error', fail);
  });
}

test('what stays open ends with the session: a stream of changes', async () => {
  const served = await houses.serve();
  const cookie = await signedIn(served, 'Ada', 'owner');
  const { sessions } = doors(served);
  await following(served, cookie, () => sessions.end(sessions.ofPerson('ada')));
});

test('what was open to anybody ends when there is an owner', async () => {
  const served = await houses.serve();
  await following(served, '', async () => {
    await served.post('/api/door/claim', { name: 'Ada', password: PASSWORD }).expect(200);
  });
  await served.get('/api/changes').expect(401);
});

test('an owner gives and takes: role, password, device; each counts at once', async () => {
  const served = await houses.serve();
  const owner = await signedIn(served, 'Ada', 'owner');
  const person = versionOf(served.house, 'person', 'ben', at(8000), { name: 'Ben' });
  await served.post('/api/set-up', { versions: [person] }, as(owner)).expect(201);
  const give = (role: string) => served.post('/api/people/ben/account', { role }, as(owner));
  await give('king').expect(400);
  await give('operator').expect(200);

  const code = async (purpose: string, cookie = owner) =>
    (await served.post('/api/people/ben/code', { purpose }, as(cookie)).expect(200)).body as NewCode;
  const forPassword = await code('password');
  const [address] = forPassword.addresses;
  expect(address).toMatch(new RegExp(`^http://localhost:\\d+/code#${forPassword.code}$`));
  const chosen = await served
    .post('/api/door/set-password', { code: forPassword.code, password: PASSWORD })
    .expect(200);
  const ben = cookieOf(chosen);
  await served.post('/api/entries', { entries: [changeAt(9)] }, as(ben)).expect(403);

  // A device of his own he pairs himself, of nobody else.
  const forDevice = await code('pair', ben);
  await served.post('/api/people/ada/code', { purpose: 'pair' }, as(ben)).expect(403);
  await served.post('/api/people/ben/code', { purpose: 'password' }, as(ben)).expect(403);
  // A code is for one thing.
  await served.post('/api/door/set-password', { code: forDevice.code, password: PASSWORD }).expect(404);
  const paired = await served.post('/api/door/pair', { code: forDevice.code, device: 'phone, blue case' }).expect(200);
  const phone = cookieOf(paired);
  await give('technician').expect(200);
  await served.post('/api/entries', { entries: [changeAt(9)] }, as(phone)).expect(201);

  const own = (await served.get('/api/door/sessions').set('Cookie', phone)).body as SessionsAnswer;
  expect(own.sessions.map(({ kind, name, isThis }) => [kind, name, isThis])).toEqual([
    ['browser', 'A browser', false],
    ['device', 'phone, blue case', true],
  ]);
  await served.post('/api/door/sessions/end-others', {}, as(phone)).expect(200);
  await served.get('/api/round').set('Cookie', ben).expect(401);
  const { people } = (await served.get('/api/people').set('Cookie', owner)).body as PeopleAnswer;
  const [device] = people.find((p) => p.personId === 'ben')?.sessions ?? [];
  // Nobody ends somebody else's but an owner.
  const other = doors(served).sessions.ofPerson('ada')[0]?.id ?? '';
  await served.post(`/api/door/sessions/${other}/end`, {}, as(phone)).expect(404);
  await served.post(`/api/door/sessions/${device?.id ?? ''}/end`, {}, as(owner)).expect(200);
  await served.get('/api/round').set('Cookie', phone).expect(401);

  const last = await signedIn(served, 'Ben', 'technician');
  await served.post('/api/people/ben/account/end', {}, as(owner)).expect(200);
  await served.get('/api/round').set('Cookie', last).expect(401);
  const { events } = (await served.get('/api/people/record').set('Cookie', owner)).body as DoorRecordAnswer;
  expect(events.map(({ what, by, about, detail }) => [what, by, about, detail])).toEqual([
    ['accountEnded', 'Ada', 'Ben', null],
    ['sessionEnded', 'Ada', 'Ben', 'phone, blue case'],
    ['sessionEnded', 'Ben', 'Ben', 'A browser'],
    ['roleChanged', 'Ada', 'Ben', 'operator → technician'],
    ['paired', 'Ben', null, 'phone, blue case'],
    ['codeRefused', null, null, null],
    ['codeMade', 'Ben', 'Ben', 'pair'],
    ['passwordSet', 'Ben', null, null],
    ['codeMade', 'Ada', 'Ben', 'password'],
    ['accountMade', 'Ada', 'Ben', 'operator'],
  ]);
});

test('of two who say at once that they are the owner one is', async () => {
  const served = await houses.serve();
  const claim = (name: string) => served.post('/api/door/claim', { name, password: PASSWORD });
  const statuses = await Promise.all(['Ada', 'Eve'].map(async (name) => (await claim(name)).status));
  expect(statuses.sort()).toEqual([200, 409]);
  expect(doors(served).accounts.all.filter(({ role }) => role === 'owner')).toHaveLength(1);
});

test('two owners who take each other’s rights at once leave one', async () => {
  const served = await houses.serve();
  const [ada, ben] = [await signedIn(served, 'Ada', 'owner'), await signedIn(served, 'Ben', 'owner')];
  const demote = (id: string, cookie: string) =>
    served.post(`/api/people/${id}/account`, { role: 'reader' }, as(cookie)).then(({ status }) => status);
  const statuses = await Promise.all([demote('ben', ada), demote('ada', ben)]);
  expect(statuses.filter((status) => status === 200)).toHaveLength(1);
  expect(doors(served).accounts.all.filter(({ role }) => role === 'owner')).toHaveLength(1);
  expect(await stateOf(served)).toBe('shut');
});

test('the last owner who can sign in stays one', async () => {
  const served = await houses.serve();
  const owner = await signedIn(served, 'Ada', 'owner');
  await served.post('/api/people/ada/account', { role: 'reader' }, as(owner)).expect(409);
  await served.post('/api/people/ada/account/end', {}, as(owner)).expect(409);
  await signedIn(served, 'Ben', 'owner');
  await served.post('/api/people/ada/account', { role: 'reader' }, as(owner)).expect(200);
  await served.get('/api/people').set('Cookie', owner).expect(403);
});

test('one’s own password is changed with the present one, and other browsers sign in again', async () => {
  const served = await houses.serve();
  const here = cookieOf(await served.post('/api/door/claim', { name: 'Ada', password: PASSWORD }).expect(200));
  const there = cookieOf(await served.post('/api/door/sign-in', { name: 'Ada', password: PASSWORD }).expect(200));
  const others = await signedIn(served, 'Ben', 'reader');
  const change = (present: string) =>
    served.post('/api/door/set-password', { present, password: 'others than these' }, as(here));
  const wrong = await change('not these words').expect(403);
  expect(wrong.body).toMatchObject({ issues: [{ field: 'present', value: null }] });
  const changed = await change(PASSWORD).expect(200);
  const opens = async (cookie: string) => (await served.get('/api/round').set('Cookie', cookie)).status;
  expect([await opens(here), await opens(there), await opens(others), await opens(cookieOf(changed))]).toEqual([
    401, 401, 200, 200,
  ]);
  await served.post('/api/door/sign-in', { name: 'Ada', password: 'others than these' }).expect(200);
});

test('a technician sets pumps up, and neither people nor instruments nor the rules of the house', async () => {
  const served = await houses.serve();
  await signedIn(served, 'Ada', 'owner');
  const cookie = await signedIn(served, 'Ben', 'technician');
  const may = async (kind: 'pump' | 'person' | 'houseRules', id: string, changes: object) => {
    const versions = [versionOf(served.house, kind, id, at(8000), changes)];
    const preview = await served.post('/api/set-up/preview', { versions }, as(cookie));
    const { status } = await served.post('/api/set-up', { versions }, as(cookie));
    const removed = await served.post('/api/set-up/remove', { records: [{ kind, id: 'none' }] }, as(cookie));
    return [preview.status, status, removed.status];
  };
  expect(await may('person', 'eve', { name: 'Eve' })).toEqual([403, 403, 403]);
  expect(await may('houseRules', 'house', { limits: {} })).toEqual([403, 403, 403]);
  expect(await may('pump', 'p1', { name: 'Another name' })).toEqual([200, 201, 400]);
});

test('a backup, and everything as lines, is an owner’s; logs are everybody’s', async () => {
  const served = await houses.serve();
  const owner = await signedIn(served, 'Ada', 'owner');
  const reader = await signedIn(served, 'Dov', 'reader');
  const make = (what: string, cookie: string) => served.post('/api/downloads', { what }, as(cookie));
  await make('runs', reader).expect(202);
  await make('backup', reader).expect(403);
  await make('everything', reader).expect(403);
  await make('everything', owner).expect(202);
  const { events } = (await served.get('/api/people/record').set('Cookie', owner)).body as DoorRecordAnswer;
  expect(events.filter((e) => e.what === 'fileMade').map(({ by, detail }) => [by, detail])).toEqual([
    ['Ada', 'everything'],
    ['Dov', 'runs'],
  ]);
});
