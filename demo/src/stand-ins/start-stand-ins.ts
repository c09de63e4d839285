import { randomUUID } from 'node:crypto';
import {
  AS_NEW,
  BODY_VERSION,
  seededRandom,
  SimulatedPump,
  type Build,
  type Entry,
  type Equipment,
  type Instrument,
  type Inputs,
  type Pump,
  type SetUpBodies,
  type SetUpKind,
} from '@winter-jar/core';
import { linesGauge, type KeptReading } from './lines-gauge.js';
import { LivingSet, type Phase } from './living-set.js';
import { modbusGauge } from './modbus-gauge.js';
import { pumpMonitor, type MonitorSays } from './pump-monitor.js';
import type { StandIn } from './stand-in.js';

/** On this machine alone; the records of the demo yard say the same. */
const PORTS = { lines: 4881, modbus: 4882, monitor: 4883 } as const;
const TOPIC = 'quay/qp-04';
const HOUR_S = 3600;
const DAY_S = 24 * HOUR_S;

const PULLS: Inputs = { running: true, inlet: 'chamber', ballast: 'closed' };
const SHUT: Inputs = { running: true, inlet: 'shut', ballast: 'closed' };
const STANDS: Inputs = { running: false, inlet: 'shut', ballast: 'closed' };

/** The map cabinet of the ferry: its door’s gasket lets in as much as its record tells. */
const CABINET: Build = {
  ...{ speedM3S: 16 / 3600, lineM3S: 64 / 3600, chamberM3: 0.18, ultimatePa: 0.5, ballastPa: 3, ballastM3S: 2e-4 },
  ...{ outgasPaM3S: 1e-5, boosterTimes: 1, chargeMl: 1200, marksMl: 300, v40: 68, riseK: 45, roomC: 20 },
  ...{ humidity: 0.5, trapC: -55, trapHoldsG: 6000 },
};
const PUMP_DOWN_S = 720;
/** Pumped down, its rise of pressure looked at, pumped on, vented: over and over, as somebody who tests it would. */
const CABINET_DAY: readonly Phase[] = [
  { seconds: PUMP_DOWN_S, inputs: PULLS, vents: true },
  { seconds: 720, inputs: { ...SHUT, trapIsolated: true } },
  { seconds: 180, inputs: PULLS },
  { seconds: 60, inputs: STANDS },
];

const CABINET_ROUND_S = CABINET_DAY.reduce((sum, p) => sum + p.seconds, 0);

const LINE: Build = {
  ...{ speedM3S: 63 / 3600, lineM3S: 50 / 3600, chamberM3: 0.02, ultimatePa: 50, ballastPa: 150, ballastM3S: 1e-3 },
  ...{ outgasPaM3S: 1e-3, boosterTimes: 1, chargeMl: 2000, marksMl: 500, v40: 100, riseK: 48, roomC: 14 },
  ...{ humidity: 0.7, trapC: null, trapHoldsG: 0 },
};
const CYCLE: readonly Phase[] = [
  { seconds: 18, inputs: PULLS, vents: true, cycle: true },
  { seconds: 10, inputs: SHUT },
];
const cyclesFor = (seconds: number): Phase[] => Array.from({ length: Math.round(seconds / 28) }, () => CYCLE).flat();
/** A day of line 4, from midnight UTC: warmed up, two shifts, purged after each, a short leak test in the evening. */
const LINE_DAY: readonly Phase[] = (() => {
  const phases: Phase[] = [
    { seconds: 5 * HOUR_S, inputs: STANDS },
    { seconds: 1200, inputs: SHUT },
    ...cyclesFor(5.5 * HOUR_S),
    { seconds: 1800, inputs: { ...SHUT, ballast: 'open' } },
    { seconds: 2400, inputs: STANDS, vents: true },
    ...cyclesFor(4 * HOUR_S),
    { seconds: 1800, inputs: { ...SHUT, ballast: 'open' } },
    { seconds: HOUR_S, inputs: STANDS, vents: true },
    { seconds: 480, inputs: SHUT },
  ];
  const used = phases.reduce((sum, p) => sum + p.seconds, 0);
  return [...phases, { seconds: DAY_S - used, inputs: STANDS }];
})();

const LINE_4: Equipment = {
  ...{ name: 'Line 4', siteId: 'quay', process: 'packaging', referenceHours: 9, cyclesPerRun: 2000, cycleTimeS: 28 },
  coldTrap: false,
};
const QP_04: Pump = {
  ...{ name: 'QP-04', modelId: 'windlass-63', siteId: 'quay', equipmentId: 'quay-4', preset: 'byTheHour' },
  oilProductId: 'plover-100t',
};
const INSTRUMENTS: Readonly<Record<string, Instrument>> = {
  'cabinet-gauge': {
    ...{ name: 'Cabinet gauge', equipmentId: 'ferry-c', pumpId: 'lf-03', simulated: true },
    ...{ talks: 'lines', host: '127.0.0.1', port: PORTS.lines },
    channels: [
      {
        ...{ key: 'pressure', means: 'pressure', pattern: '{time} P1 {value} {unit}', gauge: 'capacitance' },
        ...{ believedFromPa: 0.01, believedToPa: 110_000 },
      },
    ],
  },
  'cabinet-second-gauge': {
    ...{ name: 'Second gauge at the cabinet', equipmentId: 'ferry-c', pumpId: 'lf-03', simulated: true },
    ...{ talks: 'modbus', host: '127.0.0.1', port: PORTS.modbus, unitId: 1, everyMs: 500 },
    channels: [
      {
        ...{ key: 'pressure', means: 'pressure', table: 'input', register: 0, format: 'float32', unit: 'Pa' },
        ...{ gauge: 'thermal', believedFromPa: 0.01, believedToPa: 110_000 },
      },
      { key: 'valve', means: 'valveOpen', table: 'discrete', register: 0, format: 'bit' },
    ],
  },
  'line-4-monitor': {
    ...{ name: 'Monitor of QP-04', equipmentId: 'quay-4', pumpId: 'qp-04', simulated: true },
    ...{ talks: 'mqtt', host: '127.0.0.1', port: PORTS.monitor },
    channels: [
      { key: 'running', means: 'running', topic: TOPIC, path: 'pump.amps', timePath: 'at', onAbove: 1.5 },
      {
        ...{ key: 'pressure', means: 'pressure', topic: TOPIC, path: 'inlet.pa', timePath: 'at', unit: 'Pa' },
        ...{ believedFromPa: 1, believedToPa: 110_000 },
      },
      { key: 'cycles', means: 'cycles', topic: TOPIC, path: 'cycles', timePath: 'at' },
    ],
  },
};

