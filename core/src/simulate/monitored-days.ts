import { seededRandom, type Random } from './random.js';
import { AS_NEW, SimulatedPump, type Build, type Inputs } from './pump.js';

/** How a monitored pump is used: runs with a valve, a packing machine with a counter, bags told by the inlet pressure, one pump that turns for days. */
export const MONITORED_USES = ['valve', 'cycles', 'inlet', 'central'] as const;
export type MonitoredUse = (typeof MONITORED_USES)[number];

export interface MonitorSignal {
  readonly means: 'running' | 'valveOpen' | 'cycles' | 'pressure';
  /** By the monitor’s own clock. */
  readonly saidMs: number;
  /** By the server’s. */
  readonly cameMs: number;
  readonly value: number;
}

export interface MonitoredRun {
  readonly startMs: number;
  readonly endMs: number;
}

export interface MonitoredLife {
  readonly runs: readonly MonitoredRun[];
  /** In the order in which they came. */
  readonly signals: readonly MonitorSignal[];
  /** What befell the monitor and the server, by kind. */
  readonly faults: Readonly<Record<MonitorFault, number>>;
}

export const MONITOR_FAULTS = [
  'flapping',
  'restart',
  'serverDown',
  'clockJump',
  'sentLate',
  'silent',
  'powerCut',
] as const;
export type MonitorFault = (typeof MONITOR_FAULTS)[number];

const SECOND = 1000;
const MINUTE = 60 * SECOND;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** Composites: bags that leak a little, so that the inlet tells when one is on the pump. */
const BAGS: Build = {
  ...{ speedM3S: 25 / 3600, lineM3S: 60 / 3600, chamberM3: 0.12, ultimatePa: 1, ballastPa: 20, ballastM3S: 3e-4 },
  ...{
    outgasPaM3S: 0.02,
    boosterTimes: 1,
    chargeMl: 1500,
    marksMl: 400,
    v40: 100,
    riseK: 45,
    roomC: 20,
    humidity: 0.5,
  },
  ...{ trapC: null, trapHoldsG: 0 },
};

/** What the pump does at a moment; the last that began before it holds. */
interface Doing {
  readonly fromMs: number;
  readonly inputs: Inputs;
  /** A run, and not a warm-up, a purge or a test. */
  readonly run: boolean;
  readonly vents?: true;
}

const STANDS: Inputs = { running: false, inlet: 'shut', ballast: 'closed' };
const SHUT: Inputs = { running: true, inlet: 'shut', ballast: 'closed' };
const PURGES: Inputs = { running: true, inlet: 'shut', ballast: 'open' };
const PULLS: Inputs = { running: true, inlet: 'chamber', ballast: 'closed' };

/** A day’s doings, hour by hour. */
function dayOf(use: MonitoredUse, midnight: number, random: Random): Doing[] {
  const doings: Doing[] = [];
  const rests: Inputs = use === 'central' ? SHUT : STANDS;
  let at = midnight + random.between([5, 8]) * HOUR;
  const then = (inputs: Inputs, minutes: number, more: Partial<Doing> = {}): void => {
    doings.push({ fromMs: at, inputs, run: false, ...more });
    at += Math.round(minutes * 60) * SECOND;
  };
  const runs = use === 'central' || use === 'inlet' ? 3 : 1 + Math.floor(random.next() * 2);
  for (let i = 0; i < runs && at < midnight + 20 * HOUR; i++) {
    if (use !== 'central' && random.next() < 0.7) then(SHUT, random.between([10, 40]));
    then(PULLS, random.between([40, use === 'valve' ? 420 : 200]), { run: true, vents: true });
    if (random.next() < 0.6) then(PURGES, random.between([10, 30]));
    then(rests, random.between([30, 120]));
  }
  // A look in the evening whether it pulls, and oil that is dried out.
  if (random.next() < 0.3 && at < midnight + 22 * HOUR) {
    then(PULLS, random.between([4, 10]), { vents: true });
    then(PURGES, random.between([20, 50]));
    then(rests, 10);
  }
  return doings;
}

/**
 * What a monitor tells of a pump over many days, with what befalls monitors: contacts that bounce, a pump that trips, a server that is
 * updated, clocks that jump, readings that are sent late, a monitor that is silent, power that fails.
 * @param input.everyS how often it speaks
 */
