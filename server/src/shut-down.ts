import type { Server } from 'node:http';
import type { Socket } from 'node:net';
import type { INestApplication } from '@nestjs/common';
import type { Database } from './database/open.js';

/** What is being answered when the server is told to end gets so long; then its connection is cut. */
const GRACE_MS = 2000;

/**
 * Ends the server in order: no new connection, what is under way is answered, then the database is closed.
 * A browser holds connections open that ask for nothing; without the cut they would keep the server for minutes.
 * Call it before the server listens; it returns what ends it.
 */
export function orderlyEnd(app: INestApplication, database: Database): () => Promise<void> {
  const open = new Set<Socket>();
  (app.getHttpServer() as Server).on('connection', (socket: Socket) => {
    open.add(socket);
    socket.once('close', () => open.delete(socket));
  });
  return async () => {
    const cut = setTimeout(() => open.forEach((socket) => socket.destroy()), GRACE_MS);
    await app.close();
    clearTimeout(cut);
    await database.close();
  };
}
