import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FolderTaken, lockFolder } from './folder-lock.js';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'winter-jar-lock-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('a folder has one owner, and whoever comes second is told who', () => {
  const first = lockFolder(folder, 'serves');
  expect(() => lockFolder(folder, 'restores')).toThrow(FolderTaken);
  expect(() => lockFolder(folder, 'restores')).toThrow(
    new RegExp(`${folder} belongs to process ${process.pid}, which serves it since \\d{4}-\\d\\d-\\d\\dT`),
  );
  first.release();
  const second = lockFolder(folder, 'restores');
  expect(() => lockFolder(folder, 'serves')).toThrow(/which restores it/);
  second.release();
});

test('a folder that is not there yet is made; folders do not stand in for one another', () => {
  const [one, two] = [lockFolder(join(folder, 'one'), 'serves'), lockFolder(join(folder, 'two'), 'serves')];
  one.release();
  two.release();
});

test('whoever holds it need not have said so yet', () => {
  const first = lockFolder(folder, 'serves');
  writeFileSync(join(folder, 'owner.json'), '{"pro');
  expect(() => lockFolder(folder, 'restores')).toThrow(/belongs to another process/);
  first.release();
});
