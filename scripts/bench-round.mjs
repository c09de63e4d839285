// Part of npm run bench: what the Round of 300 pumps costs a browser, at its first load and at each step of a scroll.
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath } from './browser.mjs';
import { root } from './build.mjs';
import { startServer, stopServer } from './serve.mjs';

const BROWSER = browserPath() ?? '/usr/bin/chromium';
const PUMPS = 286;
const RUNS = 12;
const STEPS = 120;
const STEP_PX = 160;
const HOUR_MS = 3_600_000;
const SLOW_NETWORK = { offline: false, latency: 20, downloadThroughput: 1.25e6, uploadThroughput: 1.25e6 };
/** By then all that is fetched ahead has come too. */
const SETTLED_MS = 4000;
const FIRST_LOAD = { seconds: 1.5, kb: 700 };
/** Slower by, and what 95 % of the frames may cost then. */
const AIMS = [
  [1, 20],
  [4, 34],
];

async function post(address, path, body) {
  const answer = await fetch(address + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
}

/** The demo yard, and pumps of the same kind with a dozen runs each. */
async function manyPumps(address) {
  const core = await import(join(root, 'core/dist/index.js'));
  const { seedYard } = await import(join(root, 'demo/dist/index.js'));
  await seedYard({ address, now: new Date().toISOString() });
  const { setUp } = await (await fetch(`${address}/api/pumps/lf-01`)).json();
  const random = core.seededRandom(11);
  const id = () => random.uuid(Date.now());
  const since = '2026-01-01T00:00:00.000Z';
  const pumpIds = Array.from({ length: PUMPS }, (_, i) => `many-${i}`);
  const versions = pumpIds.map((subjectId, i) => ({
    ...{ id: id(), kind: 'pump', subjectId, validFrom: since, recordedAt: since },
    body: { ...setUp.pump, name: `M-${i}` },
  }));
  await post(address, '/api/set-up', { versions });
  const materialId = Object.keys(setUp.house.material)[0];
  // In the order of time: all of them ran on one chamber, whose record follows them too.
  const entries = Array.from({ length: RUNS }).flatMap((_run, i) =>
    pumpIds.map((pumpId) => {
      const [entryId, at] = [id(), new Date(Date.now() - (RUNS - i) * 40 * HOUR_MS).toISOString()];
      return {
        ...{ id: entryId, actId: entryId, kind: 'run', happenedAt: at, recordedAt: at, zone: 'Europe/Lisbon' },
        subjects: [
          { type: 'pump', id: pumpId },
          { type: 'equipment', id: setUp.pump.equipmentId },
        ],
        ...{ precision: 'exact', acknowledged: ['overlap'], bodyVersion: 1 },
        body: { materialId, minutes: 600 + i, session: 'run', ballast: 'closed', ventedBeforeStop: 'yes' },
      };
    }),
  );
  for (let i = 0; i < entries.length; i += 500)
    await post(address, '/api/entries', { entries: entries.slice(i, i + 500) });
}

/** Script, style and layout of each step of a scroll, in ms: Chromium paints in software here, so frames say little. */
async function costsOfScroll(page, slower) {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  const spent = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    const of = (name) => metrics.find((m) => m.name === name).value;
    return (of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')) * 1000;
  };
  const costs = [];
  await page.mouse.move(400, 400);
  for (let i = 0; i < STEPS; i++) {
    const before = await spent();
    await page.mouse.wheel(0, STEP_PX);
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    costs.push((await spent()) - before);
  }
  await session.detach();
  return costs.sort((a, b) => a - b);
}

/** A phone's network and a processor four times slower: until the first pump stands there, and all that came over the wire. */
async function firstLoad(browser, address) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', SLOW_NETWORK);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  let bytes = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
  const begun = performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  await page.locator('a[id^=row-]').first().waitFor();
  const seconds = (performance.now() - begun) / 1000;
  await page.waitForTimeout(SETTLED_MS);
  await context.close();
  return { seconds, kb: bytes / 1000 };
}

/** Prints what frames and the first load cost; targets, not limits: they depend on the machine. */
export async function benchRound() {
  if (!existsSync(BROWSER)) {
    console.log(`The Round was not measured: it needs ${BROWSER}, the Debian package chromium.`);
    return;
  }
  const data = mkdtempSync(join(tmpdir(), 'winter-jar-bench-round-'));
  const server = await startServer({ data, port: 4882, demo: true, quiet: true });
  const browser = await chromium.launch({ executablePath: BROWSER, args: ['--no-sandbox', '--disable-gpu'] });
  try {
    await manyPumps(server.address);
    const { seconds, kb } = await firstLoad(browser, server.address);
    console.log(
      `target  First load at 10 Mbit/s, 4 times slower: ${seconds.toFixed(2)} s until the first pump stands there (aim: ${FIRST_LOAD.seconds}), ${kb.toFixed(0)} kB over the wire (aim: ${FIRST_LOAD.kb})`,
    );
    for (const [slower, aimMs] of AIMS) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      await page.goto(server.address);
      await page.locator('a[id^=row-]').nth(PUMPS).waitFor();
      const costs = await costsOfScroll(page, slower);
      await page.close();
      const at = (share) => costs[Math.min(costs.length - 1, Math.floor(costs.length * share))].toFixed(1);
      console.log(
        `target  Scrolling the Round of 300 pumps, ${slower === 1 ? 'as it is' : `${slower} times slower`}: 95 % of steps under ${at(0.95)} ms of script and layout (aim: ${aimMs}); median ${at(0.5)}, longest ${at(1)} ms`,
      );
    }
  } finally {
    await browser.close();
    await stopServer(server);
    rmSync(data, { recursive: true, force: true });
  }
}
