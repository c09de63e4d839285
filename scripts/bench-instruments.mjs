// Instruments that speak: what twenty of them cost, how the page of one stays, and a thousand monitored days.
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import { installBrowser } from './browser.mjs';
import { root } from './build.mjs';
import { startServer, stopServer } from './serve.mjs';

const INSTRUMENTS = 20;
const EVERY_MS = 100;
const MEASURED_S = 60;
const PAGE_S = 15;
const FRAME_MS = 1000 / 60;
const PORT = 4894;
const FIRST_GAUGE = 4900;

/** @returns how many runs there were in a thousand days, and how many were counted once within a minute of their ends */
export async function countedDays({ seed, days = 1000 }) {
  const { monitoredLife, MONITORED_USES, runsOfSignals } = await import(join(root, 'core/dist/simulate/index.js'));
  const fromMs = Date.UTC(2031, 2, 1);
  const part = Math.round(days / MONITORED_USES.length);
  let [runs, counted, beside] = [0, 0, 0];
  for (const [i, use] of MONITORED_USES.entries()) {
    const life = monitoredLife({ use, days: part, seed: seed + i, fromMs });
    const nowMs = fromMs + part * 86_400_000 + 3_600_000;
    const seen = runsOfSignals({ signals: life.signals, use, nowMs });
    const near = (a, b) => Math.abs(a - b) <= 60_000;
    const once = life.runs.filter(
      (run) => seen.filter((s) => near(s.startMs, run.startMs) && near(s.endMs ?? 0, run.endMs)).length === 1,
    );
    runs += life.runs.length;
    counted += once.length;
    beside += seen.length - once.length;
  }
  return { runs, counted, beside };
}

/** Seconds of processor that a process has used. */
const usedS = (pid) => {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
  return (Number(fields[11]) + Number(fields[12])) / 100;
};

const post = async (address, body) => {
  const response = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (response.status >= 400) throw new Error(`${address}: ${(await response.text()).slice(0, 300)}`);
};

/**
 * Twenty gauges at 10 Hz and a page that shows one of them.
 * @returns shares of one core: of the server with them and without; and shares of frames that were late, with the page and with an empty one
 */
export async function benchLive() {
  const { linesGauge } = await import(join(root, 'demo/dist/stand-ins/lines-gauge.js'));
  const { versionsOf } = await import(join(root, 'core/dist/testing/small-yard.js'));
  const data = mkdtempSync(join(tmpdir(), 'winter-jar-live-'));
  aDayOfReadings(join(data, 'readings/g0/p'));
  const served = await startServer({ data, port: PORT, quiet: true });
  const { child, address } = served;
  const gauges = [];
  try {
    const from = '2024-01-01T00:00:00.000Z';
    const versions = versionsOf().map((v) => ({ ...v, validFrom: from, recordedAt: from }));
    await post(`${address}/api/set-up`, { versions });
    const share = async () => {
      const before = usedS(child.pid);
      await wait(MEASURED_S * 1000);
      return (usedS(child.pid) - before) / MEASURED_S;
    };
    const alone = await share();
    const at = new Date().toISOString();
    for (let i = 0; i < INSTRUMENTS; i += 1) {
      const port = FIRST_GAUGE + i;
      const paNow = () => 3 + Math.sin(Date.now() / 3000 + i) + 0.05 * Math.random();
      gauges.push(await linesGauge({ port, everyMs: EVERY_MS, paNow }));
      const channels = [{ key: 'p', means: 'pressure', pattern: 'P1 {value} {unit}' }];
      const body = { name: `G${i}`, equipmentId: 'chamber', talks: 'lines', host: '127.0.0.1', port, channels };
      const version = { id: randomUUID(), kind: 'instrument', subjectId: `g${i}`, validFrom: at, recordedAt: at, body };
      await post(`${address}/api/set-up`, { versions: [version] });
      await post(`${address}/api/instruments/g${i}/connect`, {});
    }
    const browser = await chromium.launch({ executablePath: installBrowser(), args: ['--no-sandbox'] });
    const empty = await lateFrames(browser, 'about:blank');
    const page = await lateFrames(browser, `${address}/instruments/g0`, (shown) =>
      shown.getByRole('radio', { name: '1 day' }).click(),
    );
    await browser.close();
    const { instruments } = await (await fetch(`${address}/api/instruments`)).json();
    const heard = instruments.filter((i) => i.status.state === 'live' && i.status.perSecond >= 5).length;
    if (heard < INSTRUMENTS)
      throw new Error(
        `only ${heard} of ${INSTRUMENTS} are heard: ${JSON.stringify(instruments[0]?.status).slice(0, 400)}`,
      );
    return { alone, beside: (await share()) - alone, empty, page };
  } finally {
    for (const gauge of gauges) await gauge.stop();
    await stopServer(served);
    rmSync(data, { recursive: true, force: true });
  }
}

/** A day at 10 Hz, as the server keeps it. */
function aDayOfReadings(folder) {
  const HOUR_MS = 3_600_000;
  mkdirSync(folder, { recursive: true });
  for (let hour = Math.floor(Date.now() / HOUR_MS) - 24; hour * HOUR_MS < Date.now() - HOUR_MS; hour += 1) {
    const bytes = Buffer.alloc((HOUR_MS / EVERY_MS) * 12);
    for (let i = 0; i < HOUR_MS / EVERY_MS; i += 1) {
      bytes.writeUInt32LE(i * EVERY_MS, i * 12);
      bytes.writeDoubleLE(3 + Math.sin(i / 3000) + 0.05 * Math.random(), i * 12 + 4);
    }
    writeFileSync(join(folder, `${hour * HOUR_MS}.bin`), bytes);
  }
}

const WORK = new Set([
  'FunctionCall',
  'EvaluateScript',
  'EventDispatch',
  'TimerFire',
  'RunMicrotasks',
  'Layout',
  'UpdateLayoutTree',
  'PrePaint',
  'V8.GC_SCAVENGER',
  'MajorGC',
  'MinorGC',
  'FireAnimationFrame',
]);

/** The share of frames whose script and layout alone take longer than a frame may, and the work of a usual second, ms. */
async function lateFrames(browser, address, then = async () => undefined) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await then(page);
  await page.waitForTimeout(4000);
  await browser.startTracing(page, { categories: ['devtools.timeline', 'v8', 'toplevel'] });
  await page.waitForTimeout(PAGE_S * 1000);
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString());
  await page.close();
  const renderers = new Set(
    traceEvents
      .filter((e) => e.name === 'thread_name' && e.args.name === 'CrRendererMain')
      .map((e) => `${e.pid} ${e.tid}`),
  );
  const spans = traceEvents
    .filter((e) => e.ph === 'X' && WORK.has(e.name) && renderers.has(`${e.pid} ${e.tid}`))
    .map((e) => [e.ts / 1000, (e.ts + (e.dur ?? 0)) / 1000])
    .sort((a, b) => a[0] - b[0]);
  // Work within work counts once.
  const tasks = [];
  for (const [from, to] of spans) {
    const last = tasks.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else tasks.push([from, to]);
  }
  const late = tasks.reduce((sum, [from, to]) => sum + Math.floor((to - from) / FRAME_MS), 0);
  const workMs = tasks.reduce((sum, [from, to]) => sum + to - from, 0);
  return {
    late: late / (PAGE_S * 60),
    workMsPerS: workMs / PAGE_S,
    longestMs: Math.max(0, ...tasks.map(([a, b]) => b - a)),
  };
}
