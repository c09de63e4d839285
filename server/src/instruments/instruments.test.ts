import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { once } from 'node:events';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { InstrumentNow, InstrumentsAnswer, ReadingsAnswer, ReadingsRecorded } from '@winter-jar/contracts';
import { readGaugeLog, type Instrument } from '@winter-jar/core';
import { START } from '@winter-jar/core/testing';
import * as tar from 'tar';
import { v7 as newId } from 'uuid';
import { download, serveHouse, type ServedHouse } from '../testing/served-house.js';

let served: ServedHouse;
let gauge: Server;
let port: number;
const callers = new Set<Socket>();
beforeEach(async () => {
  served = await serveHouse();
  gauge = createServer((socket) => {
    callers.add(socket);
    socket.on('error', () => socket.destroy());
    socket.write('P1 1.00E-02 mbar\nP1 OVER mbar\n');
  });
  gauge.listen(0, '127.0.0.1');
  await once(gauge, 'listening');
  ({ port } = gauge.address() as AddressInfo);
});
afterEach(async () => {
  await served.close();
  callers.forEach((s) => s.destroy());
  callers.clear();
  gauge.close();
});

const lines = (more: Partial<Instrument> = {}): Instrument => ({
  ...{ name: 'Gauge 1', equipmentId: 'chamber', pumpId: 'p1', talks: 'lines', host: '127.0.0.1', port },
  channels: [{ key: 'pressure', means: 'pressure', pattern: 'P1 {value} {unit}' }],
  ...more,
});
/** A record of the set-up; a later one of the same instrument changes it. */
async function keep(body: object, from = START) {
  const version = { id: newId(), kind: 'instrument', subjectId: 'g1', validFrom: from, recordedAt: from, body };
  return served.post('/api/set-up', { versions: [version] });
}
const now = async (): Promise<InstrumentNow> =>
  ((await served.get('/api/instruments').expect(200)).body as InstrumentsAnswer).instruments[0]!;
const connect = (body: object = {}) => served.post('/api/instruments/g1/connect', body);
async function until(isSo: (i: InstrumentNow) => boolean): Promise<InstrumentNow> {
  for (let i = 0; i < 1000; i++) {
    const it = await now();
    if (isSo(it)) return it;
    await wait(20);
  }
  throw new Error(JSON.stringify((await now()).status));
}

test('nobody is called before somebody says so, and nobody any more when they say no longer', async () => {
  expect((await keep(lines())).status).toBe(201);
  await wait(100);
  expect((await now()).status.state).toBe('notConnected');
  expect(callers.size).toBe(0);
  await connect().expect(200);
  await until((i) => i.status.state === 'live');
  await served.post('/api/instruments/g1/disconnect', {}).expect(200);
  expect((await now()).status.state).toBe('notConnected');
  await wait(50);
  expect([...callers].every((s) => s.destroyed || s.readableEnded)).toBe(true);
});

test('an address that was changed has to be said anew', async () => {
  await keep(lines());
  await connect().expect(200);
  await until((i) => i.status.state === 'live');
  await keep(lines({ host: 'localhost' }), '2031-01-02T00:00:00.000Z');
  expect((await now()).status.state).toBe('notConnected');
});

test('what it sends is read, kept and given out; what is not believed is said', async () => {
  await keep(lines());
  await connect();
  const { status } = await until((i) => i.status.channels[0]?.issue !== null);
  expect(status.channels[0]).toMatchObject({ value: 1, issue: { code: 'notANumber', found: 'OVER' } });
  expect(status.raw.map((r) => r.raw)).toEqual([
    { kind: 'line', line: 'P1 OVER mbar' },
    { kind: 'line', line: 'P1 1.00E-02 mbar' },
  ]);
  const atMs = status.channels[0]!.atMs!;
  const read = (await served.get(`/api/instruments/g1/readings/pressure?fromMs=${atMs - 1000}&toMs=${atMs + 1000}`))
    .body as ReadingsAnswer;
  expect(read).toMatchObject({ count: 1, atMs: [atMs], value: [1] });
});

