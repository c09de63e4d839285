import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { copyKept, keptDataIn, thinOutKept } from './kept-data.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const keep = (count: number) => {
  mkdirSync(join(folder, 'kept'));
  for (let i = 0; i < count; i++) writeFileSync(join(folder, 'kept', `winter-jar-${i}.sqlite`), 'x');
};
const inDays = (days: number) => Date.now() + days * 86_400_000;

test('the newest ten are kept whatever their age, the others for ninety days', () => {
  expect(keptDataIn(folder)).toEqual([]);
  keep(14);
  thinOutKept(folder, inDays(89));
  expect(keptDataIn(folder)).toHaveLength(14);
  thinOutKept(folder, inDays(91));
  expect(keptDataIn(folder)).toHaveLength(10);
});

test('only what lies there under its own name is copied', () => {
  keep(1);
  writeFileSync(join(folder, 'kept', 'notes.txt'), 'x');
  for (const name of ['../winter-jar.sqlite', 'notes.txt', '', 'winter-jar-9.sqlite'])
    expect(copyKept(folder, name, folder)).toBeNull();
  expect(copyKept(folder, 'winter-jar-0.sqlite', folder)).toMatchObject({ bytes: 1 });
});
