import 'reflect-metadata';
import { createHash, createPrivateKey, webcrypto, X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:https';
import { BlockList } from 'node:net';
import { join } from 'node:path';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';
import { networkAddresses, ownNames } from './addresses.js';

x509.cryptoProvider.set(webcrypto as never);

export interface OwnCertificate {
  readonly key: string;
  readonly cert: string;
  /** What a device is told to trust, once: it vouches for this machine's names and for private addresses only. */
  readonly root: string;
  /** SHA-256 of the root, to be compared by eye. */
  readonly fingerprint: string;
}

const DAY_MS = 86_400_000;
const ROOT_DAYS = 3650;
const LEAF_DAYS = 90;
/** Made anew so long before its end. */
const EARLY_DAYS = 30;
const LOOKED_AT_EVERY_MS = 60_000;
const KEYS = { name: 'ECDSA', namedCurve: 'P-256' };
const SIGNING = { name: 'ECDSA', hash: 'SHA-256' };

/** Networks that nobody reaches from outside: RFC 1918, 6598, 3927 and 1122. */
const PRIVATE_NETWORKS = [
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '100.64.0.0/10',
  '169.254.0.0/16',
  '127.0.0.0/8',
];
const privateAddresses = new BlockList();
for (const [network = '', bits] of PRIVATE_NETWORKS.map((n) => n.split('/')))
  privateAddresses.addSubnet(network, Number(bits));

/** Every name and address that a certificate of ours may bear: one of the open internet is none. */
const bearable = (addresses: readonly string[]): string[] => addresses.filter((a) => privateAddresses.check(a));

/** RFC 5280, 4.2.1.10: whoever steals the root's key can pretend to be no other machine. */
function nameConstraints(names: readonly string[]): x509.Extension {
  const bases = [
    ...names.map((dNSName) => new GeneralName({ dNSName })),
    ...PRIVATE_NETWORKS.map((iPAddress) => new GeneralName({ iPAddress })),
  ];
  const permittedSubtrees = new GeneralSubtrees(bases.map((base) => new GeneralSubtree({ base })));
  const value = AsnConvert.serialize(new NameConstraints({ permittedSubtrees }));
  return new x509.Extension(id_ce_nameConstraints, true, value);
}

interface Pair {
  readonly key: string;
  readonly cert: string;
}
/** Where a pair lies in the folder. */
interface Files {
  readonly keyFile: string;
  readonly certFile: string;
}

const readPair = ({ keyFile, certFile }: Files): Pair | null =>
  existsSync(keyFile) && existsSync(certFile)
    ? { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') }
    : null;

function keepPair({ keyFile, certFile }: Files, pair: Pair): Pair {
  writeFileSync(keyFile, pair.key, { mode: 0o600 });
  writeFileSync(certFile, pair.cert);
  return pair;
}

const lasts = (cert: X509Certificate, nowMs: number): boolean =>
  Date.parse(cert.validTo) > nowMs + EARLY_DAYS * DAY_MS && Date.parse(cert.validFrom) <= nowMs;

const newKeys = () => webcrypto.subtle.generateKey(KEYS, true, ['sign', 'verify']);
async function pemOf(key: webcrypto.CryptoKey): Promise<string> {
  const der = Buffer.from(await webcrypto.subtle.exportKey('pkcs8', key));
  return createPrivateKey({ key: der, format: 'der', type: 'pkcs8' }).export({
    format: 'pem',
    type: 'pkcs8',
  }) as string;
}
const signingKeyOf = (pem: string) =>
  webcrypto.subtle.importKey('pkcs8', createPrivateKey(pem).export({ format: 'der', type: 'pkcs8' }), KEYS, false, [
    'sign',
  ]);
const between = (nowMs: number, days: number) => ({
  notBefore: new Date(nowMs - DAY_MS),
  notAfter: new Date(nowMs + days * DAY_MS),
});

async function newRoot(names: readonly string[], commonName: string, nowMs: number): Promise<Pair> {
  const keys = await newKeys();
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    name: [{ CN: [commonName] }],
    ...between(nowMs, ROOT_DAYS),
    keys,
    signingAlgorithm: SIGNING,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      nameConstraints(names),
    ],
  });
  return { key: await pemOf(keys.privateKey), cert: cert.toString('pem') };
}

