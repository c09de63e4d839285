import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { LogImportAnswer, RestoreCheck } from '@winter-jar/contracts';
import type { Entry, SetUpVersion } from '@winter-jar/core';
import { runAt, versionsOf } from '@winter-jar/core/testing';
import { v7 as newId } from 'uuid';
import { download, startServer, type RunningServer } from '../testing/running-server.js';
import { openHouse, rebuiltStates } from '../testing/test-house.js';

// A sample: `npm run bench:kill` kills a hundred times.
/** Some ten starts of a server, on a slow machine too. */
const PATIENCE_MS = 600_000;
const YEARS_BACK_MS = 8 * 365 * 86_400_000;
const back = (instant: string) => new Date(Date.parse(instant) - YEARS_BACK_MS).toISOString();
const inThePast = (e: Entry): Entry => ({ ...e, happenedAt: back(e.happenedAt), recordedAt: back(e.recordedAt) });

let folder: string;
let server: RunningServer | null = null;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-crash-'));
});
afterEach(async () => {
  await server?.kill();
  rmSync(folder, { recursive: true, force: true });
});

const url = (path: string) => `${server!.address}${path}`;
const send = (path: string, type: string, body: string | Buffer) =>
  fetch(url(path), { method: 'POST', headers: { 'content-type': type }, body: body as BodyInit });
const sendJson = (path: string, body: object) => send(path, 'application/json', JSON.stringify(body));

async function start(): Promise<void> {
  server = await startServer({ folder });
}

/** Starts `act`, kills the server so many ms later, and waits for its death. @returns whether the act was answered */
async function killDuring(act: () => Promise<unknown>, afterMs: number): Promise<boolean> {
  const acting = act().then(
    () => true,
    () => false,
  );
  await new Promise((wait) => setTimeout(wait, afterMs));
  await server!.kill();
  return acting;
}

async function setUp(): Promise<void> {
  const versions = versionsOf().map((v) => ({ ...v, validFrom: back(v.validFrom), recordedAt: back(v.recordedAt) }));
  expect((await sendJson('/api/set-up', { versions } satisfies { versions: SetUpVersion[] })).status).toBe(201);
}
const runs = (from: number, count: number) =>
  Array.from({ length: count }, (_, i) =>
    inThePast({ ...runAt(from + i * 10, 5), id: newId(), acknowledged: ['overlap'] }),
  );
const write = async (entries: Entry[]) =>
  expect((await sendJson('/api/entries', { entries: entries.map((e) => ({ ...e, actId: e.id })) })).status).toBe(207);

/** What lies in the folder after a crash: a sound database whose states follow from its journal. */
async function lookInside(): Promise<number> {
  const house = await openHouse({ folder });
  try {
    house.started();
    expect(house.database.reader.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(house.everyState()).toEqual(rebuiltStates(house));
    return house.journal().length;
  } finally {
    await house.close();
  }
}

test(
  'kill -9 during a backup and during a restore: the old data or the new, never a mixture',
  async () => {
    await start();
    await setUp();
    await write(runs(10, 60));
    const small = await download(server!.address, 'backup');
    await write(runs(2000, 90));
    const large = await download(server!.address, 'backup');
    const upload = async (archive: Buffer): Promise<string> => {
      const check = (await (await send('/api/restore/check', 'application/gzip', archive)).json()) as RestoreCheck;
      expect(check.issue).toBeNull();
      return check.uploadId!;
    };
    const restore = (uploadId: string) => sendJson('/api/restore', { uploadId });
    // How long a restore takes on this machine: kills are spread over it, however slow it is.
    const uploadId = await upload(small);
    const began = performance.now();
    expect((await restore(uploadId)).status).toBe(200);
    const restoreMs = performance.now() - began;
    let held = 60;
    for (const [round, part] of [0.1, 0.35, 0.6, 0.5, 0.9].entries()) {
      if (round % 4 === 3) {
        await killDuring(() => download(server!.address, 'backup'), part * restoreMs);
        expect(await lookInside()).toBe(held);
      } else {
        const wanted = held === 60 ? 150 : 60;
        const id = await upload(wanted === 150 ? large : small);
        const acknowledged = await killDuring(() => restore(id), part * restoreMs);
        const found = await lookInside();
        expect(acknowledged ? [wanted] : [held, wanted]).toContain(found);
        held = found;
      }
      await start();
    }
  },
  PATIENCE_MS,
);

test(
  'kill -9 during an import of a run log and of JSON lines: all of it or nothing',
  async () => {
    await start();
    await setUp();
    const rows = Array.from({ length: 4000 }, (_, i) => {
      const started = new Date(Date.parse(back(runAt(10, 1).happenedAt)) + i * 3_600_000).toISOString();
      return `P-1,Chamber,${started},50,any-empty`;
    });
    const csv = ['pump,equipment,started,minutes,material', ...rows].join('\n');
    const empty = await lookAfterKills(() => importLog(csv), [250, 700, 1400]);
    expect([...empty].every((n) => n === 0 || n === 4000)).toBe(true);
    if (![...empty].includes(4000)) await importLog(csv);

    const everything = (await download(server!.address, 'everything')).toString();
    await server!.kill();
    rmSync(folder, { recursive: true, force: true });
    await start();
    const found = await lookAfterKills(() => send('/api/journal', 'application/x-ndjson', everything), [300, 900]);
    expect([...found].every((n) => n === 0 || n === 4000)).toBe(true);
  },
  PATIENCE_MS,
);

/** Imports a run log as the page does: in, looked at until it is read, written, looked at until it is done. */
async function importLog(csv: string): Promise<void> {
  const answerOf = async (response: Promise<Response>) => (await (await response).json()) as LogImportAnswer;
  const { id } = await answerOf(send('/api/logs/runs/imports', 'text/csv', csv));
  const until = async (state: LogImportAnswer['state']) => {
    while ((await answerOf(fetch(url(`/api/imports/${id}`)))).state !== state);
  };
  await until('ready');
  expect((await sendJson(`/api/imports/${id}/write`, { goodRowsOnly: false })).status).toBe(202);
  await until('done');
}

/** Kills during the same import again and again, until it is in. */
async function lookAfterKills(act: () => Promise<unknown>, afterMs: readonly number[]): Promise<Set<number>> {
  const seen = new Set<number>();
  for (const ms of afterMs) {
    await killDuring(act, ms);
    const found = await lookInside();
    seen.add(found);
    await start();
    if (found > 0) break;
  }
  return seen;
}
