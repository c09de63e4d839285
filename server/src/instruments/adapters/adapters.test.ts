import { once } from 'node:events';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import type { Instrument, InstrumentChannel, InstrumentTalk, RawReading } from '@winter-jar/core';
import { Aedes } from 'aedes';
import { ServerTCP } from 'modbus-serial';
import { ADAPTERS } from './adapters.js';

interface Heard {
  readonly raws: RawReading[];
  readonly said: string[];
}
const ends: (() => unknown)[] = [];
afterEach(async () => {
  for (const end of ends.splice(0).reverse()) await end();
});

/** What is heard of an instrument at a port of this machine. */
async function listen(
  talks: InstrumentTalk,
  port: number,
  more: Partial<Instrument> = {},
  password: string | null = null,
) {
  const heard: Heard = { raws: [], said: [] };
  const adapter = await ADAPTERS[talks]();
  const instrument: Instrument = { name: 'g', equipmentId: 'e', talks, host: '127.0.0.1', port, everyMs: 50, ...more };
  const stop = adapter(instrument, password, {
    up: () => heard.said.push('up'),
    raw: (raw) => heard.raws.push(raw),
    trouble: (code) => heard.said.push(code),
    down: (reason) => heard.said.push(`down: ${reason}`),
  });
  ends.push(stop);
  return { heard, stop };
}
async function until(isSo: () => boolean): Promise<void> {
  for (let i = 0; i < 2000 && !isSo(); i++) await wait(10);
  expect(isSo()).toBe(true);
}

/** A server that does as it is told with whoever calls. */
async function serve(meet: (socket: Socket) => void): Promise<{ port: number; server: Server }> {
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    socket.on('error', () => socket.destroy());
    meet(socket);
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  ends.push(() => {
    sockets.forEach((s) => s.destroy());
    server.close();
  });
  return { port: (server.address() as AddressInfo).port, server };
}
const linesOf = ({ raws }: Heard): string[] => raws.flatMap((r) => (r.kind === 'line' ? [r.line] : []));

describe('lines over TCP', () => {
  test('are cut at every kind of end, put together where they come in pieces, and blank ones left out', async () => {
    const { port } = await serve((s) => {
      s.write('P1 1.0 Pa\r\nP1 2.0 Pa\rP1 3.');
      setTimeout(() => s.write('0 Pa\n\n  \nP1 4.0 Pa\n'), 30);
    });
    const { heard } = await listen('lines', port);
    await until(() => heard.raws.length === 4);
    expect(linesOf(heard)).toEqual(['P1 1.0 Pa', 'P1 2.0 Pa', 'P1 3.0 Pa', 'P1 4.0 Pa']);
    expect(heard.said).toEqual(['up']);
  });

  test('one without an end is left out, and what comes behind it is heard', async () => {
    const { port } = await serve((s) => s.write(`${'x'.repeat(30_000)}\nP1 1.0 Pa\n`));
    const { heard } = await listen('lines', port);
    await until(() => heard.raws.length === 1);
    expect(linesOf(heard)).toEqual(['P1 1.0 Pa']);
    expect(heard.said).toEqual(['up', 'lineTooLong']);
  });

  test('a flood waits in its own line: little of it is read', async () => {
    let sent = 0;
    const { port } = await serve((s) => {
      const flood = () => {
        while (s.write('P1 1.0 Pa\n'.repeat(1000)) && !s.destroyed) sent += 10_000;
        s.once('drain', flood);
      };
      flood();
    });
    const { heard } = await listen('lines', port);
    await until(() => heard.said.includes('tooMany'));
    await wait(400);
    expect(heard.raws.length).toBeLessThan(60_000);
    expect(sent).toBeGreaterThan(64 * 1024);
  });

  test('nothing is ever sent to the instrument', async () => {
    let got = 0;
    const { port } = await serve((s) => {
      s.on('data', (d) => (got += d.length));
      s.write('P1 1.0 Pa\n');
    });
    const { heard } = await listen('lines', port);
    await until(() => heard.raws.length === 1);
    expect(got).toBe(0);
  });

  test('who hangs up, and where nobody is, is said; nothing is told once it was stopped', async () => {
    const { port, server } = await serve((s) => s.end('P1 1.0 Pa\n'));
    const { heard } = await listen('lines', port);
    await until(() => heard.said.length === 2);
    expect(heard.said).toEqual(['up', 'down: closed']);
    server.close();
    await once(server, 'close');
    const none = await listen('lines', port);
    await until(() => none.heard.said.length === 1);
    expect(none.heard.said).toEqual(['down: refused']);
    const stopped = await listen('lines', port);
    stopped.stop();
    await wait(50);
    expect(stopped.heard.said).toEqual([]);
  });
});

