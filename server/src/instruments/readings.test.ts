import { appendFile, mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ReadingFiles } from './readings.js';

const T = Date.UTC(2031, 2, 9, 8);
const HOUR_MS = 3_600_000;
let folder: string;
let files: ReadingFiles;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'winter-jar-readings-'));
  files = new ReadingFiles(folder);
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const between = async (fromMs: number, toMs: number, most?: number) => {
  const read = await files.between({ instrumentId: 'g', key: 'p', fromMs, toMs, ...(most ? { most } : {}) });
  return { at: [...read.atMs].map((ms) => ms - T), value: [...read.value], count: read.count };
};

test('readings come back in the order of time, across hours, whatever the order in which they came', async () => {
  for (const [ms, value] of [
    [0, 1],
    [HOUR_MS + 5, 3],
    [10, 2],
    [-HOUR_MS, 0],
  ] as const)
    files.add('g', 'p', T + ms, value);
  expect(await between(T - 2 * HOUR_MS, T + 2 * HOUR_MS)).toEqual({
    at: [-HOUR_MS, 0, 10, HOUR_MS + 5],
    value: [0, 1, 2, 3],
    count: 4,
  });
  expect(await between(T, T + 10)).toEqual({ at: [0, 10], value: [1, 2], count: 2 });
  expect((await between(T + 20, T + 30)).count).toBe(0);
  expect((await files.between({ instrumentId: 'other', key: 'p', fromMs: 0, toMs: T })).count).toBe(0);
});

test('for a screen no peak is lost, and how many there were is said', async () => {
  for (let i = 0; i < 20_000; i++) files.add('g', 'p', T + i * 100, i === 7777 ? 900 : i === 12_345 ? 0.1 : 5);
  const few = await between(T, T + HOUR_MS, 400);
  expect(few.count).toBe(20_000);
  expect(few.at.length).toBeLessThanOrEqual(500);
  expect([Math.max(...few.value), Math.min(...few.value)]).toEqual([900, 0.1]);
});

test('a record that a crash cut in half takes nothing of what is written behind it', async () => {
  files.add('g', 'p', T, 1);
  await files.flush();
  await appendFile(join(folder, 'readings', 'g', 'p', `${T}.bin`), Buffer.from([1, 2, 3, 4, 5]));
  // The server is started again.
  files = new ReadingFiles(folder);
  files.add('g', 'p', T + 1000, 2);
  expect(await between(T, T + HOUR_MS)).toEqual({ at: [0, 1000], value: [1, 2], count: 2 });
});

test('what is older than seven days goes, and the oldest where there is too much', async () => {
  for (const days of [0, 3, 8]) for (let i = 0; i < 100; i++) files.add('g', 'p', T - days * 24 * HOUR_MS + i, 1);
  await files.flush();
  const kept = async () => (await readdir(join(folder, 'readings', 'g', 'p'))).length;
  await files.purge(T);
  expect(await kept()).toBe(2);
  const { size } = await stat(join(folder, 'readings', 'g', 'p', `${T}.bin`));
  await files.purge(T, size);
  expect(await kept()).toBe(1);
  expect((await between(T - HOUR_MS, T + HOUR_MS)).count).toBe(100);
});

test('a disk that takes nothing loses the readings and nothing else', async () => {
  files.add('\0', 'p', T, 1);
  files.add('g', 'p', T, 1);
  await files.flush();
  expect((await between(T, T)).count).toBe(1);
});
