import { createHash, X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { networkAddresses, ownNames } from './addresses.js';

export interface OwnCertificate {
  readonly key: string;
  readonly cert: string;
  /** SHA-256 of the certificate, to be compared by eye. */
  readonly fingerprint: string;
}

const YEARS = 5;
const DAY_MS = 86_400_000;

/** Devices trust it for the names and addresses that it carries; a new address needs a new certificate. */
function fits(cert: string, names: readonly string[], nowMs: number): boolean {
  const known = new X509Certificate(cert);
  const covered = names.every((name) => known.checkHost(name) !== undefined || known.checkIP(name) !== undefined);
  return covered && Date.parse(known.validTo) > nowMs + 30 * DAY_MS;
}

/** The server's own certificate, made once per data folder and anew when the machine's addresses change. */
export async function ownCertificate(dataFolder: string, nowMs: number): Promise<OwnCertificate> {
  const folder = join(dataFolder, 'certificate');
  const [keyFile, certFile] = [join(folder, 'key.pem'), join(folder, 'winter-jar.crt')];
  const names = [...ownNames(), '127.0.0.1', ...networkAddresses()];
  if (!existsSync(certFile) || !existsSync(keyFile) || !fits(readFileSync(certFile, 'utf8'), names, nowMs)) {
    mkdirSync(folder, { recursive: true });
    const made = await generate([{ name: 'commonName', value: `Winter Jar on ${ownNames()[1]}` }], {
      algorithm: 'sha256',
      keySize: 2048,
      notBeforeDate: new Date(nowMs - DAY_MS),
      notAfterDate: new Date(nowMs + YEARS * 365 * DAY_MS),
      extensions: [
        // A device can only be told to trust a root.
        { name: 'basicConstraints', cA: true, critical: true },
        { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, keyCertSign: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: names.map((name) => (/^[\d.]+$/.test(name) ? { type: 7, ip: name } : { type: 2, value: name })),
        },
      ],
    });
    writeFileSync(keyFile, made.private, { mode: 0o600 });
    writeFileSync(certFile, made.cert);
  }
  const cert = readFileSync(certFile, 'utf8');
  const sum = createHash('sha256').update(new X509Certificate(cert).raw).digest('hex').toUpperCase();
  return { key: readFileSync(keyFile, 'utf8'), cert, fingerprint: sum.match(/../g)?.join(' ') ?? sum };
}
