import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import type { Server as SecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { Door } from './house/door.js';
import { DEMO_DAY, HOUSE, type House } from './house/house.js';
import { createApp } from './app.js';
import { systemClock } from './clock/clock.js';
import { MovableClock } from './clock/movable-clock.js';
import { FolderTaken, lockFolder, type FolderLock } from './database/folder-lock.js';
import { databaseFile, openDatabase, type Database } from './database/open.js';
import { secondServer } from './demo-yard/second-server.js';
import { JournalWriter } from './journal/journal-writer.js';
import { limitByIdleness } from './network/idle-limits.js';
import { repair } from './repair/repair-server.js';
import { orderlyEnd } from './shut-down.js';

const { values } = parseArgs({
  options: {
    data: { type: 'string', default: 'data/own' },
    host: { type: 'string', default: '127.0.0.1' },
    port: { type: 'string', default: '4870' },
    /** The folder is the demo yard's; the day of its seeding is remembered. */
    demo: { type: 'boolean', default: false },
    /** Speak https, with a certificate of its own. */
    https: { type: 'boolean', default: false },
    /** Nobody signs in: whoever reaches it may do everything. */
    open: { type: 'boolean', default: false },
    /** Passwords and pairing codes may cross the network over plain http. */
    plain: { type: 'boolean', default: false },
    /** Fixes the clock, for screenshots and tests. */
    now: { type: 'string' },
    /** Lets tests move the clock by POST /api/clock; only on this machine's own address. */
    'movable-clock': { type: 'boolean', default: false },
  },
});

const THIS_MACHINE = '127.0.0.1';
const LOCAL = [THIS_MACHINE, 'localhost', '::1'];
const fixedMs = values.now ? Date.parse(values.now) : null;
const openToNetwork = !LOCAL.includes(values.host);
if (values['movable-clock'] && openToNetwork)
  throw new Error('--movable-clock: only with a host of this machine itself');
const ways = { openToNetwork, isOpen: values.open || values.demo, isDemo: values.demo, isPlain: values.plain };
const still = fixedMs === null ? systemClock : { nowMs: () => fixedMs };
const clock = values['movable-clock'] ? new MovableClock(still) : still;
/** Before anything in it is touched: what is half done in there may be another server's. */
function lockOrEnd(): FolderLock {
  try {
    return lockFolder(values.data, 'serves');
  } catch (error) {
    if (!(error instanceof FolderTaken)) throw error;
    console.error(error.message);
    process.exit(1);
  }
}
const lock = lockOrEnd();
/** Beside this file, which lies in one folder below the room. */
const built = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
const webFolder = built('../../web/dist');
const programs = { server: built('main.js'), seed: built('../../demo/dist/seed-main.js') };
// What makes certificates is loaded only where one is wanted.
const certificate = values.https
  ? await (await import('./network/own-certificate.js')).ownCertificate(values.data, clock.nowMs())
  : null;
const scheme = certificate ? 'https' : 'http';
const openDemoYard = values.demo
  ? null
  : secondServer({
      dataFolder: values.data,
      args: ['--host', values.host, ...(values.https ? ['--https'] : [])],
      programs,
    });
async function opened(): Promise<{ app: Awaited<ReturnType<typeof createApp>>; database: Database }> {
  const database = await openDatabase(values.data);
  try {
    const around = { clock, ways, webFolder, certificate, openDemoYard, workFile: built('work.js') };
    return { app: await createApp({ database, ...around }), database };
  } catch (error) {
    await database.close();
    throw error;
  }
}

/** Data that cannot be read are said to be so, with what is kept at hand, until others are put in their place. */
async function openedOrRepaired(port: number): ReturnType<typeof opened> {
  try {
    return await opened();
  } catch (error) {
    // Nothing to repair where there is none: a folder that cannot be written, say.
    if (!existsSync(databaseFile(values.data))) throw error;
    const reason = error instanceof Error ? error.message : String(error);
    console.error(`Winter Jar cannot read its data in ${values.data}: ${reason}`);
    let taken = port;
    const listening = (at: number) => {
      taken = at;
      console.error(`See ${scheme}://localhost:${at} on this machine for what can be put back.`);
      process.send?.({ port: at });
    };
    const nowMs = () => clock.nowMs();
    // Whoever mends it needs no account, and sits at this machine.
    const host = ways.isOpen ? values.host : THIS_MACHINE;
    await repair({ folder: values.data, reason, host, port, certificate, nowMs, listening });
    values.port = String(taken);
    return openedOrRepaired(taken);
  }
}
const { app, database } = await openedOrRepaired(Number(values.port));
if (values.demo) app.get(JournalWriter).writeFact(DEMO_DAY, new Date(clock.nowMs()).toISOString().slice(0, 10));
limitByIdleness(app.getHttpServer() as Server);
if (certificate) {
  const { keepCertified } = await import('./network/own-certificate.js');
  const failed = (error: unknown) => console.error('The certificate could not be made anew:', error);
  keepCertified(app.getHttpServer() as SecureServer, values.data, () => clock.nowMs(), failed);
}
const end = orderlyEnd(app, database);
await app.listen(Number(values.port), values.host);
const { port } = (app.getHttpServer() as Server).address() as AddressInfo;
app.get<House>(HOUSE).port = port;
console.log(
  `Winter Jar listens on ${scheme}://${openToNetwork ? 'localhost' : values.host}:${port}, data in ${database.folder}`,
);
process.send?.({ port });
if (openToNetwork) {
  const { sayWhoComesIn } = await import('./door/say-who-comes-in.js');
  await sayWhoComesIn(app.get(Door), app.get<House>(HOUSE), (line) => console.log(line));
}

// As a second server it ends with the first.
if (process.send) process.once('disconnect', () => process.exit(0));

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    void end().then(() => {
      lock.release();
      process.exit(0);
    });
  });
}
