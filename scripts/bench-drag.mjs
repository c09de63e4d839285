// Part of npm run bench: frame times while an edge of the jar is dragged, with verdict and picture live.
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { browserPath } from './browser.mjs';
import { root } from './build.mjs';
import { startServer, stopServer } from './serve.mjs';

const BROWSER = browserPath() ?? '/usr/bin/chromium';
const TARGET_MS = 32;
const MOVES = 240;

/** Times between frames, in ms, while a pointer moves an edge up and down. */
async function framesOfDrag(page) {
  await page.getByRole('radio', { name: 'full change' }).click();
  await page.getByRole('radio', { name: '2 days' }).click();
  const edge = page.getByRole('slider', { name: 'free water, edge' });
  const box = await edge.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.evaluate(() => {
    window.frameTimes = [];
    let last = performance.now();
    const tick = (now) => {
      window.frameTimes.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < MOVES; i++) await page.mouse.move(x, y - 150 * Math.abs(Math.sin(i / 20)));
  await page.mouse.up();
  return page.evaluate(() => window.frameTimes.slice(2));
}

/** Prints the frame times; a target, not a limit: they depend on the machine. */
export async function benchDrag() {
  if (!existsSync(BROWSER)) {
    console.log(`The drag was not traced: it needs ${BROWSER}, the Debian package chromium.`);
    return;
  }
  const data = mkdtempSync(join(tmpdir(), 'winter-jar-bench-drag-'));
  const server = await startServer({ data, port: 4881, demo: true, quiet: true });
  const browser = await chromium.launch({ executablePath: BROWSER, args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const { seedYard } = await import(join(root, 'demo/dist/index.js'));
    await seedYard({ address: server.address, now: new Date().toISOString() });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.address}/pumps/lf-01/look`);
    await page.waitForLoadState('networkidle');
    const frames = (await framesOfDrag(page)).sort((a, b) => a - b);
    const at = (share) => frames[Math.min(frames.length - 1, Math.floor(frames.length * share))].toFixed(1);
    const over = frames.filter((ms) => ms > TARGET_MS).length;
    console.log(
      `target  Dragging an edge, verdict and picture live: ${over} of ${frames.length} frames over ${TARGET_MS} ms (aim: none); median ${at(0.5)}, 95 % ${at(0.95)}, longest ${at(1)} ms`,
    );
  } finally {
    await browser.close();
    await stopServer(server);
    rmSync(data, { recursive: true, force: true });
  }
}
