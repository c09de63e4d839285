import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CannotReplace, openDatabase, writingSource } from './open.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('after the migrations the tables are what the entities say', async () => {
  const source = await writingSource(folder).initialize();
  const { upQueries } = await source.driver.createSchemaBuilder().log();
  await source.destroy();
  expect(upQueries.map((q) => q.query)).toEqual([]);
});

test('writes are durable, and the reading connection cannot write', async () => {
  const database = await openDatabase(folder);
  expect(database.writer.pragma('journal_mode', { simple: true })).toBe('wal');
  expect(database.writer.pragma('synchronous', { simple: true })).toBe(2);
  expect(database.writer.pragma('foreign_keys', { simple: true })).toBe(1);
  expect(() => database.reader.exec("INSERT INTO house_fact VALUES ('a', 'b')")).toThrow(/readonly/);
  await database.close();
});

test('data that another program has open are not replaced, and served on', async () => {
  const database = await openDatabase(folder);
  const file = join(folder, 'other.sqlite');
  database.writer.prepare('VACUUM INTO ?').run(file);
  const other = await openDatabase(folder);
  await expect(database.replaceWith(file, join(folder, 'kept', 'before.sqlite'))).rejects.toThrow(
    new CannotReplace('the data folder is open in another program'),
  );
  await other.close();
  expect(database.busy).toBe(false);
  expect(database.writer.pragma('journal_mode', { simple: true })).toBe('wal');
  await database.close();
});
