import { once } from 'node:events';
import { createServer, type Socket } from 'node:net';
import type { StandIn } from './stand-in.js';

/** What a gauge has kept of a moment. */
export interface KeptReading {
  readonly atMs: number;
  readonly pa: number;
}

const KEPT_AT_ONCE = 10;
const KEPT_EVERY_MS = 100;

/**
 * A gauge that sends a line ten times a second to whoever calls: `P1 1.234E-02 mbar`. One that keeps what it shows puts the time before
 * each line, and gives the first who calls what it has kept.
 */
export async function linesGauge(of: {
  readonly port: number;
  readonly everyMs?: number;
  readonly paNow: () => number;
  readonly kept?: readonly KeptReading[];
}): Promise<StandIn> {
  const callers = new Set<Socket>();
  const lineOf = ({ atMs, pa }: KeptReading): string =>
    `${of.kept ? `${new Date(atMs).toISOString()} ` : ''}P1 ${(pa / 100).toExponential(4).toUpperCase()} mbar\r\n`;
  let kept = of.kept ?? [];
  const giveKept = (caller: Socket): void => {
    const given = kept;
    kept = [];
    let next = 0;
    // Not faster than whoever listens takes it in.
    const giving = setInterval(() => {
      for (const reading of given.slice(next, next + KEPT_AT_ONCE)) caller.write(lineOf(reading));
      next += KEPT_AT_ONCE;
      if (next >= given.length || caller.destroyed) clearInterval(giving);
    }, KEPT_EVERY_MS);
  };
  const server = createServer((socket) => {
    callers.add(socket);
    socket.on('error', () => socket.destroy());
    socket.on('close', () => callers.delete(socket));
    socket.resume();
    giveKept(socket);
  });
  server.listen(of.port, '127.0.0.1');
  await once(server, 'listening');
  const sending = setInterval(() => {
    if (callers.size === 0) return;
    const line = lineOf({ atMs: Date.now(), pa: of.paNow() });
    for (const caller of callers) caller.write(line);
  }, of.everyMs ?? 100);
  return {
    port: (server.address() as { port: number }).port,
    async stop() {
      clearInterval(sending);
      for (const caller of callers) caller.destroy();
      server.close();
      await once(server, 'close');
    },
  };
}
