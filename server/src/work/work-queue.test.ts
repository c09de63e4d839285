import { readdirSync } from 'node:fs';
import { setImmediate, setTimeout } from 'node:timers/promises';
import type { SuspectsAnswer } from '@winter-jar/contracts';
import { at, changeAt, lookAt, runAt } from '@winter-jar/core/testing';
import { JOURNAL_LINES_JOB } from '../backup/journal-lines.js';
import { SUSPECTS_JOB } from '../diagnosis/suspects.js';
import { jobTools, nowMs, openHouse, type TestHouse } from '../testing/test-house.js';
import type { Job } from './job.js';
import { JobCancelled, WorkQueue } from './work-queue.js';

const now = new Date(nowMs()).toISOString();
let house: TestHouse;
let queue: WorkQueue;
beforeEach(async () => {
  house = await openHouse();
  queue = new WorkQueue(house.database);
});
afterEach(async () => {
  await queue.onModuleDestroy();
  await house.close();
});
/** Dark after each wet load, some weeks ago. */
const dark = () =>
  house.write(
    ...[0, 1, 2, 3].flatMap((i) => {
      const hours = 365 * 24 - 2000 + i * 200;
      return [changeAt(hours), runAt(hours + 5, 20, 'fd-meat'), lookAt(hours + 60, { colour: 6, freeWaterMl: 20 })];
    }),
  );
const inline = (input: { now: string; sight: null }): SuspectsAnswer | Promise<SuspectsAnswer> =>
  SUSPECTS_JOB.run(jobTools(house), input);

test('the worker gives what the job gives, and says how far it is', async () => {
  dark();
  const told: number[] = [];
  const answer = await queue.run(SUSPECTS_JOB, { now, sight: null }, { onProgress: (share) => told.push(share) });
  expect(answer).toEqual(await inline({ now, sight: null }));
  expect(answer.dark.materials.length).toBeGreaterThan(0);
  expect(told.at(-1)).toBe(1);
  expect(told).toEqual([...told].sort((a, b) => a - b));
});

test('it reads what was written since, one job after another', async () => {
  const [before, after] = [
    queue.run(SUSPECTS_JOB, { now, sight: null }),
    queue.run(SUSPECTS_JOB, { now: at(200), sight: null }),
  ];
  dark();
  await Promise.all([before, after]);
  expect(await queue.run(SUSPECTS_JOB, { now, sight: null })).toEqual(await inline({ now, sight: null }));
});

test('what a job throws comes back by name, and the next one runs', async () => {
  await expect(queue.run(SUSPECTS_JOB, { now: 'yesterday', sight: null })).rejects.toThrow(/^suspects: .*[Tt]ime/);
  const unknown: Job<object, unknown> = { name: 'unheard of', lane: 'screen', run: () => null };
  await expect(queue.run(unknown, {})).rejects.toThrow('unheard of: no such job in work-main.ts');
  expect((await queue.run(SUSPECTS_JOB, { now, sight: null })).since).toBeTruthy();
});

test('whoever has gone is not worked for: neither before its turn nor in the midst of it', async () => {
  const [early, late] = [new AbortController(), new AbortController()];
  const running = queue.run(
    SUSPECTS_JOB,
    { now, sight: null },
    { signal: late.signal, onProgress: () => late.abort() },
  );
  const waiting = queue.run(SUSPECTS_JOB, { now, sight: null }, { signal: early.signal });
  early.abort();
  await expect(waiting).rejects.toThrow(JobCancelled);
  await running.catch((error: unknown) => expect(error).toBeInstanceOf(JobCancelled));
  expect((await queue.run(SUSPECTS_JOB, { now, sight: null })).since).toBeTruthy();
});

test('whoever goes before its turn does not wait for it', async () => {
  const first = queue.run(SUSPECTS_JOB, { now, sight: null });
  const late = new AbortController();
  const waiting = queue.run(SUSPECTS_JOB, { now, sight: null }, { signal: late.signal });
  late.abort();
  expect(await Promise.race([waiting.catch((error: unknown) => error), first])).toBeInstanceOf(JobCancelled);
  await first;
});

test('a thread that is leaving already has left before the data are replaced', async () => {
  const threads = () => readdirSync('/proc/self/task').length;
  // What makes a file gives its thread back with the answer.
  const lines = (fileName: string) =>
    queue.run(JOURNAL_LINES_JOB, { dataFolder: house.folder, into: house.folder, fileName, now, sight: null });
  await lines('first.jsonl');
  await setTimeout(500);
  const none = threads();
  await lines('second.jsonl');
  await setImmediate();
  await queue.onModuleDestroy();
  expect(threads()).toBe(none);
});

test('after a restore it reads the data that lie there then', async () => {
  dark();
  expect((await queue.run(SUSPECTS_JOB, { now, sight: null })).dark.materials.length).toBeGreaterThan(0);
  const other = await openHouse();
  const file = `${house.folder}/other.sqlite`;
  other.database.writer.prepare('VACUUM INTO ?').run(file);
  await other.close();
  await house.database.replaceWith(file, `${house.folder}/kept/before.sqlite`);
  expect((await queue.run(SUSPECTS_JOB, { now, sight: null })).dark.materials).toEqual([]);
});