export function monitoredLife(input: {
  use: MonitoredUse;
  days: number;
  seed: number;
  fromMs: number;
  everyS?: number;
}): MonitoredLife {
  const { use, days, seed, fromMs, everyS = 20 } = input;
  const random = seededRandom(seed);
  const faults = Object.fromEntries(MONITOR_FAULTS.map((f) => [f, 0])) as Record<MonitorFault, number>;
  const runs: MonitoredRun[] = [];
  const signals: MonitorSignal[] = [];
  const pump = new SimulatedPump(BAGS, { ...AS_NEW, leakPaM3S: 1 });
  let lastMs = fromMs;
  let cycles = 1000;

  for (let day = 0; day < days; day++) {
    const midnight = fromMs + day * DAY;
    const doings = dayOf(use, midnight, random);
    const fault = random.next() < 0.5 ? random.pick([...MONITOR_FAULTS] as [MonitorFault, ...MonitorFault[]]) : null;
    const firstRun = doings.findIndex((d) => d.run);
    const runFrom = doings[firstRun]!.fromMs;
    const runTo = doings[firstRun + 1]?.fromMs ?? runFrom + HOUR;
    const inRun = runFrom + (runTo - runFrom) * random.between([0.3, 0.6]);
    if (fault) faults[fault] += 1;

    // What the fault does to the pump itself.
    if (fault === 'powerCut') {
      const back = doings.find((d) => d.fromMs > inRun + 2 * HOUR)?.fromMs ?? inRun + 2 * HOUR;
      const kept = doings.filter((d) => d.fromMs <= inRun || d.fromMs >= back);
      kept.splice(kept.findIndex((d) => d.fromMs > inRun) >>> 0, 0, { fromMs: inRun, inputs: STANDS, run: false });
      doings.splice(0, doings.length, ...kept);
    }
    doings.forEach((d, i) => {
      const endMs = doings[i + 1]?.fromMs ?? midnight + DAY;
      if (d.run) runs.push({ startMs: d.fromMs, endMs });
    });

    const silentMs = random.between([5, 25]) * MINUTE;
    const lateMs = random.between([10, 90]) * MINUTE;
    const jumpMs = random.pick([-1, 1, -0.3] as const) * HOUR;
    const trips = inRun + random.between([20, 100]) * SECOND;
    const powerBack = inRun + random.between([45, 110]) * MINUTE;
    const held: MonitorSignal[] = [];

    for (let at = midnight; at < midnight + DAY; at += everyS * SECOND) {
      const ms = at + Math.floor(random.next() * 300);
      const doing = doings.findLast((d) => d.fromMs <= ms) ?? {
        fromMs: 0,
        inputs: use === 'central' ? SHUT : STANDS,
        run: false,
      };
      const tripped = fault === 'restart' && ms >= inRun && ms < trips;
      const inputs = tripped ? STANDS : doing.inputs;
      if (doing.vents && doing.fromMs > lastMs) {
        pump.stop(true);
        pump.begin(pump.load);
      }
      pump.advance((ms - lastMs) / SECOND, inputs);
      lastMs = ms;
      const pulls = inputs.running && inputs.inlet === 'chamber';
      if (pulls && (doing.run || random.next() < 0.02))
        cycles += everyS >= 20 ? 1 : random.next() < everyS / 20 ? 1 : 0;

      // What the fault does to the telling of it.
      if (fault === 'powerCut' && ms >= inRun && ms < powerBack) continue;
      if (fault === 'silent' && ms >= inRun && ms < Math.min(inRun + silentMs, runTo - MINUTE)) continue;
      if (fault === 'serverDown' && ms >= runTo - 40 * SECOND && ms < runTo + 50 * SECOND) continue;
      const bounces = fault === 'flapping' && Math.abs(ms - runFrom - 20 * MINUTE) < 10 * MINUTE && random.next() < 0.2;
      const saidMs = fault === 'clockJump' && ms > inRun ? ms + jumpMs : ms;
      const inletPa = pulls ? pump.gaugePa() : pump.ownPa(inputs.ballast);
      const late = fault === 'sentLate' && ms >= runTo - lateMs / 2 && ms < runTo + lateMs / 2;
      if (!late && held.length > 0) {
        for (const [i, signal] of held.entries()) signals.push({ ...signal, cameMs: ms + i * 5 });
        held.length = 0;
      }
      const tell = (means: MonitorSignal['means'], value: number): void => {
        (late ? held : signals).push({ means, saidMs, cameMs: ms, value });
      };
      tell('running', bounces ? 1 - Number(inputs.running) : Number(inputs.running));
      if (use === 'valve') tell('valveOpen', Number(inputs.inlet === 'chamber'));
      if (use === 'cycles') tell('cycles', cycles);
      if (use === 'inlet' || use === 'central') tell('pressure', inletPa);
    }
    signals.push(...held);
  }
  return { runs, signals, faults };
}