/** What line 4 has done since the midnight before last, and goes on doing. */
function lineMonitor(nowMs: number): { now: () => MonitorSays; seen: MonitorSays[] } {
  const set = new LivingSet(new SimulatedPump(LINE, { ...AS_NEW, backPa: 4000 }), LINE_DAY);
  const fullAmps = 6.4;
  const says = (ms: number): MonitorSays => {
    set.to(ms);
    const amps = set.runs ? fullAmps * set.pump.current : 0.1;
    const { cycles } = set;
    return {
      at: new Date(ms).toISOString(),
      running: set.runs,
      amps,
      inletPa: Math.max(1, set.pump.gaugePa()),
      cycles,
    };
  };
  const fromMs = (Math.floor(nowMs / (DAY_S * 1000)) - 1) * DAY_S * 1000;
  const seen: MonitorSays[] = [];
  for (let ms = fromMs; ms < nowMs; ms += 20_000) seen.push(says(ms));
  return { now: () => says(Date.now()), seen };
}

/** Starts the simulated instruments of the demo yard on this machine: two gauges at the map cabinet, a monitor of line 4's pump. */
export async function startStandIns(): Promise<{ readonly standIns: readonly StandIn[] }> {
  const cabinet = new LivingSet(new SimulatedPump(CABINET, { ...AS_NEW, leakPaM3S: 4.5e-4 }), CABINET_DAY);
  const random = seededRandom(11);
  const noisy = (pa: number): number => pa * random.between([0.996, 1.004]);
  const at = (): LivingSet => {
    cabinet.to(Date.now());
    return cabinet;
  };
  // Whoever looks finds it nearly pumped down, after two such rounds.
  const nowMs = Date.now();
  const kept: KeptReading[] = [];
  for (let ms = nowMs - (2 * CABINET_ROUND_S + PUMP_DOWN_S - 60) * 1000; ms < nowMs; ms += 2000) {
    cabinet.to(ms);
    kept.push({ atMs: ms, pa: noisy(cabinet.pump.gaugePa()) });
  }
  const standIns = [
    await linesGauge({ port: PORTS.lines, paNow: () => noisy(at().pump.gaugePa()), kept }),
    await modbusGauge({
      port: PORTS.modbus,
      paNow: () => noisy(at().pump.gaugePa(true)) * 1.06,
      valveOpen: () => at().phase.inputs.inlet === 'chamber',
    }),
    await pumpMonitor({ port: PORTS.monitor, topic: TOPIC, ...lineMonitor(Date.now()) }),
  ];
  return { standIns };
}

async function post(address: string, body: object): Promise<void> {
  const headers = { 'content-type': 'application/json' };
  const response = await fetch(address, { method: 'POST', headers, body: JSON.stringify(body) });
  if (response.status >= 400) throw new Error(`${address} answered ${response.status}: ${await response.text()}`);
  await response.text();
}

/** Brings line 4 and the instruments into the demo yard, where they are not yet, and has the server listen to them. */
export async function connectStandIns({ address }: { address: string }): Promise<void> {
  const { house } = (await (await fetch(`${address}/api/set-up`)).json()) as {
    house: Readonly<Record<SetUpKind, Readonly<Record<string, unknown>>>>;
  };
  const nowMs = Date.now();
  const from = new Date(nowMs - 10 * DAY_S * 1000).toISOString();
  const version = <K extends SetUpKind>(kind: K, subjectId: string, body: SetUpBodies[K]) =>
    house[kind][subjectId] ? [] : [{ id: randomUUID(), kind, subjectId, validFrom: from, recordedAt: from, body }];
  const isNew = !house.pump['qp-04'];
  const versions = [
    ...version('equipment', 'quay-4', LINE_4),
    ...version('pump', 'qp-04', QP_04),
    ...Object.entries(INSTRUMENTS).flatMap(([id, body]) => version('instrument', id, body)),
  ];
  if (versions.length > 0) await post(`${address}/api/set-up`, { versions });
  if (isNew) await post(`${address}/api/entries`, { entries: [takenOver(from)] });
  for (const id of Object.keys(INSTRUMENTS)) await post(`${address}/api/instruments/${id}/connect`, {});
}

const takenOver = (at: string): Entry => ({
  ...{ id: randomUUID(), actId: randomUUID(), subjects: [{ type: 'pump', id: 'qp-04' }], happenedAt: at },
  ...{ zone: 'Europe/Lisbon', precision: 'exact', recordedAt: at, who: 'Corin', device: null, acknowledged: [] },
  ...{ bodyVersion: BODY_VERSION, kind: 'takeOver', body: { oilChangedAt: at, runsSince: 0, minutesSince: 0 } },
});
