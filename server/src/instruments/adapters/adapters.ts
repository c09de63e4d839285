import type { InstrumentTalk } from '@winter-jar/core';
import type { Adapter } from './adapter.js';

/** Every way of speaking that is understood; loaded where one is first listened to. A new one is one more file and one more line here. */
export const ADAPTERS: Readonly<Record<InstrumentTalk, () => Promise<Adapter>>> = {
  lines: async () => (await import('./lines.js')).lines,
  modbus: async () => (await import('./modbus.js')).modbus,
  mqtt: async () => (await import('./mqtt.js')).mqtt,
};
