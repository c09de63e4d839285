import type { AddressInfo } from 'node:net';
import type { DownloadAnswer } from '@winter-jar/contracts';
import { runAt } from '@winter-jar/core/testing';
import { download, leftovers, ServedHouses, type ServedHouse } from '../testing/served-house.js';

const houses = new ServedHouses();
let one: ServedHouse;
beforeEach(async () => {
  one = await houses.serve();
  one.house.write(runAt(10, 20), runAt(40, 20));
});
afterEach(() => houses.close());

const begin = async (what: unknown = 'runs', status = 202) =>
  (await one.post('/api/downloads', { what }).expect(status)).body as DownloadAnswer;
const answerOf = async ({ id }: DownloadAnswer) =>
  (await one.get(`/api/downloads/${id}`).expect(200)).body as DownloadAnswer;
async function made(what = 'runs'): Promise<DownloadAnswer> {
  let answer = await begin(what);
  while (answer.state === 'preparing') answer = await answerOf(answer);
  return answer;
}

test.each([
  ['backup', /^winter-jar-\d{8}-\d{6}\.tar\.gz$/, 'application/gzip'],
  ['everything', /^winter-jar-\d{8}-\d{6}\.jsonl$/, 'application/x-ndjson'],
  ['runs', /^runs-\d{8}-\d{6}\.csv$/, 'text/csv; charset=utf-8'],
  ['looks', /^looks-\d{8}-\d{6}\.csv$/, 'text/csv; charset=utf-8'],
])('%s is made, and fetched under its name', async (what, name, type) => {
  const answer = await made(what);
  expect(answer).toMatchObject({ what, state: 'ready', progress: 1, problem: null });
  expect(answer.fileName).toMatch(name);
  const { headers } = await one.get(`/api/downloads/${answer.id}/file`).expect(200);
  expect(headers).toMatchObject({
    'content-type': type,
    'content-length': String(answer.bytes),
    'content-disposition': `attachment; filename="${answer.fileName}"`,
    'cache-control': 'no-store, no-transform',
  });
});

test('an address gives its file once', async () => {
  const answer = await made();
  // Over a connection that stays: one that is closed with the last byte may look like one that broke off.
  await one.app.listen(0, '127.0.0.1');
  const { port } = one.server.address() as AddressInfo;
  await (await fetch(`http://127.0.0.1:${port}/api/downloads/${answer.id}/file`)).text();
  while ((await answerOf(answer)).state !== 'gone') await new Promise((wait) => setTimeout(wait, 10));
  await one.get(`/api/downloads/${answer.id}/file`).expect(404);
  await one.post(`/api/downloads/${answer.id}/stop`, {}).expect(200);
  expect(leftovers(one.house)).toEqual([]);
});

test('what was not fetched whole can be fetched again', async () => {
  one.house.write(...Array.from({ length: 40 }, (_, i) => runAt(100 + i * 30, 20)));
  const answer = await made();
  await one.app.listen(0, '127.0.0.1');
  const { port } = one.server.address() as AddressInfo;
  const url = `http://127.0.0.1:${port}/api/downloads/${answer.id}/file`;
  expect((await fetch(url, { method: 'HEAD' })).status).toBe(200);
  await fetch(url, { signal: AbortSignal.timeout(0) }).catch(() => undefined);
  const lines = (await (await fetch(url)).text()).trim().split('\r\n');
  expect(lines).toHaveLength(1 + 42);
});

test('nobody can guess an address, and no GET begins anything', async () => {
  expect((await begin()).id).toMatch(/^[\w-]{32}$/);
  await one.get('/api/downloads').expect(404);
  await one.get('/api/backup').expect(404);
  await one.get('/api/journal').expect(404);
  await one.get('/api/logs/runs').expect(404);
  await one.get('/api/downloads/unknown').expect(404);
  await begin('winter-jar.sqlite', 400);
  await begin({ constructor: 1 }, 400);
  const foreign = { origin: 'http://other.example' };
  await one.post('/api/downloads', { what: 'backup' }, foreign).expect(403);
});

test('who asks for many is told when to come back; who stops one may ask for another', async () => {
  const held = await Promise.all(Array.from({ length: 5 }, () => begin('backup')));
  const refused = await one.post('/api/downloads', { what: 'backup' }).expect(429);
  expect(refused.headers['retry-after']).toBe('10');
  expect(refused.body).toMatchObject({ code: 'tooMany' });
  for (const answer of held) await one.post(`/api/downloads/${answer.id}/stop`, {}).expect(200);
  expect((await download(one, 'runs')).toString()).toContain('cycles');
  expect((await Promise.all(held.map(answerOf))).map((a) => a.state)).toEqual(Array(5).fill('gone'));
  expect(leftovers(one.house)).toEqual([]);
});

test('one address may not begin more than thirty in a minute', async () => {
  const statuses: number[] = [];
  for (let i = 0; i < 31; i++) statuses.push((await one.post('/api/downloads', { what: 'nothing' })).status);
  expect(statuses.slice(0, 30)).toEqual(Array(30).fill(400));
  expect(statuses[30]).toBe(429);
});
