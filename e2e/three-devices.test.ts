/** @jest-environment node */
import 'fake-indexeddb/auto';
import { AsyncLocalStorage } from 'node:async_hooks';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { jest } from '@jest/globals';
import type { Entry, JournalEntry, PumpState } from '@winter-jar/core';
import { changeAt, correctionAt, runAt } from '@winter-jar/core/testing';
import fc from 'fast-check';
import { IDBFactory } from 'fake-indexeddb';
import { JournalWriter } from '../server/src/journal/journal-writer.js';
import { serveHouse, type ServedHouse } from '../server/src/testing/served-house.js';
import { rebuiltStates } from '../server/src/testing/test-house.js';

/** What runs in a device's browser from one opening to the next. */
type Program = Awaited<ReturnType<typeof openProgram>>;

interface Device {
  readonly who: string;
  readonly memory: IDBFactory;
  program: Program;
  isNear: boolean;
  /** What becomes of a request that reaches the house. */
  line: 'good' | 'loses the answer' | 'sends twice' | 'hangs';
  readonly written: Entry[];
}

async function openProgram(memory: IDBFactory, who: string) {
  jest.resetModules();
  globalThis.indexedDB = memory;
  const { outbox } = await import('../web/src/held/outbox.js');
  const { askedAs } = await import('../web/src/held/answers.js');
  const { sendWaiting, writeNow } = await import('../web/src/sending/send-waiting.js');
  const { createStore } = await import('../web/src/device/store.js');
  const { houseApi } = await import('../web/src/api/house-api.js');
  await outbox.opened();
  await askedAs({ house: 'the-house', who, sees: who });
  const { dispatch } = createStore();
  return {
    waiting: () => outbox.all(),
    send: () => sendWaiting(dispatch),
    /** Nothing of it keeps the process alive. */
    close: () => dispatch(houseApi.util.resetApiState()),
    giveUp: () => Promise.all(outbox.all().map((item) => outbox.remove(item))),
    write: (entry: JournalEntry) => writeNow([entry], { house: 'the-house', who }, dispatch),
    page: async () => {
      const asked = dispatch(houseApi.endpoints.pump.initiate('p1', { forceRefetch: true }));
      const { data } = await asked;
      asked.unsubscribe();
      return data;
    },
  };
}

let served: ServedHouse;
const devices: Device[] = [];
/** Requests that nothing comes back of. */
const hanging: ((reason: TypeError) => void)[] = [];
const speaking = new AsyncLocalStorage<Device>();
/** Whatever a device does, its requests go by its own line. */
const at = <T>(device: Device, deed: (program: Program) => Promise<T>): Promise<T> =>
  speaking.run(device, () => deed(device.program));

const opened = async (device: Device): Promise<void> => {
  device.program.close();
  device.program = await openProgram(device.memory, device.who);
};

beforeAll(async () => {
  served = await serveHouse();
  served.server.listen(0, '127.0.0.1');
  await once(served.server, 'listening');
  const address = `http://127.0.0.1:${(served.server.address() as AddressInfo).port}`;
  const PlainRequest = globalThis.Request;
  globalThis.Request = class extends PlainRequest {
    constructor(input: string | URL | Request, init?: RequestInit) {
      super(typeof input === 'string' && input.startsWith('/') ? address + input : input, init);
    }
  };
  const plainFetch = globalThis.fetch;
  globalThis.fetch = async (input, init) => {
    const device = speaking.getStore();
    const request = new Request(input, init);
    if (!device?.isNear) throw new TypeError('no connection');
    if (request.method === 'GET') return plainFetch(request);
    if (device.line === 'sends twice') await plainFetch(request.clone());
    const answer = await plainFetch(request);
    if (device.line === 'hangs') return new Promise((_, lose) => hanging.push(lose));
    if (device.line === 'loses the answer') throw new TypeError('the answer was lost');
    return answer;
  };
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
  // RTK says that what it was asked for could not be fetched.
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  for (const who of ['ada', 'bo', 'cy']) {
    const memory = new IDBFactory();
    const program = await openProgram(memory, who);
    devices.push({ who, memory, program, isNear: true, line: 'good', written: [] });
  }
});
afterAll(async () => {
  for (const lose of hanging) lose(new TypeError('the test is over'));
  for (const { program } of devices) program.close();
  await served.close();
});

