import { once } from 'node:events';
import { createServer, type Socket } from 'node:net';
import { Aedes } from 'aedes';
import type { StandIn } from './stand-in.js';

/** What the monitor of a pump says of one moment. */
export interface MonitorSays {
  readonly at: string;
  readonly running: boolean;
  readonly amps: number;
  readonly inletPa: number;
  readonly cycles: number;
}

/**
 * A pump monitor that speaks through a broker (MQTT). What it saw while nobody listened it sends first, each at its own time.
 * @param of.seen what it remembers
 */
export async function pumpMonitor(of: {
  readonly port: number;
  readonly topic: string;
  readonly everyMs?: number;
  readonly now: () => MonitorSays;
  readonly seen?: readonly MonitorSays[];
}): Promise<StandIn> {
  const broker = await Aedes.createBroker();
  const server = createServer(broker.handle);
  const callers = new Set<Socket>();
  server.on('connection', (socket: Socket) => {
    callers.add(socket);
    socket.on('close', () => callers.delete(socket));
  });
  server.listen(of.port, '127.0.0.1');
  await once(server, 'listening');
  const payloadOf = (says: MonitorSays): string =>
    JSON.stringify({
      at: says.at,
      pump: { running: says.running, amps: Number(says.amps.toFixed(2)) },
      inlet: { pa: Number(says.inletPa.toPrecision(5)) },
      cycles: says.cycles,
    });
  const publish = (says: MonitorSays): Promise<void> =>
    new Promise((done) =>
      broker.publish(
        { cmd: 'publish', topic: of.topic, payload: payloadOf(says), qos: 0, retain: false, dup: false },
        () => done(),
      ),
    );
  let remembered = [...(of.seen ?? [])];
  broker.on('subscribe', () => {
    const late = remembered;
    remembered = [];
    void (async () => {
      for (const [i, says] of late.entries()) {
        await publish(says);
        // Not faster than whoever listens takes it in.
        if (i % 10 === 9) await new Promise((wait) => setTimeout(wait, 100));
      }
    })();
  });
  const sending = setInterval(() => void publish(of.now()), of.everyMs ?? 1000);
  return {
    port: (server.address() as { port: number }).port,
    async stop() {
      clearInterval(sending);
      for (const caller of callers) caller.destroy();
      server.close();
      await once(server, 'close');
      await new Promise<void>((done) => broker.close(() => done()));
    },
  };
}
