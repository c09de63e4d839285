import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { get as getSecurely } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { About } from '@winter-jar/contracts';
import { startServer, type RunningServer } from './testing/running-server.js';

let folder: string;
let server: RunningServer;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-main-'));
});
afterEach(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function start(...flags: string[]): Promise<RunningServer> {
  server = await startServer({ folder, flags });
  return server;
}
const aboutOf = async ({ address }: RunningServer) => (await (await fetch(`${address}/api/about`)).json()) as About;

/** What it prints comes by another way than its answers. */
async function printed(line: string): Promise<void> {
  while (!server.printed().includes(line)) await wait(20);
}

test('bound to this machine unless told otherwise', async () => {
  const { port } = await start();
  await printed(`http://127.0.0.1:${port}, data in ${folder}`);
  expect(server.printed()).not.toContain('Everyone');
  expect(await aboutOf(server)).toMatchObject({ openToNetwork: false, demoDay: null, dataFolder: folder });
});

test('opened to the network it says plainly who can write', async () => {
  await start('--host', '0.0.0.0', '--demo');
  await printed('Everyone on this network can reach it, read everything and write.');
  const about = await aboutOf(server);
  expect(about.openToNetwork).toBe(true);
  expect(about.demoDay).toMatch(/^\d{4}-\d\d-\d\d$/);
});

test('a folder that is no folder stops it with the reason', async () => {
  const file = join(folder, 'a-file');
  writeFileSync(file, 'not a folder');
  await expect(startServer({ folder: file })).rejects.toThrow(/EEXIST|ENOTDIR|not a directory/);
});

test('a second start on the same folder says who has it and ends; after a power cut the folder is free', async () => {
  const { port } = await start();
  const second = startServer({ folder });
  await expect(second).rejects.toThrow(new RegExp(`belongs to process ${server.child.pid}, which serves it since`));
  expect(await aboutOf(server)).toMatchObject({ dataFolder: folder });
  expect(port).toBeGreaterThan(0);
  await server.kill();
  await start();
  expect(await aboutOf(server)).toMatchObject({ dataFolder: folder });
});

test('told to end, it does not wait for connections that ask for nothing or never finish asking', async () => {
  const { port } = await start();
  const silent = connect(port, '127.0.0.1');
  const halfway = connect(port, '127.0.0.1');
  for (const socket of [silent, halfway]) socket.on('error', () => undefined);
  await Promise.all([once(silent, 'connect'), once(halfway, 'connect')]);
  halfway.write('POST /api/entries HTTP/1.1\r\nHost: localhost\r\nContent-Length: 100\r\n\r\n{');
  await aboutOf(server);
  expect(await server.stop()).toBe(0);
});

test('the demo yard opens beside the own data, in a folder of its own', async () => {
  const { port } = await start();
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
  await server.stop();
  await expect(fetch(`http://127.0.0.1:${yard.port}/api/about`)).rejects.toThrow();
}, 180_000);

test('with --https it speaks with a certificate of its own, kept for the next start', async () => {
  const securely = (path: string, ca?: string): Promise<string> =>
    new Promise((resolve, reject) => {
      getSecurely(`${server.address}${path}`, ca ? { ca } : { rejectUnauthorized: false }, (response) => {
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => resolve(text));
      }).on('error', reject);
    });
  const about = async (ca?: string) => JSON.parse(await securely('/api/about', ca)) as About;
  await start('--https');
  const first = await about();
  expect(first.certificate).toMatch(/^([0-9A-F]{2} ){31}[0-9A-F]{2}$/);
  // A device that was told to trust the root does: what it signed names this address.
  const certificate = await securely('/api/certificate');
  expect(certificate).toBe(readFileSync(join(folder, 'certificate/winter-jar-root.crt'), 'utf8'));
  expect(await about(certificate)).toMatchObject({ certificate: first.certificate });
  expect(statSync(join(folder, 'certificate/key.pem')).mode & 0o077).toBe(0);
  await server.stop();
  await start('--https');
  expect((await about()).certificate).toBe(first.certificate);
}, 180_000);
