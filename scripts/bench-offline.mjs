// Part of npm run bench: when a phone paints first without a connection, against the same with one.
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath } from './browser.mjs';
import { root } from './build.mjs';
import { startServer, stopServer } from './serve.mjs';

const BROWSER = browserPath() ?? '/usr/bin/chromium';
const ROUNDS = 12;
/** The worker is at work and all pumps have been fetched by then: nothing goes on beside what is measured. */
const ALONG_MS = 20_000;

const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];

/** Opened anew. @returns ms until something is painted, and until the first pump stands there */
async function opening(page, address) {
  await page.goto(address, { waitUntil: 'commit' });
  await page.locator('a[id^=row-]').first().waitFor();
  return page.evaluate(() => ({
    paintMs: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
    pumpMs: performance.now(),
  }));
}

/**
 * On the demo yard, turn about.
 * @returns medians in ms with and without a connection; null where there is no browser
 */
export async function benchOffline() {
  if (!existsSync(BROWSER)) return null;
  const data = mkdtempSync(join(tmpdir(), 'winter-jar-bench-offline-'));
  const server = await startServer({ data, port: 4884, demo: true, quiet: true });
  const browser = await chromium.launch({ executablePath: BROWSER, args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const { seedYard } = await import(join(root, 'demo/dist/index.js'));
    await seedYard({ address: server.address, now: new Date().toISOString() });
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    await page.goto(server.address);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.waitForTimeout(ALONG_MS);
    const took = { online: [], offline: [] };
    for (let i = 0; i < ROUNDS; i++)
      for (const way of ['online', 'offline']) {
        await context.setOffline(way === 'offline');
        took[way].push(await opening(page, server.address));
      }
    const of = (way, key) => median(took[way].map((one) => one[key]));
    return {
      online: { paintMs: of('online', 'paintMs'), pumpMs: of('online', 'pumpMs') },
      offline: { paintMs: of('offline', 'paintMs'), pumpMs: of('offline', 'pumpMs') },
    };
  } finally {
    await browser.close();
    await stopServer(server);
    rmSync(data, { recursive: true, force: true });
  }
}
