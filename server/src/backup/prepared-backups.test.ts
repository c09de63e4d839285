import type { RestoreCheck, RestoreResult } from '@winter-jar/contracts';
import { at, changeAt, correctionAt, entryAt, lookAt, runAt } from '@winter-jar/core/testing';
import BetterSqlite3 from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import * as tar from 'tar';
import { contentHash } from '../journal/content-hash.js';
import { leftovers, serveHouse, type ServedHouse, upload } from '../testing/served-house.js';
import { rebuiltStates } from '../testing/test-house.js';

// Backups as somebody could prepare them: every check sum is right, and one thing in them is not.
let one: ServedHouse;
let scratch: string;
const bleed = entryAt(60, 'bleed', { sump: 'oil', drawnMl: 12, waterMl: 4 });
beforeEach(async () => {
  scratch = mkdtempSync(join(tmpdir(), 'winter-jar-scratch-'));
  one = await serveHouse();
  one.house.write(runAt(10, 20, 'fd-meat'), lookAt(40, { clarity: 'hazy' }), changeAt(50), bleed);
});
afterEach(async () => {
  // Whatever came, the server answers, nothing is left lying about, and its states are those of its journal.
  expect((await one.get('/api/round')).status).toBe(200);
  expect((await one.get('/api/pumps/p1')).status).toBe(200);
  expect(one.house.everyState()).toEqual(rebuiltStates(one.house));
  await one.close();
  rmSync(scratch, { recursive: true, force: true });
});

const sha256 = (content: Buffer | string) => createHash('sha256').update(content).digest('hex');

async function prepared(spoil: (db: BetterSqlite3.Database) => void, more: Record<string, Buffer | string> = {}) {
  const file = join(scratch, 'winter-jar.sqlite');
  await one.house.database.writer.backup(file);
  const db = new BetterSqlite3(file);
  db.pragma('journal_mode = DELETE');
  spoil(db);
  db.close();
  return archiveOf(readFileSync(file), more);
}

async function archiveOf(database: Buffer, more: Record<string, Buffer | string> = {}): Promise<Buffer> {
  const manifest = { format: 'winter-jar-backup', version: 1, madeAt: at(1), sha256: sha256(database) };
  const files = { 'manifest.json': JSON.stringify(manifest), 'winter-jar.sqlite': database, ...more };
  for (const [name, content] of Object.entries(files)) {
    mkdirSync(dirname(join(scratch, name)), { recursive: true });
    writeFileSync(join(scratch, name), content);
  }
  await tar.create({ gzip: true, file: join(scratch, 'made.tar.gz'), cwd: scratch }, Object.keys(files));
  return readFileSync(join(scratch, 'made.tar.gz'));
}

const check = async (body: Buffer) =>
  (await upload(one, '/api/restore/check', 'application/gzip', body).expect(200)).body as RestoreCheck;
const editBleed = (change: (entry: { body: Record<string, unknown> }) => void) => (db: BetterSqlite3.Database) => {
  const entry = structuredClone(bleed) as unknown as { body: Record<string, unknown> };
  change(entry);
  db.prepare('UPDATE journal_entry SET content = ? WHERE id = ?').run(JSON.stringify(entry), bleed.id);
};
const editPump = (change: (pump: Record<string, unknown>) => void) => (db: BetterSqlite3.Database) => {
  const get = db.prepare("SELECT id, body FROM set_up_version WHERE kind = 'pump' AND subjectId = 'p1'").get();
  const row = get as { id: string; body: string };
  const pump = JSON.parse(row.body) as Record<string, unknown>;
  change(pump);
  db.prepare('UPDATE set_up_version SET body = ? WHERE id = ?').run(JSON.stringify(pump), row.id);
};

test.each<[string, (db: BetterSqlite3.Database) => void, RegExp, string]>([
  [
    'an entry that is no JSON',
    (db) => db.exec("UPDATE journal_entry SET content = '{' WHERE kind = 'run'"),
    /^entry /,
    'damaged',
  ],
  [
    'an entry of null',
    (db) => db.exec("UPDATE journal_entry SET content = 'null' WHERE kind = 'run'"),
    /^entry /,
    'notAnObject',
  ],
  ['text for mL', editBleed((e) => (e.body.drawnMl = 'abc')), /^entry .*body\.drawnMl$/, 'notRight'],
  ['mL below nothing', editBleed((e) => (e.body.waterMl = -5000)), /^entry .*body\.waterMl$/, 'notRight'],
  ['mL without end', editBleed((e) => (e.body.drawnMl = 1e300)), /^entry .*body\.drawnMl$/, 'notRight'],
  [
    'an entry that its check sum does not know',
    editBleed((e) => (e.body.drawnMl = 13)),
    /contentHash$/,
    'contradicted',
  ],
  [
    'a time in a column that the entry does not say',
    (db) => db.exec("UPDATE journal_entry SET happenedAt = 'soon' WHERE kind = 'run'"),
    /happenedAt$/,
    'contradicted',
  ],
  [
    'a state that is no JSON',
    (db) => db.exec("UPDATE journal_entry SET unsettled = 'lost' WHERE kind = 'bleed'"),
    /^entry /,
    'damaged',
  ],
  [
    'a state that there is not',
    (db) => db.exec(`UPDATE journal_entry SET unsettled = '{"state":"lost"}' WHERE kind = 'bleed'`),
    /unsettled$/,
    'notRight',
  ],
  [
    'an entry that waits, and is no correction',
    (db) => db.exec(`UPDATE journal_entry SET unsettled = '{"state":"waits"}' WHERE kind = 'bleed'`),
    /unsettled$/,
    'contradicted',
  ],
  ['a pump of a model that there is not', editPump((p) => (p.modelId = 'none')), /p1/, 'unknownId'],
  ['a pump without a name', editPump((p) => delete p.name), /^set-up: .*name$/, 'missing'],
  [
    'a record that is no JSON',
    (db) => db.exec("UPDATE set_up_version SET body = '{' WHERE kind = 'site'"),
    /^file$/,
    'damaged',
  ],
  ['a table that is not there', (db) => db.exec('DROP TABLE checkpoint'), /^file$/, 'cannotBeRead'],
])('refused with the reason: %s', async (_what, spoil, field, code) => {
  const { issue, uploadId } = await check(await prepared(spoil));
  expect(issue).toMatchObject({ code });
  expect(issue?.field).toMatch(field);
  expect(uploadId).toBeNull();
  expect(leftovers(one.house)).toEqual([]);
});

