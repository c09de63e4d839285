// Longer than a file should be: every way in which a backup or a file of everything can be wrong, side by side.
import { SERVER } from '../journal/actor.js';
import { serveHouse, type ServedHouse } from '../testing/served-house.js';
import { rebuiltStates, type TestHouse } from '../testing/test-house.js';
import type { JournalFileResult, PhotoKept, RestoreCheck, RestoreResult } from '@winter-jar/contracts';
import { at, changeAt, entryAt, lookAt, runAt, START } from '@winter-jar/core/testing';
import BetterSqlite3 from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import request from 'supertest';
import * as tar from 'tar';

const open: ServedHouse[] = [];

async function serve(options: Parameters<typeof serveHouse>[0] = {}): Promise<ServedHouse> {
  const served = await serveHouse(options);
  open.push(served);
  return served;
}
let one: ServedHouse;
let scratch: string;
beforeEach(async () => {
  scratch = mkdtempSync(join(tmpdir(), 'winter-jar-scratch-'));
  one = await serve();
  one.house.write(runAt(10, 20, 'fd-meat'), lookAt(40, { clarity: 'hazy' }), changeAt(50), runAt(60, 20));
});
afterEach(async () => {
  for (const served of open.splice(0)) await served.close();
  rmSync(scratch, { recursive: true, force: true });
});

const bytes = (served: ServedHouse, path: string): Promise<Buffer> =>
  request(served.server)
    .get(path)
    .set('Host', 'localhost')
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200)
    .then((r) => r.body as Buffer);
const upload = (served: ServedHouse, path: string, type: string, body: Buffer | string) =>
  request(served.server).post(path).set({ Host: 'localhost', 'Content-Type': type }).send(body);
const check = async (served: ServedHouse, body: Buffer) =>
  (await upload(served, '/api/restore/check', 'application/gzip', body).expect(200)).body as RestoreCheck;
const restore = async (served: ServedHouse, uploadId: string | null) =>
  (await request(served.server).post('/api/restore').set('Host', 'localhost').send({ uploadId }).expect(200))
    .body as RestoreResult;
const importJournal = async (served: ServedHouse, body: Buffer | string) =>
  (await upload(served, '/api/journal', 'application/x-ndjson', body).expect(200)).body as JournalFileResult;
const round = async (served: ServedHouse) =>
  (await request(served.server).get('/api/round').set('Host', 'localhost').expect(200)).body as object;