test('readings become a gauge log that reads as what was sent', async () => {
  await keep(lines());
  await connect();
  const { status } = await until((i) => i.status.channels[0]?.value === 1);
  callers.forEach((s) => s.write('P1 2.5 Pa\n'));
  await until((i) => i.status.channels[0]?.value === 2.5);
  const fromMs = status.channels[0]!.atMs! - 1000;
  const of = { key: 'pressure', fromMs, toMs: fromMs + 60_000 };
  const recorded = (await served.post('/api/instruments/g1/record', of).expect(201)).body as ReadingsRecorded;
  expect(recorded.readings).toBe(2);
  const { text } = await served.get(`/api/gauge-logs/${recorded.logId}`).expect(200);
  const log = readGaugeLog({ text });
  if (!log.ok) throw new Error('it cannot be read');
  expect(log.points.map((p) => p.pa)).toEqual([1, 2.5]);
});

const WRONG: readonly [string, number, object?][] = [
  ['post /api/instruments/x/connect', 404, {}],
  ['get /api/instruments/g1/readings/x?fromMs=1&toMs=2', 400],
  ['get /api/instruments/g1/readings/pressure', 400],
  ['get /api/instruments/g1/readings/pressure?fromMs=2&toMs=1', 400],
  ['get /api/instruments/g1/readings/pressure?fromMs=0&toMs=700000000', 400],
  ['post /api/instruments/g1/record', 400, { key: 'pressure', fromMs: 0, toMs: 180_000_000 }],
  ['post /api/instruments/g1/record', 400, { key: 'pressure', fromMs: 0, toMs: 1000 }],
  ['post /api/instruments/g1/record', 400, { fromMs: 0, toMs: 1000 }],
  ['post /api/instruments/g1/connect', 400, { password: ['x'] }],
];
test('what is asked wrongly is told what would be right', async () => {
  await keep(lines());
  for (const [route, status, body = {}] of WRONG) {
    const [method, path] = route.split(' ') as ['get' | 'post', string];
    const answer = await (method === 'get' ? served.get(path) : served.post(path, body));
    expect([route, answer.status]).toEqual([route, status]);
    expect((answer.body as { right: string }).right.length).toBeGreaterThan(10);
  }
});

test('a password stays with the server: in no answer, no set-up file and no backup, and for its own address alone', async () => {
  const broker: Partial<Instrument> = {
    talks: 'mqtt',
    user: 'jar',
    channels: [{ key: 'p', means: 'pressure', topic: 't', unit: 'Pa' }],
  };
  await keep(lines(broker));
  await connect({ password: 'frost-on-glass' }).expect(200);
  const { hasPassword } = await now();
  expect(hasPassword).toBe(true);
  const doors = join(served.house.folder, 'instrument-doors.json');
  expect(readFileSync(doors, 'utf8')).toContain('frost-on-glass');
  expect(statSync(doors).mode & 0o077).toBe(0);
  for (const path of ['/api/instruments', '/api/set-up', '/api/set-up/file', '/api/set-up/records/instrument/g1'])
    expect((await served.get(path)).text).not.toContain('frost-on-glass');
  const file = join(served.house.folder, 'backup.tar.gz');
  writeFileSync(file, await download(served, 'backup'));
  const names: string[] = [];
  await tar.list({ file, onReadEntry: (entry) => names.push(entry.path) });
  expect(names.length).toBeGreaterThan(1);
  expect(names.filter((name) => /doors|readings|instrument/.test(name))).toEqual([]);
  await keep(lines({ ...broker, port: port + 1 }), '2031-01-02T00:00:00.000Z');
  expect((await now()).hasPassword).toBe(false);
});

test('unplugged, it says since when, and it is heard again when it is back', async () => {
  await keep(lines());
  await connect();
  await until((i) => i.status.state === 'live');
  callers.forEach((s) => s.destroy());
  gauge.close();
  const lost = await until((i) => i.status.state === 'lost');
  expect(lost.status.reason).toMatch(/closed|refused/);
  expect(lost.status.sinceMs).toBe(lost.status.channels[0]?.atMs ?? -1);
  gauge.listen(port, '127.0.0.1');
  await until((i) => i.status.state === 'live');
}, 15_000);

test('a folder without instruments has no files of them', () => {
  expect(existsSync(join(served.house.folder, 'instrument-doors.json'))).toBe(false);
});