async function newLeaf(
  root: Pair,
  { names, addresses }: { names: readonly string[]; addresses: readonly string[] },
  nowMs: number,
): Promise<Pair> {
  const keys = await newKeys();
  const issuer = new x509.X509Certificate(root.cert);
  const cert = await x509.X509CertificateGenerator.create({
    subject: [{ CN: [names[1] ?? 'localhost'] }],
    issuer: issuer.subject,
    ...between(nowMs, LEAF_DAYS),
    publicKey: keys.publicKey,
    signingKey: await signingKeyOf(root.key),
    signingAlgorithm: SIGNING,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      await x509.AuthorityKeyIdentifierExtension.create(issuer),
      new x509.SubjectAlternativeNameExtension([
        ...names.map((value) => ({ type: 'dns', value }) as const),
        ...addresses.map((value) => ({ type: 'ip', value }) as const),
      ]),
    ],
  });
  return { key: await pemOf(keys.privateKey), cert: cert.toString('pem') };
}

/**
 * The server's own certificate: a root, made once per data folder and name of the machine, and a leaf that is made anew in time, and
 * when the machine's addresses change. Devices trust the root once.
 */
export async function ownCertificate(
  dataFolder: string,
  nowMs: number,
  machine = { names: ownNames(), addresses: networkAddresses() },
): Promise<OwnCertificate> {
  const folder = join(dataFolder, 'certificate');
  mkdirSync(folder, { recursive: true });
  const { names } = machine;
  const commonName = `Winter Jar on ${names[1]}`;
  const rootFiles = { keyFile: join(folder, 'root-key.pem'), certFile: join(folder, 'winter-jar-root.crt') };
  const leafFiles = { keyFile: join(folder, 'key.pem'), certFile: join(folder, 'winter-jar.crt') };

  let root = readPair(rootFiles);
  const known = root && new X509Certificate(root.cert);
  if (!root || !known || known.subject !== `CN=${commonName}` || !lasts(known, nowMs))
    root = keepPair(rootFiles, await newRoot(names, commonName, nowMs));
  const trusted = new X509Certificate(root.cert);

  const addresses = bearable(['127.0.0.1', ...machine.addresses]);
  const fits = ({ cert }: Pair): boolean => {
    const leaf = new X509Certificate(cert);
    const bears = names.every((name) => leaf.checkHost(name)) && addresses.every((one) => leaf.checkIP(one));
    return bears && lasts(leaf, nowMs) && leaf.verify(trusted.publicKey);
  };
  let leaf = readPair(leafFiles);
  if (!leaf || !fits(leaf)) leaf = keepPair(leafFiles, await newLeaf(root, { names, addresses }, nowMs));
  const sum = createHash('sha256').update(trusted.raw).digest('hex').toUpperCase();
  return { ...leaf, root: root.cert, fingerprint: sum.match(/../g)?.join(' ') ?? sum };
}

/**
 * Looks at it again and again while the server runs: what ends or no longer fits is replaced, and no device has to be told.
 * @param failed hears why it could not be made anew; it is tried again a minute later
 */
export function keepCertified(
  server: Server,
  dataFolder: string,
  nowMs: () => number,
  failed: (error: unknown) => void,
): void {
  let shown = '';
  const look = async () => {
    const { key, cert } = await ownCertificate(dataFolder, nowMs());
    if (cert !== shown) server.setSecureContext({ key, cert });
    shown = cert;
  };
  setInterval(() => void look().catch(failed), LOOKED_AT_EVERY_MS).unref();
}
