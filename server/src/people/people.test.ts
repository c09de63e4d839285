import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MovableClock } from '../clock/movable-clock.js';
import { hashOfPassword, isPassword } from './passwords.js';
import { People, peopleSource } from './people.js';

const DAY_MS = 86_400_000;
let folder: string;
let people: People;
let clock: MovableClock;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-people-'));
  clock = new MovableClock({ nowMs: () => Date.parse('2031-03-01T08:00:00.000Z') });
  people = await People.open(folder, clock);
});
afterEach(async () => {
  await people.onApplicationShutdown();
  rmSync(folder, { recursive: true, force: true });
});
const later = (days: number) => clock.moveTo(clock.nowMs() + days * DAY_MS);
const ada = { personId: 'ada', name: 'A browser', address: '127.0.0.1' } as const;

test('after the migrations the tables are what the rows say', async () => {
  const aside = mkdtempSync(join(tmpdir(), 'winter-jar-people-'));
  const source = await peopleSource(aside).initialize();
  const { upQueries } = await source.driver.createSchemaBuilder().log();
  await source.destroy();
  rmSync(aside, { recursive: true });
  expect(upQueries.map((q) => q.query)).toEqual([]);
});

test('the file is its owner’s alone, and holds neither tokens nor codes', async () => {
  const { token } = await people.sessions.begin({ ...ada, kind: 'browser' });
  const { code } = await people.codes.make('pair', 'ada');
  expect(statSync(join(folder, 'people.sqlite')).mode & 0o077).toBe(0);
  const source = await peopleSource(folder).initialize();
  const all = JSON.stringify([
    await source.query('SELECT * FROM session'),
    await source.query('SELECT * FROM one_time_code'),
  ]);
  await source.destroy();
  expect(all).not.toContain(token);
  expect(all).not.toContain(code);
  expect(all).not.toContain(code.replace('-', ''));
});

test('a password is kept as Argon2id with 19 MiB and two passes, salted', async () => {
  const [one, two] = [await hashOfPassword('three small jars'), await hashOfPassword('three small jars')];
  expect(one).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  expect(one).not.toBe(two);
  expect(await isPassword('three small jars', one)).toBe(true);
  expect(await isPassword('three small jar', one)).toBe(false);
  // Nobody has none.
  expect(await isPassword('nobody has this one', null)).toBe(false);
  // However the keys of a keyboard compose it.
  expect(await isPassword('cafe\u0301 and two jars', await hashOfPassword('caf\u00e9 and two jars'))).toBe(true);
});

// Days without use, or of age, and whether it still opens.
test.each([
  ['browser', [6, 6], true],
  ['browser', [8], false],
  ['browser', [6, 6, 6, 6, 5], true],
  ['browser', [6, 6, 6, 6, 6, 1], false],
  ['device', [89, 89, 89, 89, 89], true],
  ['device', [91], false],
] as const)('a %s used after each of %j days is open: %s', async (kind, days, isOpen) => {
  const { token } = await people.sessions.begin({ ...ada, kind });
  let session = people.sessions.use(token);
  for (const some of days) {
    later(some);
    session = people.sessions.use(token);
  }
  expect(session !== null).toBe(isOpen);
});

test('who is signed in, and who may, is there after a start', async () => {
  await people.accounts.add({ personId: 'ada', name: 'Ada', role: 'technician' });
  const { token } = await people.sessions.begin({ ...ada, kind: 'device' });
  await people.onApplicationShutdown();
  const { cookie } = people;
  people = await People.open(folder, clock);
  expect(people.cookie).toBe(cookie);
  expect(people.sessions.use(token)).toMatchObject({ personId: 'ada', kind: 'device' });
  expect(people.accounts.of('ada')).toMatchObject({ role: 'technician', passwordHash: null });
});

test('two spellings of one name are one name', async () => {
  await people.accounts.add({ personId: 'ada', name: 'Ada  Lund', role: 'owner' });
  expect(people.accounts.named('ADA LUND ')?.personId).toBe('ada');
  expect(await people.accounts.add({ personId: 'other', name: 'ada lund', role: 'owner' })).toBeNull();
});

test('a code is used once, for its purpose, within its time; a new one takes the place of the old', async () => {
  const { codes } = people;
  const first = await codes.make('pair', 'ada');
  const second = await codes.make('pair', 'ada');
  const bens = await codes.make('pair', 'ben');
  expect(second.code).toMatch(/^[2-9A-HJ-NP-Z]{4}-[2-9A-HJ-NP-Z]{4}$/);
  expect(await codes.look(first.code)).toBeNull();
  expect(await codes.redeem(second.code, ['password'])).toBeNull();
  const both = await Promise.all([codes.redeem(second.code, ['pair']), codes.redeem(second.code, ['pair'])]);
  expect(both.map((row) => row?.personId ?? null).sort()).toEqual(['ada', null]);
  later(10.5 / 1440);
  expect(await codes.redeem(bens.code, ['pair'])).toBeNull();
  const forDay = await codes.make('password', 'ben');
  later(0.99);
  expect(await codes.redeem(forDay.code, ['password'])).toMatchObject({ personId: 'ben' });
});
