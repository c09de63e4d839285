import { ServedHouses, download, leftovers, type ServedHouse, upload } from '../testing/served-house.js';
import type { KeptAnswer, PhotoKept, RestoreCheck, RestoreProgress, RestoreResult } from '@winter-jar/contracts';
import { at, changeAt, lookAt, runAt } from '@winter-jar/core/testing';
import BetterSqlite3 from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import request from 'supertest';
import * as tar from 'tar';

const houses = new ServedHouses();
const serve: ServedHouses['serve'] = (options) => houses.serve(options);
let one: ServedHouse;
let scratch: string;
beforeEach(async () => {
  scratch = mkdtempSync(join(tmpdir(), 'winter-jar-scratch-'));
  one = await serve();
  one.house.write(runAt(10, 20, 'fd-meat'), lookAt(40, { clarity: 'hazy' }), changeAt(50), runAt(60, 20));
});
afterEach(async () => {
  await houses.close();
  rmSync(scratch, { recursive: true, force: true });
});

const check = async (served: ServedHouse, body: Buffer) =>
  (await upload(served, '/api/restore/check', 'application/gzip', body).expect(200)).body as RestoreCheck;
const restore = async (served: ServedHouse, uploadId: string | null) =>
  (await request(served.server).post('/api/restore').set('Host', 'localhost').send({ uploadId }).expect(200))
    .body as RestoreResult;
const round = async (served: ServedHouse) =>
  (await request(served.server).get('/api/round').set('Host', 'localhost').expect(200)).body as object;
/** An archive of our own making, to be wrong in one way. */
async function archiveOf(files: Record<string, string | Buffer>): Promise<Buffer> {
  for (const [name, content] of Object.entries(files)) {
    mkdirSync(dirname(join(scratch, name)), { recursive: true });
    writeFileSync(join(scratch, name), content);
  }
  const file = join(scratch, 'made.tar.gz');
  await tar.create({ gzip: true, file, cwd: scratch }, Object.keys(files));
  return readFileSync(file);
}

