import { existsSync, linkSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dropWorkFolder, newWorkFolder } from './work-folder.js';

const LARGE = 20 << 20;
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-work-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

test('a work folder goes with all that is in it, and what it only links to stays whole', async () => {
  const kept = join(folder, 'photograph');
  writeFileSync(kept, Buffer.alloc(LARGE, 7));
  const { path } = newWorkFolder(folder);
  mkdirSync(join(path, 'files'));
  linkSync(kept, join(path, 'files', 'photograph'));
  linkSync(kept, join(path, 'beside'));
  writeFileSync(join(path, 'copy'), Buffer.alloc(LARGE));
  writeFileSync(join(path, 'empty'), '');
  await dropWorkFolder(path);
  expect(existsSync(path)).toBe(false);
  expect(statSync(kept).size).toBe(LARGE);
});

test('one file of it can stay', async () => {
  const { path } = newWorkFolder(folder);
  for (const name of ['copy', 'made']) writeFileSync(join(path, name), Buffer.alloc(LARGE));
  await dropWorkFolder(path, 'made');
  expect(readdirSync(path)).toEqual(['made']);
  expect(statSync(join(path, 'made')).size).toBe(LARGE);
});

test('one that is gone already is no error', async () => {
  const { path } = newWorkFolder(folder);
  await dropWorkFolder(path);
  await expect(dropWorkFolder(path)).resolves.toBeUndefined();
});
