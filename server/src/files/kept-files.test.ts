import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { hasFile, idInPath, keptFile, keptFilesIn } from './kept-files.js';

const ID = `ab${'0'.repeat(62)}`;

test.each([
  [`photos/ab/${ID}.jpg`, ID],
  [`photos/ac/${ID}.jpg`, null],
  [`photos/ab/${ID}.thumb.jpg`, null],
  [`photos/ab/${ID}.jpg/more`, null],
  [`photos/${ID}.jpg`, null],
  [`photos/ab/${ID.toUpperCase()}.jpg`, null],
  [`photos/ab/../ab/${ID}.jpg`, null],
  [`others/ab/${ID}.jpg`, null],
  [`/photos/ab/${ID}.jpg`, null],
  ['winter-jar.sqlite', null],
  ['', null],
])('the path "%s" is the place of %s', (path, id) => {
  expect(idInPath(path)).toBe(id);
});

test('what is kept is found, and nothing else in its folder is taken for it', () => {
  const folder = mkdtempSync(join(tmpdir(), 'winter-jar-files-'));
  expect(keptFilesIn(folder)).toEqual([]);
  const file = keptFile(folder, 'photo', ID);
  mkdirSync(dirname(file), { recursive: true });
  for (const path of [file, file.replace('.jpg', '.thumb.jpg'), `${file}.a1b2.half`]) writeFileSync(path, 'x');
  expect(keptFilesIn(folder)).toEqual([`photos/ab/${ID}.jpg`]);
  expect(hasFile(folder, 'photo', ID)).toBe(true);
  expect(hasFile(folder, 'photo', '../../winter-jar.sqlite')).toBe(false);
  expect(() => keptFile(folder, 'photo', '..')).toThrow(/not a SHA-256/);
  rmSync(folder, { recursive: true });
});
