import { once } from 'node:events';
import { ServerTCP } from 'modbus-serial';
import type { StandIn } from './stand-in.js';

/**
 * A gauge with registers (Modbus TCP): pressure in Pa as a float in the input registers 0 and 1, its high word first; a discrete input 0
 * that is on while the valve to the chamber is open.
 */
export async function modbusGauge(of: {
  readonly port: number;
  readonly paNow: () => number;
  readonly valveOpen: () => boolean;
}): Promise<StandIn> {
  const words = (): [number, number] => {
    const view = new DataView(new ArrayBuffer(4));
    view.setFloat32(0, of.paNow());
    return [view.getUint16(0), view.getUint16(2)];
  };
  const nothing = (): never => {
    throw Object.assign(new Error('no such register'), { modbusErrorCode: 2 });
  };
  const server = new ServerTCP(
    {
      getInputRegister: (register: number) => (register < 2 ? (words()[register] ?? 0) : nothing()),
      // Both words of one moment.
      getMultipleInputRegisters: (register: number, length: number) =>
        register === 0 && length === 2 ? words() : nothing(),
      getDiscreteInput: (input: number) => (input === 0 ? of.valveOpen() : nothing()),
    },
    { host: '127.0.0.1', port: of.port, unitID: 1 },
  );
  await once(server, 'initialized');
  return {
    port: of.port,
    stop: () => new Promise((done) => server.close(() => done())),
  };
}
