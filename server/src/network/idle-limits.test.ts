import { once } from 'node:events';
import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import { limitByIdleness } from './idle-limits.js';

let server: Server;
beforeEach(async () => {
  server = createServer((incoming, response) => {
    let bytes = 0;
    incoming.on('data', (part: Buffer) => (bytes += part.length));
    incoming.on('end', () => response.end(String(bytes)));
  });
  limitByIdleness(server, 400);
  await once(server.listen(0, '127.0.0.1'), 'listening');
});
afterEach(() => {
  server.closeAllConnections();
  server.close();
});

const upload = () => request({ port: (server.address() as AddressInfo).port, host: '127.0.0.1', method: 'POST' });

test('a slow upload arrives whole, though it takes longer than silence may', async () => {
  const sent = upload();
  for (let i = 0; i < 8; i++) {
    sent.write('x');
    await wait(100);
  }
  sent.end();
  const [response] = (await once(sent, 'response')) as [AsyncIterable<Buffer>];
  const parts: Buffer[] = [];
  for await (const part of response) parts.push(part);
  expect(Buffer.concat(parts).toString()).toBe('8');
});

test('one that falls silent is cut', async () => {
  const sent = upload();
  sent.write('x');
  const [error] = (await once(sent, 'error')) as [NodeJS.ErrnoException];
  expect(error.code).toBe('ECONNRESET');
});

test('no request is cut for its length', () => {
  expect(server.requestTimeout).toBe(0);
});
