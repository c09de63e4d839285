import { once } from 'node:events';
import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { limitByIdleness } from './idle-limits.js';

let server: Server;
beforeEach(async () => {
  server = createServer((incoming) => incoming.resume());
  limitByIdleness(server, 400);
  await once(server.listen(0, '127.0.0.1'), 'listening');
});
afterEach(() => {
  server.closeAllConnections();
  server.close();
});

const upload = () => request({ port: (server.address() as AddressInfo).port, host: '127.0.0.1', method: 'POST' });

test('one that falls silent is cut', async () => {
  const sent = upload();
  sent.write('x');
  const [error] = (await once(sent, 'error')) as [NodeJS.ErrnoException];
  expect(error.code).toBe('ECONNRESET');
});

test('a request is cut for its silence alone, never for its length', () => {
  expect(server.requestTimeout).toBe(0);
  expect(server.timeout).toBe(400);
});
