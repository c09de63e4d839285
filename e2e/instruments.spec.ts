import { once } from 'node:events';
import { createServer, type AddressInfo, type Socket } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import { v7 as newId } from 'uuid';
import { moderateOrWorse } from './axe-findings.js';
import { expect, noSidewaysScroll, open, test, type Yard } from './yard.js';

/** An instrument that sends lines with their times: first what it kept, some at a time, then four a second of what is now. */
async function speaking(lineAt: (ms: number) => string[], kept: { readonly minutes: number; readonly everyS: number }) {
  const callers = new Set<Socket>();
  const server = createServer((socket) => {
    callers.add(socket);
    socket.on('error', () => socket.destroy());
    socket.on('close', () => callers.delete(socket));
    void (async () => {
      const nowMs = Date.now();
      for (let ms = nowMs - kept.minutes * 60_000, i = 0; ms < nowMs; ms += kept.everyS * 1000, i++) {
        for (const line of lineAt(ms)) socket.write(`${new Date(ms).toISOString()} ${line}\n`);
        if (i % 10 === 9) await wait(150);
      }
      while (!socket.destroyed) {
        for (const line of lineAt(Date.now())) socket.write(`${new Date().toISOString()} ${line}\n`);
        await wait(250);
      }
    })();
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const stop = async () => {
    const closed = once(server, 'close');
    server.close();
    callers.forEach((s) => s.destroy());
    await closed;
  };
  return {
    port,
    stop,
    plugIn: async () => {
      server.listen(port, '127.0.0.1');
      await once(server, 'listening');
    },
  };
}

test('a gauge is set up, watched, its rise judged and kept as evidence; unplugged it says since when', async ({
  page,
  yard,
}) => {
  // 180 L closed off; 0.05 Pa/s are 0.009 Pa·m³/s, 0.09 hPa·L/s.
  const startMs = Date.now() - 15 * 60_000;
  const gauge = await speaking((ms) => [`P1 ${((2 + (0.05 * (ms - startMs)) / 1000) / 100).toExponential(4)} mbar`], {
    ...{ minutes: 15, everyS: 3 },
  });
  await open(page, yard, '/instruments');
  await expect(page.getByText('No instrument yet')).toBeVisible();
  await page.getByRole('link', { name: 'New instrument' }).click();
  await page.getByLabel('Name').fill('Cabinet gauge');
  await page.getByLabel('Stands at').selectOption({ label: 'Map cabinet' });
  await page.getByLabel('Its pump').selectOption({ label: 'LF-03' });
  await page.getByRole('radio', { name: 'lines of text over TCP' }).click();
  await page.getByLabel('Address').fill('127.0.0.1');
  await page.getByLabel('Port').fill(String(gauge.port));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('link', { name: /Cabinet gauge/ }).click();
  await expect(page.getByText('It tells no pressure yet')).toBeVisible();

  // Nobody is called before somebody says so; then what comes stands beside what it means.
  await page.getByRole('link', { name: 'Listen to it' }).click();
  await expect(page.getByText('Nothing has come yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Listen to it' }).click();
  await expect(page.getByText(/P1 .*mbar/).first()).toBeVisible();
  await page.getByRole('button', { name: '+ a pressure' }).click();
  await expect(page.getByRole('heading', { name: /^Pressure: “.*” is no / })).toBeVisible();
  await page.getByLabel('How the line looks').fill('{time} P1 {value} {unit}');
  await expect(page.getByRole('heading', { name: /^Pressure: 0\.\d+\shPa$/ })).toBeVisible();
  expect(await moderateOrWorse(page)).toEqual([]);
  await page.getByRole('button', { name: 'Keep what it means' }).click();
  await expect(page.getByText('Kept, and listened to so.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to Cabinet gauge' }).click();

  // Reaching back: what it had kept counts at its own time.
  await page.getByRole('radio', { name: '30 min' }).click();
  await expect(page.getByText('Live', { exact: true })).toBeVisible();
  await expect(page.getByText(/^0\.[45]\d*\shPa$/)).toBeVisible({ timeout: 30_000 });
  expect(await moderateOrWorse(page)).toEqual([]);
  // A part of it is drawn over, and let go again.
  const trace = await page.getByRole('img', { name: /^Pressure of Cabinet gauge/ }).boundingBox();
  if (!trace) throw new Error('no trace');
  await page.mouse.move(trace.x + trace.width * 0.6, trace.y + 80);
  await page.mouse.down();
  await page.mouse.move(trace.x + trace.width * 0.8, trace.y + 80, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Judge \d\d:\d\d:\d\d to \d\d:\d\d:\d\d$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take the choice away' }).click();
  await page.setViewportSize({ width: 390, height: 844 });
  await noSidewaysScroll(page);
  await page.getByRole('button', { name: 'Judge these 30 min' }).click();
  await expect(page.getByRole('heading', { name: 'A leak', exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Leak 0\.09\d*\shPa·L\/s$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep it as evidence' }).click();
  await expect(page).toHaveURL(/\/pumps\/lf-03\/what-is-wrong$/);
  await expect(page.getByText(/rises on in a straight line|goes on straight|straight/i).first()).toBeVisible();
  expect((await yard.pump('lf-03')).state.case?.status).toBe('open');

  await open(page, yard, '/instruments/');
  await gauge.stop();
  await expect(page.getByText(/^Lost since today/)).toBeVisible();
  await gauge.plugIn();
  await expect(page.getByText('Live', { exact: true })).toBeVisible({ timeout: 20_000 });
  await gauge.stop();
});

const post = async (yard: Yard, path: string, body: object): Promise<void> => {
  const headers = { 'content-type': 'application/json' };
  const answer = await fetch(yard.address + path, { method: 'POST', headers, body: JSON.stringify(body) });
  expect(answer.ok).toBe(true);
};

test('a pump that tells by itself when it runs: the run is there, and what went in is told in one tap', async ({
  page,
  yard,
}) => {
  // It turned from 200 to 60 minutes ago, its valve open from 190 to 70 minutes ago.
  const beganMs = Date.now();
  const ago = (ms: number): number => (beganMs - ms) / 60_000;
  const monitor = await speaking(
    (ms) => [
      `RUN ${ago(ms) < 200 && ago(ms) > 60 ? 'on' : 'off'}`,
      `VALVE ${ago(ms) < 190 && ago(ms) > 70 ? 'open' : 'shut'}`,
    ],
    { minutes: 220, everyS: 30 },
  );
  const at = new Date(Date.now() - 60_000).toISOString();
  const channels = [
    { key: 'running', means: 'running', pattern: '{time} RUN {value}' },
    { key: 'valve', means: 'valveOpen', pattern: '{time} VALVE {value}' },
  ];
  const where = { equipmentId: 'heath-store', pumpId: 'hs-03', host: '127.0.0.1', port: monitor.port };
  const body = { name: 'Monitor', talks: 'lines', ...where, channels };
  const version = { id: newId(), kind: 'instrument', subjectId: 'monitor', validFrom: at, recordedAt: at, body };
  await post(yard, '/api/set-up', { versions: [version] });
  await post(yard, '/api/instruments/monitor/connect', {});
  await open(page, yard, '/untold');
  const run = page.getByRole('listitem').filter({ hasText: 'said by Monitor' });
  await expect(async () => {
    await page.reload();
    await expect(run).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 60_000 });
  await expect(run).toContainText(/Cold store line · 2\sh · said by Monitor/);
  expect(await moderateOrWorse(page)).toEqual([]);
  await run.getByRole('button', { name: 'That went in' }).click();
  await expect(page.getByText(/HS-03, .*: told/).first()).toBeVisible();
  await expect(run).toHaveCount(0);
  await monitor.stop();
});
