import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer, get, type Server } from 'node:https';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { ownCertificate, type OwnCertificate } from './own-certificate.js';

const DAY_MS = 86_400_000;
const NOW = Date.now();
const MACHINE = { names: ['localhost', 'shed', 'shed.local'], addresses: ['192.168.7.20'] };
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'winter-jar-certificate-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

const make = (days = 0, machine = MACHINE) => ownCertificate(folder, NOW + days * DAY_MS, machine);
const daysOf = ({ cert }: OwnCertificate) => Math.round((Date.parse(new X509Certificate(cert).validTo) - NOW) / DAY_MS);

test('a root for these names and private networks alone, and a leaf of ninety days that it signed', async () => {
  const made = await make();
  const [root, leaf] = [new X509Certificate(made.root), new X509Certificate(made.cert)];
  expect([root.ca, leaf.ca]).toEqual([true, false]);
  expect(leaf.verify(root.publicKey)).toBe(true);
  expect(daysOf(made)).toBe(90);
  for (const name of MACHINE.names) expect(leaf.checkHost(name)).toBe(name);
  for (const address of ['127.0.0.1', '192.168.7.20']) expect(leaf.checkIP(address)).toBe(address);
  // 2.5.29.30, critical, and the bytes of 10.0.0.0 with 255.0.0.0 in it.
  const constraints = root.raw.indexOf(Buffer.from('0603551d1e0101ff', 'hex'));
  expect(constraints).toBeGreaterThan(0);
  expect(root.raw.indexOf(Buffer.from('0a000000ff000000', 'hex'))).toBeGreaterThan(constraints);
  for (const key of ['root-key.pem', 'key.pem'])
    expect(statSync(join(folder, 'certificate', key)).mode & 0o077).toBe(0);
});

test('it stays as it is until it nears its end; then the leaf is made anew, and the root is trusted still', async () => {
  const first = await make();
  expect(await make(59)).toEqual(first);
  const next = await make(61);
  expect(next.cert).not.toBe(first.cert);
  expect(daysOf(next)).toBe(151);
  expect([next.root, next.fingerprint]).toEqual([first.root, first.fingerprint]);
});

test('another address needs another leaf, another name of the machine another root; one of the open internet is not borne', async () => {
  const first = await make();
  const moved = await make(0, { ...MACHINE, addresses: ['10.1.2.3', '203.0.113.9'] });
  expect(moved.root).toBe(first.root);
  const leaf = new X509Certificate(moved.cert);
  expect([leaf.checkIP('10.1.2.3'), leaf.checkIP('203.0.113.9')]).toEqual(['10.1.2.3', undefined]);
  const renamed = await make(0, { ...MACHINE, names: ['localhost', 'hall', 'hall.local'] });
  expect(renamed.root).not.toBe(first.root);
  expect(readFileSync(join(folder, 'certificate/winter-jar-root.crt'), 'utf8')).toBe(renamed.root);
});

describe('a client that trusts the root', () => {
  let server: Server;
  afterEach(() => {
    server.closeAllConnections();
    server.close();
  });
  async function ask(of: OwnCertificate, ca: string): Promise<string> {
    server = createServer(of, (_request, response) => response.end('ours')).listen(0, '127.0.0.1');
    await once(server, 'listening');
    const asked = get({ port: (server.address() as AddressInfo).port, host: '127.0.0.1', ca });
    const [response] = (await once(asked, 'response')) as [AsyncIterable<Buffer>];
    for await (const part of response) return part.toString();
    return '';
  }

  test('takes the leaf', async () => {
    const made = await make();
    expect(await ask(made, made.root)).toBe('ours');
  });

  test('takes none for a foreign name, although the root signed it', async () => {
    const { root } = await make();
    const foreign = await make(0, { ...MACHINE, names: ['localhost', 'shed', 'bank.example'] });
    expect(foreign.root).toBe(root);
    await expect(ask(foreign, root)).rejects.toThrow(/permitted subtree violation/);
  });

  test('takes none that another root signed', async () => {
    const made = await make();
    const other = await make(0, { ...MACHINE, names: ['localhost', 'hall', 'hall.local'] });
    await expect(ask(made, other.root)).rejects.toThrow(/certificate/);
  });
});
