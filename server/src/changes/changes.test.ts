import { once } from 'node:events';
import { get, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Change, ChangesAnswer } from '@winter-jar/contracts';
import { changeAt, runAt } from '@winter-jar/core/testing';
import request from 'supertest';
import { download, serveHouse, versionOf, type ServedHouse } from '../testing/served-house.js';

let served: ServedHouse;
beforeEach(async () => {
  served = await serveHouse();
});
afterEach(() => served.close());

const since = async (seq: number, epoch: string): Promise<ChangesAnswer> =>
  (await served.get(`/api/changes?since=${seq}&epoch=${epoch}`).expect(200)).body as ChangesAnswer;
const start = async (): Promise<ChangesAnswer> => (await served.get('/api/changes').expect(200)).body as ChangesAnswer;
const write = (...entries: object[]) => served.post('/api/entries', { entries });

test('a client that knows no number starts over; then it is told the pumps of what was written since', async () => {
  const first = await start();
  expect(first).toMatchObject({ startOver: true, pumpIds: null });
  await write(changeAt(1), runAt(10, 20));
  await write({
    ...runAt(40, 20),
    subjects: [
      { type: 'pump', id: 'd1' },
      { type: 'equipment', id: 'chamber' },
    ],
  });
  const later = await since(first.seq, first.epoch);
  expect(later).toMatchObject({ epoch: first.epoch, startOver: false, kinds: ['entries'] });
  expect([...(later.pumpIds ?? [])].sort()).toEqual(['d1', 'p1']);
  expect(await since(later.seq, later.epoch)).toMatchObject({ seq: later.seq, kinds: [], pumpIds: [] });
});

test('the set-up bears upon every page, and what is refused or only previewed is no change', async () => {
  const { seq, epoch } = await start();
  const house = served.house;
  const site = versionOf(house, 'site', 'site', '2031-02-01T00:00:00.000Z', { name: 'Renamed' });
  await served.post('/api/entries/preview', { entries: [changeAt(1)] }).expect(200);
  await served.post('/api/set-up/preview', { versions: [site] }).expect(200);
  await write({ ...changeAt(1), subjects: [{ type: 'pump', id: 'nobody' }] });
  expect(await since(seq, epoch)).toMatchObject({ seq, kinds: [] });
  await served.post('/api/set-up', { versions: [site] }).expect(201);
  expect(await since(seq, epoch)).toMatchObject({ kinds: ['setUp'], pumpIds: null });
});

test('another epoch, a number that is not there yet, and none at all start over', async () => {
  await write(changeAt(1));
  const { seq, epoch } = await start();
  for (const [n, e] of [
    [seq, 'another'],
    [seq + 1, epoch],
    [-1, epoch],
    [0.5, epoch],
  ] as const)
    expect(await since(n, e)).toMatchObject({ startOver: true });
  expect(await since(0, epoch)).toMatchObject({ startOver: false });
});

test('a stream first says where the sequence stands, then each change once it is on the disk, and ends with the server', async () => {
  await served.app.listen(0, '127.0.0.1');
  const { port } = served.server.address() as AddressInfo;
  const asked = get({
    port,
    host: '127.0.0.1',
    path: '/api/changes/stream',
    headers: { accept: 'text/event-stream', 'accept-encoding': 'gzip' },
  });
  const [stream] = (await once(asked, 'response')) as [IncomingMessage];
  expect(stream.headers['content-type']).toContain('text/event-stream');
  expect(stream.headers['cache-control']).toContain('no-transform');
  expect(stream.headers['content-encoding']).toBeUndefined();
  let text = '';
  stream.setEncoding('utf8').on('data', (part: string) => (text += part));
  const until = async (pattern: RegExp) => {
    while (!pattern.test(text)) await once(stream, 'data');
  };
  await until(/event: stands[\s\S]*epoch/);
  await write(changeAt(1));
  await until(/event: changed/);
  const told = /event: changed[\s\S]*?data: (.*)/.exec(text)?.[1] ?? '';
  const { seq, epoch } = await start();
  expect(JSON.parse(told)).toEqual({ seq, kind: 'entries', pumpIds: ['p1'] } satisfies Change);
  expect(epoch).not.toBe('');
  const ended = once(stream, 'end');
  await served.app.close();
  await ended;
});

test('data that are put in the place of others begin a new epoch', async () => {
  const { epoch } = await start();
  await write(changeAt(1));
  const bytes = await download(served, 'backup');
  const check = await request(served.server)
    .post('/api/restore/check')
    .set({ Host: 'localhost', 'content-type': 'application/gzip' })
    .send(bytes);
  await served.post('/api/restore', { uploadId: (check.body as { uploadId: string }).uploadId }).expect(200);
  const after = await start();
  expect(after.epoch).not.toBe(epoch);
  expect(await since(1, epoch)).toMatchObject({ startOver: true, epoch: after.epoch });
});
