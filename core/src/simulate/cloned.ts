import { SimulatedPump } from './pump.js';

/** As it stands, to be tried without touching it. */
export function cloned(pump: SimulatedPump): SimulatedPump {
  const copy = Object.assign(Object.create(SimulatedPump.prototype) as SimulatedPump, pump);
  copy.condition = { ...pump.condition };
  copy.oil = { ...pump.oil };
  return copy;
}
