/** @jest-environment node */
import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import { keepAnswer } from './answers.js';
import { patienceWith } from './patience.js';

const asking = (key: string, more: Partial<Parameters<typeof patienceWith>[1]> = {}) =>
  patienceWith(key, { signal: new AbortController().signal, isLost: false, mayBeSlow: true, ...more });
const pass = (seconds: number) => jest.advanceTimersByTimeAsync(seconds * 1000);
/** What is held is looked up in a database that takes turns of its own. */
const lookedUp = () => new Promise<void>((done) => setImmediate(() => setImmediate(() => setImmediate(done))));

beforeAll(async () => {
  await keepAnswer('round', 'round', { rows: [] });
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] });
});

test('where an older answer is held a new one is waited for ten seconds, and then as long as it takes', async () => {
  const first = asking('round');
  await lookedUp();
  await pass(9);
  expect(first.signal.aborted).toBe(false);
  await pass(2);
  expect(first.signal.aborted).toBe(true);
  first.over();
  const second = asking('round');
  await lookedUp();
  await pass(100);
  expect(second.signal.aborted).toBe(false);
});

test('where nothing came just now two seconds, each time for what tells that there is a connection again', async () => {
  for (let i = 0; i < 3; i++) {
    const asked = asking('round', { isLost: true, mayBeSlow: false });
    await lookedUp();
    await pass(3);
    expect([i, asked.signal.aborted]).toEqual([i, true]);
  }
});

test('where nothing is held, or it was answered, nobody gives up; whoever asks may', async () => {
  const own = new AbortController();
  const [unheld, answered] = [asking('pump("p1")', { signal: own.signal }), asking('round')];
  answered.over();
  await lookedUp();
  await pass(100);
  expect([unheld.signal.aborted, answered.signal.aborted]).toEqual([false, false]);
  own.abort();
  expect(unheld.signal.aborted).toBe(true);
});
