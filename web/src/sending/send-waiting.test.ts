/** @jest-environment node */
import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';
import type { EntryAnswer } from '@winter-jar/contracts';
import type { JournalEntry } from '@winter-jar/core';
import { entryAt, runAt } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { createStore } from '../device/store.js';
import { askedAs } from '../held/answers.js';
import { holdPhoto } from '../held/held-photos.js';
import { outbox } from '../held/outbox.js';
import { sendWaiting, writeNow } from './send-waiting.js';

const HOUSE = { house: 'a-house', who: null };

/** A door that keeps what it takes, in its order, and may be out of reach, or lose its answer on the way. */
const door = {
  journal: [] as JournalEntry[],
  isNear: true,
  losesAnswer: false,
  refuses: new Set<string>(),
  photos: 0,
  take(body: string): Response {
    const { entries } = JSON.parse(body) as { entries: JournalEntry[] };
    const answers = entries.map((entry): EntryAnswer => {
      const { id } = entry;
      if (door.refuses.has(id))
        return {
          id,
          status: 'refused',
          issues: [{ field: 'body', value: null, code: 'unknownId', right: 'one that is known' }],
        };
      const known = door.journal.findIndex((e) => e.id === id);
      if (known >= 0) return { id, status: 'alreadyWritten', seq: known + 1 };
      door.journal.push(entry);
      return { id, status: 'written', seq: door.journal.length };
    });
    if (door.losesAnswer) throw new TypeError('the answer was lost');
    return Response.json({ answers, changes: [] }, { status: 207 });
  },
};

beforeAll(() => {
  const Plain = globalThis.Request;
  // What a browser does with an address of its own page.
  globalThis.Request = class extends Plain {
    constructor(input: string | URL | Request, init?: RequestInit) {
      super(typeof input === 'string' && input.startsWith('/') ? `http://house${input}` : input, init);
    }
  };
  globalThis.fetch = async (input, init) => {
    if (!door.isNear) throw new TypeError('no connection');
    const request = input instanceof Request ? input : new Request(input, init);
    if (!request.url.endsWith('/api/photos')) return door.take(await request.text());
    door.photos += 1;
    return Response.json({ photoId: 'c'.repeat(64) }, { status: 201 });
  };
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
  // RTK says that what it was asked for could not be fetched.
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
});

const store = createStore();
const write = (...entries: JournalEntry[]) => writeNow(entries, HOUSE, store.dispatch);
const send = () => sendWaiting(store.dispatch);
const states = () => outbox.all().map(({ state }) => state);

beforeEach(async () => {
  Object.assign(door, { journal: [], isNear: true, losesAnswer: false, refuses: new Set(), photos: 0 });
  for (const item of outbox.all()) await outbox.remove(item);
  await askedAs({ house: 'a-house', who: null, sees: 'all' });
});

test('with a connection it is sent and nothing waits; without one it waits, and goes when there is one', async () => {
  expect(await write(runAt(1, 2))).toEqual({ kind: 'written' });
  expect(states()).toEqual([]);
  door.isNear = false;
  expect(await write(runAt(4, 2))).toEqual({ kind: 'written', waits: true });
  expect(await write(runAt(8, 2))).toEqual({ kind: 'written', waits: true });
  expect([states(), door.journal.length]).toEqual([['waiting', 'waiting'], 1]);
  door.isNear = true;
  expect(await send()).toEqual({ sent: 2, isThrough: true });
  expect(door.journal.map((e) => e.happenedAt)).toEqual(
    [runAt(1, 2), runAt(4, 2), runAt(8, 2)].map((e) => e.happenedAt),
  );
});

test('what is written while others wait goes behind them', async () => {
  door.isNear = false;
  const first = runAt(1, 2);
  await write(first);
  door.isNear = true;
  const second = runAt(4, 2);
  expect(await write(second)).toEqual({ kind: 'written' });
  expect(door.journal.map((e) => e.id)).toEqual([first.id, second.id]);
});