const device = fc.nat(2);
const deeds = fc.array(
  fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        device,
        does: fc.constantFrom('run', 'run', 'change', 'correct', 'void'),
        hour: fc.integer({ min: 0, max: 60 }),
        insists: fc.boolean(),
      }),
    },
    {
      weight: 5,
      arbitrary: fc.record({ device, does: fc.constantFrom('goes near', 'goes away', 'sends', 'all send at once') }),
    },
    {
      weight: 4,
      arbitrary: fc.record({
        device,
        does: fc.constantFrom('good', 'good', 'loses the answer', 'sends twice', 'hangs'),
      }),
    },
    // It costs half a second, the others next to nothing.
    { weight: 1, arbitrary: fc.record({ device, does: fc.constant('is opened anew') }) },
  ),
  { minLength: 12, maxLength: 40 },
);

const journalIds = () => served.house.journal().map(({ id }) => id);

test('three devices, lost answers, repeats and restarts: what was acknowledged or waits is there once, and all agree', async () => {
  let day = 0;
  await fc.assert(
    fc.asyncProperty(deeds, async (made) => {
      day += 8;
      for (const device of devices) Object.assign(device, { isNear: true, line: 'good', written: [] });
      const before = new Set(journalIds());
      /** Whoever wrote it was told that it is kept. */
      const acknowledged = new Set<string>();
      /** Whoever wrote it was told nothing yet, or that it is not kept. */
      const tried = new Set<string>();

      const write = async (device: Device, entry: JournalEntry, insists: boolean): Promise<void> => {
        tried.add(entry.id);
        const told = at(device, (program) => program.write(entry));
        if (device.isNear && device.line === 'hangs') {
          void told;
          await new Promise((wait) => setTimeout(wait, 40));
          return opened(device);
        }
        const result = await told;
        if (result.kind === 'written') {
          acknowledged.add(entry.id);
          if (entry.kind !== 'correction') device.written.push(entry);
        }
        if (result.kind !== 'asked' || !insists) return;
        const codes = result.questions.map((q) => q.code);
        return write(device, { ...entry, acknowledged: codes }, false);
      };
      const send = async (device: Device): Promise<void> => {
        if (device.isNear && device.line === 'hangs') return;
        await at(device, (program) => program.send());
      };

      for (const deed of made) {
        const device = devices[deed.device]!;
        const { does } = deed;
        if ('hour' in deed) {
          const hour = day * 24 + deed.hour;
          const own = device.written.at(-1);
          const entry: JournalEntry | undefined =
            does === 'run'
              ? runAt(hour, 3, 'fd-meat')
              : does === 'change'
                ? changeAt(hour)
                : own &&
                  correctionAt(
                    hour + 80,
                    own,
                    does === 'void' ? { action: 'void' } : { action: 'replace', body: own.body },
                  );
          if (entry) await write(device, { ...entry, who: device.who }, deed.insists);
        } else if (does === 'goes near' || does === 'goes away') device.isNear = does === 'goes near';
        else if (does === 'sends') await send(device);
        else if (does === 'is opened anew') await opened(device);
        else if (does === 'all send at once') await Promise.all(devices.map(send));
        else device.line = does as Device['line'];

        const there = journalIds().filter((id) => !before.has(id));
        const here = devices.flatMap((d) => d.program.waiting().flatMap((w) => w.entries.map(({ id }) => id)));
        expect(new Set(there).size).toBe(there.length);
        expect(new Set(here).size).toBe(here.length);
        const exists = new Set([...there, ...here]);
        expect([...acknowledged].filter((id) => !exists.has(id))).toEqual([]);
        expect([...exists].filter((id) => !tried.has(id))).toEqual([]);
      }

      for (const device of devices) Object.assign(device, { isNear: true, line: 'good' });
      await Promise.all(devices.map(send));
      const left = devices.flatMap((d) => d.program.waiting());
      // What the house does not take stays, with its reason.
      expect(left.filter((w) => w.state !== 'refused')).toEqual([]);
      const refused = left.flatMap((w) => w.entries.map(({ id }) => id));
      const there = journalIds().filter((id) => !before.has(id));
      expect([...acknowledged].filter((id) => !there.includes(id) && !refused.includes(id))).toEqual([]);
      expect(there.filter((id) => refused.includes(id))).toEqual([]);

      // The house, what core alone makes of its journal, a rebuild, and every device, near and far.
      const states = served.house.everyState();
      expect(states).toEqual(rebuiltStates(served.house));
      served.app.get(JournalWriter).rebuildAll();
      expect(served.house.everyState()).toEqual(states);
      const pages: (PumpState | undefined)[] = [];
      for (const isNear of [true, false])
        for (const device of devices) {
          device.isNear = isNear;
          pages.push((await at(device, (program) => program.page()))?.state);
        }
      const told = JSON.parse(JSON.stringify(served.house.states().p1)) as PumpState;
      if (refused.length === 0) expect(pages).toEqual(pages.map(() => told));
      for (const { program } of devices) await program.giveUp();
    }),
    { numRuns: Number(process.env.RUNS ?? 6), endOnFailure: true },
  );
});
