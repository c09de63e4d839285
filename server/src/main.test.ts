import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { get as getSecurely } from 'node:https';
import { connect, createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import type { About } from '@winter-jar/contracts';

const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
let folder: string;
let child: ChildProcess | null = null;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-main-'));
});
afterEach(async () => {
  if (child && child.exitCode === null) {
    child.kill('SIGTERM');
    await once(child, 'exit');
  }
  child = null;
  rmSync(folder, { recursive: true, force: true });
});

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  await once(probe, 'close');
  return port;
}

/** Starts the built server and waits until it answers and has printed what is awaited. */
async function start(port: number, awaited: string, ...more: string[]): Promise<{ printed: string; about: About }> {
  const started = spawn('node', [MAIN, '--data', folder, '--port', String(port), ...more], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  child = started;
  let printed = '';
  started.stdout.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  for (let i = 0; i < 1200; i++) {
    const about = await fetch(`http://127.0.0.1:${port}/api/about`).then(
      (r) => r.json() as Promise<About>,
      () => null,
    );
    if (about && printed.includes(awaited)) return { printed, about };
    await new Promise((wait) => setTimeout(wait, 50));
  }
  throw new Error(`the server did not start and print "${awaited}"; is it built? It printed: ${printed}`);
}

test('bound to this machine unless told otherwise', async () => {
  const port = await freePort();
  const { printed, about } = await start(port, `http://127.0.0.1:${port}, data in ${folder}`);
  expect(printed).not.toContain('Everyone');
  expect(about).toMatchObject({ openToNetwork: false, demoDay: null, dataFolder: folder });
});

test('opened to the network it says plainly who can write', async () => {
  const awaited = 'Everyone on this network can reach it, read everything and write.';
  const { about } = await start(await freePort(), awaited, '--host', '0.0.0.0', '--demo');
  expect(about.openToNetwork).toBe(true);
  expect(about.demoDay).toMatch(/^\d{4}-\d\d-\d\d$/);
});

test('a folder that is no folder stops it with the reason', async () => {
  const file = join(folder, 'a-file');
  writeFileSync(file, 'not a folder');
  await expect(promisify(execFile)('node', [MAIN, '--data', file, '--port', '0'])).rejects.toMatchObject({
    stderr: expect.stringMatching(/EEXIST|ENOTDIR|not a directory/) as string,
  });
});

test('told to end, it does not wait for connections that ask for nothing or never finish asking', async () => {
  const port = await freePort();
  await start(port, `http://127.0.0.1:${port}`);
  const silent = connect(port, '127.0.0.1');
  const halfway = connect(port, '127.0.0.1');
  for (const socket of [silent, halfway]) socket.on('error', () => undefined);
  await Promise.all([once(silent, 'connect'), once(halfway, 'connect')]);
  halfway.write('POST /api/entries HTTP/1.1\r\nHost: localhost\r\nContent-Length: 100\r\n\r\n{');
  await fetch(`http://127.0.0.1:${port}/api/about`);
  child?.kill('SIGTERM');
  expect(await once(child!, 'exit')).toEqual([0, null]);
});

test('the demo yard opens beside the own data, in a folder of its own', async () => {
  const port = await freePort();
  await start(port, `http://127.0.0.1:${port}`);
  const open = () =>
    fetch(`http://127.0.0.1:${port}/api/demo-yard`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
    }).then((r) => r.json() as Promise<{ port: number }>);
  const yard = await open();
  const pumpsOn = async (on: number) =>
    ((await (await fetch(`http://127.0.0.1:${on}/api/round`)).json()) as { rows: unknown[] }).rows.length;
  expect(yard.port).not.toBe(port);
  expect(await pumpsOn(yard.port)).toBe(14);
  expect(await pumpsOn(port)).toBe(0);
  expect(await open()).toEqual(yard);
  child?.kill('SIGTERM');
  await once(child!, 'exit');
  await expect(fetch(`http://127.0.0.1:${yard.port}/api/about`)).rejects.toThrow();
}, 180_000);

test('with --https it speaks with a certificate of its own, kept for the next start', async () => {
  const port = await freePort();
  const securely = (path: string, ca?: string): Promise<string> =>
    new Promise((resolve, reject) => {
      getSecurely(`https://127.0.0.1:${port}${path}`, ca ? { ca } : { rejectUnauthorized: false }, (response) => {
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => resolve(text));
      }).on('error', reject);
    });
  const spawned = () => spawn('node', [MAIN, '--data', folder, '--port', String(port), '--https'], { stdio: 'ignore' });
  const up = async () => {
    for (let i = 0; i < 1200; i++) {
      const text = await securely('/api/about').catch(() => null);
      if (text) return JSON.parse(text) as About;
      await new Promise((wait) => setTimeout(wait, 50));
    }
    throw new Error('the server did not start');
  };
  child = spawned();
  const first = await up();
  expect(first.certificate).toMatch(/^([0-9A-F]{2} ){31}[0-9A-F]{2}$/);
  // A device that was told to trust it does: it names this address, and is a root of its own.
  const certificate = await securely('/api/certificate');
  expect(certificate).toBe(readFileSync(join(folder, 'certificate/winter-jar.crt'), 'utf8'));
  expect(JSON.parse(await securely('/api/about', certificate))).toMatchObject({ certificate: first.certificate });
  expect(statSync(join(folder, 'certificate/key.pem')).mode & 0o077).toBe(0);
  child.kill('SIGTERM');
  await once(child, 'exit');
  child = spawned();
  expect((await up()).certificate).toBe(first.certificate);
}, 180_000);