test('what somebody at the screen is told is theirs to put right: it does not wait', async () => {
  const run = runAt(1, 2);
  door.refuses.add(run.id);
  expect(await write(run)).toMatchObject({ kind: 'refused' });
  expect(states()).toEqual([]);
});

test('what is refused when it arrives stays with its reason, and holds nothing up', async () => {
  door.isNear = false;
  const [bad, good] = [runAt(1, 2), runAt(4, 2)];
  await write(bad);
  await write(good);
  door.refuses.add(bad.id);
  door.isNear = true;
  expect(await send()).toEqual({ sent: 1, isThrough: true });
  expect(outbox.all()).toMatchObject([{ state: 'refused', issues: [{ field: 'body' }] }]);
  // Put right by its form, it is written as it says now.
  const right = {
    ...entryAt(5, 'note', { text: '' }),
    kind: 'correction',
    body: { targetId: bad.id, supersedes: null, saw: [], action: 'replace', body: { ...bad.body, minutes: 30 } },
  };
  expect(await write(right as JournalEntry)).toEqual({ kind: 'written' });
  expect(states()).toEqual([]);
  expect(door.journal.at(-1)).toMatchObject({ kind: 'run', body: { minutes: 30 }, happenedAt: bad.happenedAt });
});

test('it is sent to its own house, and as its own writer', async () => {
  door.isNear = false;
  await write(runAt(1, 2));
  await writeNow([runAt(4, 2)], { house: 'a-house', who: 'ada' }, store.dispatch);
  door.isNear = true;
  await askedAs({ house: 'another-house', who: null, sees: 'all' });
  expect(await send()).toEqual({ sent: 0, isThrough: true });
  await askedAs({ house: 'a-house', who: 'bo', sees: 'bo' });
  expect(await send()).toEqual({ sent: 1, isThrough: true });
  await askedAs({ house: 'a-house', who: 'ada', sees: 'ada' });
  expect(await send()).toEqual({ sent: 1, isThrough: true });
});

test('a photograph of the device goes first, once, and its entry names it as the server does', async () => {
  const photoId = await holdPhoto(new Blob(['jar'], { type: 'image/png' }));
  const look = entryAt(1, 'look', { sump: 'oil', source: 'sightGlass', hoursStood: 8, photoId } as never);
  door.losesAnswer = true;
  await write(look);
  door.losesAnswer = false;
  await send();
  expect([door.photos, door.journal.length, states()]).toEqual([1, 1, []]);
  expect(door.journal[0]).toMatchObject({ body: { photoId: 'c'.repeat(64) } });
});

/** What a day does to a device. */
const day = fc.array(fc.constantFrom('write', 'near', 'far', 'loses', 'keeps', 'send', 'opened anew'), {
  minLength: 5,
  maxLength: 40,
});

test('whatever is lost on the way, sent twice or started anew: each entry is once at the door or waits, in the order of writing', async () => {
  await fc.assert(
    fc.asyncProperty(day, async (deeds) => {
      Object.assign(door, { journal: [], isNear: true, losesAnswer: false });
      for (const item of outbox.all()) await outbox.remove(item);
      const written: string[] = [];
      for (const [i, deed] of deeds.entries()) {
        if (deed === 'write') {
          const run = runAt(i * 3, 2);
          written.push(run.id);
          expect(await write(run)).toMatchObject({ kind: 'written' });
        } else if (deed === 'send') await send();
        else if (deed === 'opened anew') await outbox.opened();
        else if (deed === 'near' || deed === 'far') door.isNear = deed === 'near';
        else door.losesAnswer = deed === 'loses';
        const there = door.journal.map(({ id }) => id);
        const here = outbox.all().flatMap(({ entries }) => entries.map(({ id }) => id));
        expect(new Set(there).size).toBe(there.length);
        expect(new Set([...there, ...here])).toEqual(new Set(written));
      }
      Object.assign(door, { isNear: true, losesAnswer: false });
      await send();
      expect(door.journal.map(({ id }) => id)).toEqual(written);
      expect(outbox.all()).toEqual([]);
    }),
    { numRuns: 60 },
  );
});
