import type { InstrumentChannel, RegisterTable } from '@winter-jar/core';
import { wordsOf } from '@winter-jar/core';
import modbusSerial from 'modbus-serial';
import type { ModbusRTU } from 'modbus-serial/ModbusRTU.js';
import { DIAL_MS, lostReason, type Adapter } from './adapter.js';

/** A package of the older kind of modules: its whole is the class, which its types do not say in every way of resolving them. */
const ModbusClient = modbusSerial as unknown as new () => ModbusRTU;

const EVERY_MS = 1000;
const ANSWER_MS = 2000;
/** So many answers in a row that did not come, and the line is gone. */
const MISSED = 3;

interface Place {
  readonly table: RegisterTable;
  readonly register: number;
  readonly words: number;
}

/** Each place once, as long as the longest that begins there. */
function placesOf(channels: readonly InstrumentChannel[]): Place[] {
  const places = new Map<string, Place>();
  for (const { table, register, format } of channels) {
    if (!table || register === null || register === undefined) continue;
    const name = `${table} ${register}`;
    const words = Math.max(places.get(name)?.words ?? 1, wordsOf(format ?? 'uint16'));
    places.set(name, { table, register, words });
  }
  return [...places.values()];
}

async function ask(client: ModbusRTU, { table, register, words }: Place): Promise<number[]> {
  switch (table) {
    case 'holding':
      return (await client.readHoldingRegisters(register, words)).data;
    case 'input':
      return (await client.readInputRegisters(register, words)).data;
    case 'coil':
      return (await client.readCoils(register, 1)).data.slice(0, 1).map(Number);
    case 'discrete':
      return (await client.readDiscreteInputs(register, 1)).data.slice(0, 1).map(Number);
  }
}

/** Registers over Modbus TCP (Modbus Application Protocol V1.1b3), asked for again and again; nothing is ever written. */
export const modbus: Adapter = ({ host, port, unitId, everyMs, channels }, _password, hearing) => {
  const client = new ModbusClient();
  const places = placesOf(channels ?? []);
  let over = false;
  let missed = 0;
  let next: NodeJS.Timeout | null = null;
  const end = (tell: () => void) => {
    if (over) return;
    over = true;
    if (next) clearTimeout(next);
    client.destroy(() => undefined);
    tell();
  };

  async function round(): Promise<void> {
    const begunMs = Date.now();
    for (const place of places) {
      if (over) return;
      try {
        const words = await ask(client, place);
        if (over) return;
        missed = 0;
        hearing.raw({ kind: 'registers', table: place.table, register: place.register, words });
      } catch (error) {
        if (over) return;
        // What the instrument itself refuses is an answer.
        if (typeof (error as { modbusCode?: unknown }).modbusCode === 'number') {
          hearing.trouble('registerRefused', `${place.table} ${place.register}: ${(error as Error).message}`);
          continue;
        }
        missed += 1;
        if (!client.isOpen || missed >= MISSED)
          return end(() => hearing.down(client.isOpen ? 'noAnswer' : lostReason(error)));
      }
    }
    next = setTimeout(() => void round(), Math.max(10, (everyMs ?? EVERY_MS) - (Date.now() - begunMs)));
  }

  client.on('error', (error: unknown) => end(() => hearing.down(lostReason(error))));
  client.on('close', () => end(() => hearing.down('closed')));
  client
    .connectTCP(host, { port, timeout: DIAL_MS })
    .then(() => {
      if (over) return client.destroy(() => undefined);
      client.setID(unitId ?? 1);
      client.setTimeout(ANSWER_MS);
      hearing.up();
      void round();
    })
    .catch((error: unknown) => end(() => hearing.down(lostReason(error))));
  return () => end(() => undefined);
};
