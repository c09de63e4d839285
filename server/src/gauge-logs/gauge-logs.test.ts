import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { EntriesAnswer, GaugeLogKept } from '@winter-jar/contracts';
import type { Entry, JudgedLog } from '@winter-jar/core';
import { entryAt } from '@winter-jar/core/testing';
import request from 'supertest';
import { keptFile } from '../files/kept-files.js';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';

let served: ServedHouse;
beforeEach(async () => {
  served = await serveHouse();
});
afterEach(() => served.close());

const TEXT = 's,mbar\n0,0.03\n2,0.04\n4,0.05\n';
const post = (text: string, type = 'text/csv') =>
  request(served.server).post('/api/gauge-logs').set({ Host: 'localhost', 'content-type': type }).send(text);
const kept = async (): Promise<GaugeLogKept> => (await post(TEXT).expect(201)).body as GaugeLogKept;

const judged = (logId: string, more: object = {}): JudgedLog => ({
  ...{ logId, of: 'rise', volumeL: 62, gauge: 'capacitance', verdict: 'leak' },
  leakPaM3PerS: { p10: 1e-4, p50: 2e-4, p90: 3e-4 },
  ...more,
});
const test1 = (log: object): Entry =>
  entryAt(5, 'test', { findings: [{ id: 'rateOfRise', state: 'straight', certainty: 0.9 }], log: log as JudgedLog });
const answer = async (entry: Entry) =>
  ((await served.post('/api/entries', { entries: [entry] })).body as EntriesAnswer).answers[0];

test('a log is kept as it came, once, by what is in it, and is never shown as a page', async () => {
  const log = await kept();
  expect(log).toEqual({ logId: createHash('sha256').update(TEXT).digest('hex'), bytes: TEXT.length });
  expect(await kept()).toEqual(log);
  expect(readFileSync(keptFile(served.house.folder, 'gaugeLog', log.logId), 'utf8')).toBe(TEXT);
  const got = await served.get(`/api/gauge-logs/${log.logId}`).expect(200);
  expect(got.text).toBe(TEXT);
  expect(got.headers['content-type']).toMatch(/^text\/plain/);
  expect(got.headers['content-disposition']).toMatch(/^attachment/);
  await served.get(`/api/gauge-logs/${'0'.repeat(64)}`).expect(404);
  await served.get('/api/gauge-logs/..%2f..%2fetc').expect(404);
});

test('an empty one, and one sent as a page could send it unasked, are refused', async () => {
  expect((await post('')).status).toBe(400);
  expect((await post(TEXT, 'text/plain')).status).toBe(415);
});

test('a test cites a log that is kept, with what was judged; one that is not here is refused', async () => {
  const { logId } = await kept();
  expect(await answer(test1(judged('1'.repeat(64))))).toMatchObject({
    status: 'refused',
    issues: [{ field: 'body.log.logId', code: 'unknownId' }],
  });
  const said = { zone: 'UTC', unit: 'mbar', separator: ',' };
  expect(await answer(test1(judged(logId, { said, name: 'rise.csv' })))).toMatchObject({ status: 'written' });
});

test.each<[string, object, string]>([
  ['no id', { logId: 'x' }, 'body.log.logId'],
  ['no verdict of ours', { verdict: 'fine' }, 'body.log.verdict'],
  ['no volume', { volumeL: 0 }, 'body.log.volumeL'],
  ['no volume at all', { volumeL: null }, 'body.log.volumeL'],
  ['no limit of a bag', { of: 'bagDrop', verdict: 'holds', volumeL: null }, 'body.log.limitPa'],
  ['no set pressure of cycles', { of: 'cycles', verdict: 'slow' }, 'body.log.toPa'],
  ['a limit of nothing', { of: 'ultimate', limitPa: 0 }, 'body.log.limitPa'],
  ['a leak below nothing', { leakPaM3PerS: { p10: -1, p50: 0, p90: 1 } }, 'body.log.leakPaM3PerS.p10'],
  ['a unit that nobody reads', { said: { unit: 'furlong' } }, 'body.log.said.unit'],
  ['air that is none', { said: { ambientPa: 5 } }, 'body.log.said.ambientPa'],
  ['a zone that is none', { said: { zone: 'Mars/Base' } }, 'body.log.said.zone'],
])('a log that says %s is told what would be right', async (_, wrong, field) => {
  const { logId } = await kept();
  expect(await answer(test1(judged(logId, wrong)))).toMatchObject({ status: 'refused', issues: [{ field }] });
});

test('a backup takes the log along', async () => {
  const { keptFilesIn } = await import('../files/kept-files.js');
  const { logId } = await kept();
  expect(keptFilesIn(served.house.folder)).toEqual([`gauge-logs/${logId.slice(0, 2)}/${logId}.txt`]);
});