test.each<[string, (db: BetterSqlite3.Database) => void]>([
  ['altered states', (db) => db.exec(`UPDATE subject_state SET state = replace(state, '"runs":1', '"runs":99')`)],
  [
    'states of nothing',
    (db) => db.exec('DELETE FROM subject_state; DELETE FROM counted_entry; DELETE FROM subject_entry'),
  ],
  ['states that are no JSON', (db) => db.exec("UPDATE subject_state SET state = '{'")],
])('what follows from the journal is made anew before it is put in place: %s', async (_what, spoil) => {
  const before = one.house.everyState();
  const { issue, uploadId } = await check(await prepared(spoil));
  expect(issue).toBeNull();
  const restored = await one.post('/api/restore', { uploadId }).expect(200);
  expect((restored.body as RestoreResult).now.entries).toBe(4);
  expect(one.house.everyState()).toEqual(before);
});

test.each<[string, object | null, string, string]>([
  ['text and less than nothing', { sump: 'oil', drawnMl: 'abc', waterMl: -5000 }, bleed.id, 'toSettle'],
  ['an empty body', {}, bleed.id, 'toSettle'],
  ['no such entry', { sump: 'oil', drawnMl: 30, waterMl: 20 }, '0199aaaa-0000-7000-8000-0000000000ff', 'waits'],
])('a correction that was counted unchecked is kept and does not count: %s', async (_what, body, targetId, state) => {
  const before = one.house.everyState();
  const said = correctionAt(100, bleed, { action: 'replace', body: body, targetId });
  const spoil = (db: BetterSqlite3.Database) => {
    const { id, actId, kind, happenedAt, recordedAt } = said;
    db.prepare(
      `INSERT INTO journal_entry (id, actId, kind, happenedAt, recordedAt, targetId, contentHash, content)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    ).run(id, actId, kind, happenedAt, recordedAt, targetId, contentHash(said), JSON.stringify(said));
  };
  const { issue, uploadId } = await check(await prepared(spoil));
  expect(issue).toBeNull();
  await one.post('/api/restore', { uploadId }).expect(200);
  expect(one.house.unsettled().get(said.id)?.state).toBe(state);
  expect((await one.get('/api/unsettled')).body).toMatchObject({ total: 1 });
  expect(one.house.everyState()).toEqual(before);
});

test('out of a small file comes no end of bytes: it is counted while it is read', async () => {
  const archive = await archiveOf(Buffer.alloc(120_000_000));
  expect(archive.length).toBeLessThan(1_000_000);
  expect((await check(archive)).issue).toMatchObject({ code: 'tooLarge' });
  expect(leftovers(one.house)).toEqual([]);
});

test('a manifest as large as a database is none', async () => {
  const archive = await prepared(() => undefined, { 'manifest.json': ' '.repeat(200_000) });
  expect((await check(archive)).issue).toMatchObject({ code: 'otherFormat' });
});

test('a photograph that is no picture is refused', async () => {
  const text = 'not a picture';
  const name = `photos/${sha256(text).slice(0, 2)}/${sha256(text)}.jpg`;
  expect((await check(await prepared(() => undefined, { [name]: text }))).issue).toMatchObject({
    code: 'damaged',
    value: name,
  });
});

test('what cannot be opened in its place gives way to what stood there', async () => {
  const { database } = one.house;
  const file = join(one.house.folder, 'other.sqlite');
  await database.writer.backup(file);
  let fails = true;
  database.onReopened(() => {
    if (fails) throw new Error('a state that cannot be read');
  });
  const replacing = database
    .replaceWith(file, join(one.house.folder, 'kept', 'before.sqlite'))
    .finally(() => (fails = false));
  await expect(replacing).rejects.toThrow('a state that cannot be read');
  expect(database.busy).toBe(false);
});