describe('backup and restore', () => {
  test('a backup restored into another folder gives the same Round, while both servers run', async () => {
    const backup = await download(one, 'backup');
    const two = await serve({ empty: true });
    const found = await check(two, backup);
    expect(found).toMatchObject({ issue: null, inFile: { pumps: 3, entries: 4 }, present: { pumps: 0, entries: 0 } });
    const done = await restore(two, found.uploadId);
    expect(done.now).toMatchObject({ pumps: 3, entries: 4 });
    expect(await round(two)).toEqual(await round(one));
    const run = runAt(90, 5);
    await request(two.server)
      .post('/api/entries')
      .set('Host', 'localhost')
      .send({ entries: [run] })
      .expect(201);
    await request(two.server).get(`/api/entries/${run.id}`).set('Host', 'localhost').expect(200);
    expect([...leftovers(one.house), ...leftovers(two.house)]).toEqual([]);
  });

  test('who reads or writes while the data is replaced is answered, or told to come back; nothing fails', async () => {
    const found = await check(one, await download(one, 'backup'));
    let restored = false;
    const restoring = restore(one, found.uploadId).then(() => (restored = true));
    const statuses = new Set<number>();
    for (let i = 0; !restored; i++) {
      statuses.add((await one.get('/api/round')).status);
      statuses.add((await one.post('/api/entries', { entries: [runAt(500 + i * 10, 5)] })).status);
    }
    await restoring;
    expect([...statuses].filter((s) => ![200, 201, 503].includes(s))).toEqual([]);
    await one.get('/api/round').expect(200);
  });

  test('two backups asked for at once are made one after the other', async () => {
    const both = await Promise.all([download(one, 'backup'), download(one, 'backup')]);
    for (const backup of both) expect((await check(one, backup)).issue).toBeNull();
  });

  test('what stood there before is kept, whole', async () => {
    const backup = await download(one, 'backup');
    one.house.write(runAt(90, 20), runAt(120, 20));
    const { keptAs } = await restore(one, (await check(one, backup)).uploadId);
    const kept = new BetterSqlite3(keptAs, { readonly: true });
    expect(kept.prepare('SELECT COUNT(*) FROM journal_entry').pluck().get()).toBe(6);
    expect(kept.pragma('integrity_check', { simple: true })).toBe('ok');
    kept.close();
    expect(one.house.database.reader.prepare('SELECT COUNT(*) FROM journal_entry').pluck().get()).toBe(4);
  });

  test('what was kept can be put back, and what stood there then is kept too', async () => {
    const backup = await download(one, 'backup');
    one.house.write(runAt(90, 20), runAt(120, 20));
    await restore(one, (await check(one, backup)).uploadId);
    const { kept } = (await one.get('/api/kept').expect(200)).body as KeptAnswer;
    expect(kept).toHaveLength(1);
    const found = (await one.post('/api/kept/check', { name: kept[0]?.name ?? '' }).expect(200)).body as RestoreCheck;
    expect(found).toMatchObject({ issue: null, inFile: { entries: 6 }, present: { entries: 4 } });
    expect((await restore(one, found.uploadId)).now.entries).toBe(6);
    expect(((await one.get('/api/kept')).body as KeptAnswer).kept).toHaveLength(2);
    expect(leftovers(one.house)).toEqual([]);
    await one.post('/api/kept/check', { name: '../winter-jar.sqlite' }).expect(404);
  });

  test('a check says how far it is; stopped it leaves nothing, and the next one is whole', async () => {
    one.house.write(...Array.from({ length: 900 }, (_, i) => runAt(100 + i * 3, 2)));
    const backup = await download(one, 'backup');
    const answered = upload(one, '/api/restore/check', 'application/gzip', backup).then(({ status }) => status);
    const progress = async () => ((await one.get('/api/restore/check').expect(200)).body as RestoreProgress).progress;
    while ((await progress()) === null) await new Promise((wait) => setTimeout(wait, 5));
    await one.post('/api/restore/check/stop', {}).expect(200);
    expect(await answered).toBe(503);
    expect(await progress()).toBeNull();
    expect(leftovers(one.house)).toEqual([]);
    expect(await check(one, backup)).toMatchObject({ issue: null, inFile: { entries: 904 } });
  });

  test('what is written while a backup is made is in it or not, and never half', async () => {
    const making = download(one, 'backup');
    for (let i = 0; i < 20; i++) {
      expect(one.house.write(runAt(100 + i * 10, 5))).toEqual(['written']);
      await new Promise((turn) => setImmediate(turn));
    }
    const two = await serve({ empty: true });
    const found = await check(two, await making);
    await restore(two, found.uploadId);
    expect(found.inFile?.entries).toBeGreaterThanOrEqual(4);
    const stored = two.house.database.reader
      .prepare("SELECT state FROM subject_state WHERE subjectType = 'pump' AND subjectId = ?")
      .pluck()
      .get('p1');
    const count = two.house.database.reader
      .prepare("SELECT COUNT(*) FROM subject_entry WHERE subjectType = 'pump' AND subjectId = 'p1'")
      .pluck()
      .get();
    expect((JSON.parse(stored as string) as { entries: number }).entries).toBe(count);
  });

  test('a backup that is not whole, not ours, changed, or newer is refused with the reason, and nothing changes', async () => {
    const backup = await download(one, 'backup');
    const codeOf = async (body: Buffer) => (await check(one, body)).issue?.code;
    expect(await codeOf(backup.subarray(0, backup.length / 2))).toBe('notWhole');
    expect(await codeOf(Buffer.from('=cmd()'))).toBe('notWhole');
    expect(await codeOf(await archiveOf({ 'other.txt': 'hello' }))).toBe('otherFormat');
    const manifest = { format: 'winter-jar-backup', version: 1, madeAt: at(1), sha256: 'none' };
    const file = { 'manifest.json': JSON.stringify(manifest), 'winter-jar.sqlite': 'no database' };
    expect(await codeOf(await archiveOf(file))).toBe('damaged');
    expect(
      await codeOf(await archiveOf({ ...file, 'manifest.json': JSON.stringify({ ...manifest, version: 2 }) })),
    ).toBe('otherVersion');
    expect(one.house.database.reader.prepare('SELECT COUNT(*) FROM journal_entry').pluck().get()).toBe(4);
    expect(leftovers(one.house)).toEqual([]);
  });

  test('a database made by a newer version is refused', async () => {
    const file = join(scratch, 'winter-jar.sqlite');
    await one.house.database.writer.backup(file);
    const newer = new BetterSqlite3(file);
    newer.exec("INSERT INTO migrations (timestamp, name) VALUES (1, 'FromTheFuture1')");
    newer.pragma('journal_mode = DELETE');
    newer.close();
    const content = readFileSync(file);
    const sha256 = createHash('sha256').update(content).digest('hex');
    const manifest = JSON.stringify({ format: 'winter-jar-backup', version: 1, madeAt: at(1), sha256 });
    const archive = await archiveOf({ 'manifest.json': manifest, 'winter-jar.sqlite': content });
    expect((await check(one, archive)).issue?.code).toBe('newerVersion');
  });

  test('an id that no check gave, and a body of another type, are refused', async () => {
    await request(one.server).post('/api/restore').set('Host', 'localhost').send({ uploadId: '../../etc' }).expect(404);
    await upload(one, '/api/restore/check', 'text/csv', 'a,b').expect(415);
  });
});

test('photographs go with a backup, and come back beside those that are there', async () => {
  const picture = (colour: string) =>
    sharp({ create: { width: 60, height: 40, channels: 3, background: colour } })
      .jpeg()
      .toBuffer();
  const keep = async (served: ServedHouse, colour: string) =>
    (await upload(served, '/api/photos', 'image/jpeg', await picture(colour)).expect(201)).body as PhotoKept;
  const { photoId } = await keep(one, '#c27a12');
  const archive = await download(one, 'backup');
  const two = await serve();
  const own = await keep(two, '#2a75a9');
  const { issue, uploadId } = await check(two, archive);
  expect(issue).toBeNull();
  await restore(two, uploadId);
  for (const id of [photoId, own.photoId])
    await request(two.server).get(`/api/photos/${id}`).set('Host', 'localhost').expect(200);
  expect(leftovers(two.house)).toEqual([]);
});

test('a backup with a photograph that is not what its name says is refused', async () => {
  const whole = await download(one, 'backup');
  writeFileSync(join(scratch, 'whole.tar.gz'), whole);
  await tar.extract({ file: join(scratch, 'whole.tar.gz'), cwd: scratch });
  const files = Object.fromEntries(
    ['manifest.json', 'winter-jar.sqlite'].map((name) => [name, readFileSync(join(scratch, name))]),
  );
  const name = `photos/aa/${'a'.repeat(64)}.jpg`;
  const { issue } = await check(one, await archiveOf({ ...files, [name]: 'not this' }));
  expect(issue).toMatchObject({ code: 'damaged', value: name });
});
