import { once } from 'node:events';
import { createServer, type Socket } from 'node:net';
import type { StandIn } from './stand-in.js';

/** A gauge that sends a line ten times a second to whoever calls: `P1 1.234E-02 mbar`. */
export async function linesGauge(of: {
  readonly port: number;
  readonly everyMs?: number;
  readonly paNow: () => number;
}): Promise<StandIn> {
  const callers = new Set<Socket>();
  const server = createServer((socket) => {
    callers.add(socket);
    socket.on('error', () => socket.destroy());
    socket.on('close', () => callers.delete(socket));
    socket.resume();
  });
  server.listen(of.port, '127.0.0.1');
  await once(server, 'listening');
  const sending = setInterval(() => {
    if (callers.size === 0) return;
    const line = `P1 ${(of.paNow() / 100).toExponential(4).toUpperCase()} mbar\r\n`;
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