/** Half-made files left in a data folder. */
const leftovers = (house: TestHouse) =>
  existsSync(join(house.folder, 'incoming')) ? readdirSync(join(house.folder, 'incoming')) : [];

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
    const backup = await bytes(one, '/api/backup');
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
    const found = await check(one, await bytes(one, '/api/backup'));
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

  test('a second long job is told to wait', async () => {
    const making = bytes(one, '/api/backup');
    const [first, second] = await Promise.all([making, one.get('/api/backup')]);
    expect(first.length).toBeGreaterThan(100);
    expect(second.status).toBe(409);
  });

  test('what stood there before is kept, whole', async () => {
    const backup = await bytes(one, '/api/backup');
    one.house.write(runAt(90, 20), runAt(120, 20));
    const { keptAs } = await restore(one, (await check(one, backup)).uploadId);
    const kept = new BetterSqlite3(keptAs, { readonly: true });
    expect(kept.prepare('SELECT COUNT(*) FROM journal_entry').pluck().get()).toBe(6);
    expect(kept.pragma('integrity_check', { simple: true })).toBe('ok');
    kept.close();
    expect(one.house.database.reader.prepare('SELECT COUNT(*) FROM journal_entry').pluck().get()).toBe(4);
  });

  test('what is written while a backup is made is in it or not, and never half', async () => {
    const making = bytes(one, '/api/backup');
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
    const backup = await bytes(one, '/api/backup');
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

describe('everything as JSON lines', () => {
  const lines = async () => (await bytes(one, '/api/journal')).toString().trim().split('\n');

  test('imported into an empty folder it gives equal states, corrections and set-up history included', async () => {
    const run = runAt(200, 20);
    const id = '30000000-0000-4000-8000-000000000001';
    const said = { targetId: run.id, supersedes: null, action: 'replace', body: run.body, happenedAt: at(190) };
    one.house.write(run);
    one.house.write({ ...run, id, actId: id, kind: 'correction', recordedAt: at(300), body: said });
    one.house.writer.writeSetUp(SERVER, [
      {
        id: '30000000-0000-4000-8000-000000000002',
        kind: 'pump',
        subjectId: 'p1',
        validFrom: at(100),
        recordedAt: at(100),
        body: { ...one.house.store.book.at(START).pump.p1!, equipmentId: 'line' },
      },
    ]);
    const two = await serve({ empty: true });
    const done = await importJournal(two, (await lines()).join('\r\n'));
    expect(done).toMatchObject({ issue: null, entries: 6 });
    const states = (served: ServedHouse) => {
      const rows = served.house.database.reader
        .prepare('SELECT subjectType, subjectId, state FROM subject_state')
        .all();
      return Object.fromEntries(
        (rows as { subjectType: string; subjectId: string; state: string }[]).map((r) => [
          `${r.subjectType}:${r.subjectId}`,
          JSON.parse(r.state) as object,
        ]),
      );
    };
    expect(states(two)).toEqual(states(one));
    expect(states(one)).toEqual(rebuiltStates(one.house));
    expect(await round(two)).toEqual(await round(one));
    const text = (served: ServedHouse) => bytes(served, '/api/journal').then((b) => b.toString());
    expect(await text(two)).toBe(await text(one));
  });

  test.each<[string, (text: string[]) => string[], number | null, string]>([
    ['cut short', (t) => t.slice(0, -1), null, 'notWhole'],
    ['cut in a line', (t) => [...t.slice(0, 5), t[5]!.slice(0, 20)], 6, 'notJson'],
    ['of another format', (t) => ['{"format":"diary","version":1}', ...t.slice(1)], 1, 'otherFormat'],
    ['of another version', (t) => [t[0]!.replace('"version":1', '"version":7'), ...t.slice(1)], 1, 'otherVersion'],
    [
      'with an id twice, the content another',
      (t) => [...t.slice(0, -1), t.at(-2)!.replace('"minutes":1200', '"minutes":1201'), t.at(-1)!],
      null,
      'twice',
    ],
    [
      'with an entry of an unknown kind',
      (t) => [...t.slice(0, -1), t.at(-2)!.replace('"kind":"run"', '"kind":"=cmd()"'), t.at(-1)!],
      null,
      'notRight',
    ],
    ['with a foreign line', (t) => [...t.slice(0, 3), '{"recipe":1}', ...t.slice(3)], 4, 'unknownLine'],
    [
      'that counts otherwise',
      (t) => [...t.slice(0, -1), '{"end":{"setUpVersions":1,"entries":1}}'],
      null,
      'otherCount',
    ],
    ['with a line of null', (t) => [...t.slice(0, 3), 'null', ...t.slice(3)], 4, 'notJson'],
    ['with a line that is a number', (t) => ['7', ...t.slice(1)], 1, 'notJson'],
    ['with an entry of null', (t) => [...t.slice(0, -1), '{"entry":null}', t.at(-1)!], null, 'notAnObject'],
    ['with a set-up of null', (t) => [t[0]!, '{"setUp":null}', ...t.slice(1)], 2, 'notAnObject'],
    ['with an end of null', (t) => [...t.slice(0, -1), '{"end":null}'], null, 'unknownLine'],
    ['that is empty', () => [''], null, 'notWhole'],
  ])('a file %s is refused whole, with its line', async (_, spoil, line, code) => {
    const two = await serve({ empty: true });
    const done = await importJournal(two, spoil(await lines()).join('\n'));
    expect(done).toMatchObject({ issue: { code }, entries: 0 });
    if (line !== null) expect(done.line).toBe(line);
    expect(two.house.database.reader.prepare('SELECT COUNT(*) FROM set_up_version').pluck().get()).toBe(0);
    expect(leftovers(two.house)).toEqual([]);
  });

  test('a line of 50 MB is named, and nothing is taken', async () => {
    const two = await serve({ empty: true });
    const [head] = await lines();
    const done = await importJournal(two, `${head}\n${'x'.repeat(50_000_000)}`);
    expect(done).toMatchObject({ issue: { code: 'notJson' }, line: 2 });
  });

  test('a folder that is not empty takes nothing in', async () => {
    const done = await importJournal(one, (await lines()).join('\n'));
    expect(done).toMatchObject({ issue: { code: 'notEmpty' }, entries: 0 });
  });

  test('a remark that begins with = stays as it is', async () => {
    const odd = entryAt(300, 'note', { text: '=HYPERLINK("x")' });
    one.house.write(odd);
    const two = await serve({ empty: true });
    await importJournal(two, (await lines()).join('\n'));
    const [stored] = two.house.database.reader
      .prepare("SELECT content FROM journal_entry WHERE kind = 'note'")
      .pluck()
      .all();
    expect(JSON.parse(stored as string)).toMatchObject({ body: odd.body });
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
  const archive = await bytes(one, '/api/backup');
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
  const whole = await bytes(one, '/api/backup');
  writeFileSync(join(scratch, 'whole.tar.gz'), whole);
  await tar.extract({ file: join(scratch, 'whole.tar.gz'), cwd: scratch });
  const files = Object.fromEntries(
    ['manifest.json', 'winter-jar.sqlite'].map((name) => [name, readFileSync(join(scratch, name))]),
  );
  const name = `photos/aa/${'a'.repeat(64)}.jpg`;
  const { issue } = await check(one, await archiveOf({ ...files, [name]: 'not this' }));
  expect(issue).toMatchObject({ code: 'damaged', value: name });
});
