import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { headers } from './headers.js';

const SCRIPT = "document.title = 'a page of our own';";
const PAGE = `<head><script>${SCRIPT}</script><script type="module" src="/a.js"></script></head>`;

async function saidBy(secure: boolean): Promise<Headers> {
  const server = createServer(
    express()
      .use(headers(PAGE, secure))
      .use((_request, response) => void response.send('a page')),
  ).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const said = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  server.closeAllConnections();
  server.close();
  return said.headers;
}

test('no foreign scripts, frames or guesses; the page’s own script by its sum', async () => {
  const said = await saidBy(false);
  const policy = Object.fromEntries(
    (said.get('content-security-policy') ?? '').split(';').map((part) => {
      const [name = '', ...sources] = part.split(' ');
      return [name, sources.join(' ')];
    }),
  );
  const sum = createHash('sha256').update(SCRIPT).digest('base64');
  expect(policy).toMatchObject({
    'default-src': "'self'",
    'script-src': `'self' 'sha256-${sum}'`,
    'object-src': "'none'",
    'base-uri': "'none'",
    'frame-ancestors': "'none'",
  });
  expect(said.get('x-frame-options')).toBe('DENY');
  expect(said.get('x-content-type-options')).toBe('nosniff');
});

test.each([[false], [true]])('with https %s no phone is locked out of what it came by', async (secure) => {
  const said = await saidBy(secure);
  expect(said.get('strict-transport-security')).toBeNull();
  expect(said.get('content-security-policy')).not.toContain('upgrade-insecure-requests');
  expect(said.has('cross-origin-opener-policy')).toBe(secure);
});