const pressure: InstrumentChannel = { key: 'p', means: 'pressure', table: 'input', register: 0, format: 'float32' };
describe('Modbus TCP', () => {
  async function gauge(): Promise<number> {
    const words = [0x42f6, 0xe979];
    const vector = {
      getMultipleInputRegisters: (at: number, length: number) => {
        if (at !== 0 || length !== 2) throw Object.assign(new Error('none'), { modbusErrorCode: 2 });
        return words;
      },
      getHoldingRegister: (at: number) => 100 + at,
      getDiscreteInput: () => true,
      getCoil: () => false,
    };
    const { port, server } = await serve(() => undefined);
    server.close();
    await once(server, 'close');
    const served = new ServerTCP(vector, { host: '127.0.0.1', port, unitID: 3 });
    await once(served, 'initialized');
    ends.push(() => new Promise<void>((done) => served.close(() => done())));
    return port;
  }

  test('registers, coils and inputs are asked for again and again', async () => {
    const channels: InstrumentChannel[] = [
      pressure,
      { key: 'h', means: 'cycles', table: 'holding', register: 7, format: 'uint16' },
      { key: 'v', means: 'valveOpen', table: 'discrete', register: 0, format: 'bit' },
      { key: 'c', means: 'running', table: 'coil', register: 2, format: 'bit' },
    ];
    const { heard } = await listen('modbus', await gauge(), { channels, unitId: 3 });
    await until(() => heard.raws.length >= 8);
    expect(heard.raws.slice(0, 4)).toEqual([
      { kind: 'registers', table: 'input', register: 0, words: [0x42f6, 0xe979] },
      { kind: 'registers', table: 'holding', register: 7, words: [107] },
      { kind: 'registers', table: 'discrete', register: 0, words: [1] },
      { kind: 'registers', table: 'coil', register: 2, words: [0] },
    ]);
  });

  test('a register that the instrument refuses is said, and the others go on', async () => {
    const channels = [{ ...pressure, key: 'x', register: 40 }, pressure];
    const { heard } = await listen('modbus', await gauge(), { channels, unitId: 3 });
    await until(() => heard.raws.length >= 2);
    expect(heard.said).toContain('registerRefused');
  });

  test('one that never answers is hung up on', async () => {
    const { port } = await serve((s) => s.resume());
    const { heard } = await listen('modbus', port, { channels: [pressure] });
    for (let i = 0; i < 100 && heard.said.length < 2; i++) await wait(100);
    expect(heard.said).toEqual(['up', 'down: noAnswer']);
  }, 15_000);

  test('half frames and nonsense are no readings', async () => {
    const { port } = await serve((s) => {
      s.on('data', () => s.write(Buffer.from([0, 1, 0, 0, 0, 9, 1, 4, 250, 1, 2])));
      s.write(Buffer.alloc(5000, 255));
    });
    const { heard, stop } = await listen('modbus', port, { channels: [pressure] });
    await wait(600);
    stop();
    expect(heard.raws).toEqual([]);
  });
});

describe('MQTT', () => {
  async function broker(
    password?: string,
  ): Promise<{ port: number; aedes: Aedes; publish: (topic: string, payload: string) => void }> {
    const aedes = await Aedes.createBroker(
      password === undefined
        ? {}
        : { authenticate: (_client, user, said, done) => done(null, user === 'jar' && String(said) === password) },
    );
    const { port } = await serve((s) => void aedes.handle(s));
    ends.push(() => new Promise<void>((done) => aedes.close(() => done())));
    const publish = (topic: string, payload: string) =>
      aedes.publish({ cmd: 'publish', topic, payload, qos: 0, retain: false, dup: false }, () => undefined);
    return { port, aedes, publish };
  }
  const channels: InstrumentChannel[] = [{ key: 'a', means: 'running', topic: 'quay/+/state', path: 'on' }];

  test('messages of its topics are heard, no others, and none is published', async () => {
    const { port, aedes, publish } = await broker();
    const published: string[] = [];
    aedes.on('publish', (packet, client) => client && published.push(packet.topic));
    const subscribed = once(aedes, 'subscribe');
    const { heard } = await listen('mqtt', port, { channels });
    await subscribed;
    publish('quay/p5/other', '1');
    publish('quay/p4/state', '{"on":true}');
    await until(() => heard.raws.length === 1);
    expect(heard.raws).toEqual([{ kind: 'message', topic: 'quay/p4/state', payload: '{"on":true}' }]);
    expect(published).toEqual([]);
  });

  test('the right password lets it in, another is said to be wrong', async () => {
    const { port } = await broker('frost');
    const right = await listen('mqtt', port, { channels, user: 'jar' }, 'frost');
    await until(() => right.heard.said.includes('up'));
    const wrong = await listen('mqtt', port, { channels, user: 'jar' }, 'thaw');
    await until(() => wrong.heard.said.length > 0);
    expect(wrong.heard.said).toEqual(['down: notLetIn']);
  });

  test('a message too long for a reading is left out, a flood is hung up on', async () => {
    const { port, aedes, publish } = await broker();
    const subscribed = once(aedes, 'subscribe');
    const { heard } = await listen('mqtt', port, { channels });
    await subscribed;
    publish('quay/p4/state', 'x'.repeat(20_000));
    await until(() => heard.said.includes('messageTooLong'));
    // In bursts, until it has enough: how many get through in a second is the machine's.
    for (let burst = 0; burst < 1000 && !heard.said.includes('down: flood'); burst++) {
      for (let i = 0; i < 50; i++) publish('quay/p4/state', '1');
      await wait(2);
    }
    expect(heard.said).toContain('down: flood');
    const heardByThen = heard.raws.length;
    publish('quay/p4/state', '1');
    await wait(200);
    expect(heard.raws).toHaveLength(heardByThen);
  });
});
