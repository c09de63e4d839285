import type { Inputs, SimulatedPump } from './pump.js';
import type { Habits, PlannedRun } from './use.js';

const WARM_UP_S = 2400;
const PURGE_S = 1800;
const RUNS: Inputs = { running: true, inlet: 'chamber', ballast: 'closed' };
const STANDS: Inputs = { running: false, inlet: 'shut', ballast: 'closed' };

/** What one run showed. */
export interface RunSeen {
  /** Oil when the load came, and at the end. */
  readonly startC: number;
  readonly endC: number;
  readonly firstPa: number;
  readonly lowestPa: number;
  readonly startLoad: number;
  readonly current: number;
  readonly noise: number;
  /** Steps of colour in its first minutes, and in all. */
  readonly darkerAtOnce: number;
  readonly darker: number;
  /** Water in the oil that it left. */
  readonly waterMl: number;
  /** In the glass before it, standing. */
  readonly level: number;
  /** Water vapour's part of the pressure half-way, and at the end. */
  readonly vapourThen: number;
  readonly vapourAtEnd: number;
  readonly bledMl: number;
  readonly idleH: number;
}

/** Runs one after another, as somebody with such habits has them. */
export function live(pump: SimulatedPump, runs: readonly PlannedRun[], habits: Habits): RunSeen[] {
  return runs.map((run, i) => {
    const before = runs[i - 1];
    const idleH = before ? Math.max(1, run.at - before.at - before.hours) : 14;
    pump.advance(idleH * 3600, STANDS);
    return once(pump, run.hours, habits, idleH);
  });
}

function once(pump: SimulatedPump, hours: number, habits: Habits, idleH: number): RunSeen {
  const { level } = pump;
  const bledMl = habits.bleeds ? pump.oil.waterMl * 0.85 : 0;
  pump.oil.waterMl -= bledMl;
  if (habits.defrosts) pump.defrost();
  const { startLoad } = pump;
  if (habits.warmsUp) pump.advance(WARM_UP_S, { ...RUNS, inlet: 'shut' });
  const [colour, water, startC] = [pump.oil.colour, pump.oil.waterMl, pump.oilC];
  pump.begin(habits.load);
  const during: Inputs = { ...RUNS, ballast: habits.ballast === 'open' ? 'open' : 'closed' };
  pump.advance(300, during);
  const first = { firstPa: pump.gaugePa(), darkerAtOnce: pump.oil.colour - colour };
  const left = hours * 3600 - 300 - PURGE_S;
  pump.advance(left / 2, during);
  const vapourThen = pump.vapourPa / (pump.airPa + pump.vapourPa);
  pump.advance(left / 2, during);
  // Pressures are held against one another with the ballast closed.
  pump.advance(300, RUNS);
  const [lowestPa, endC] = [pump.gaugePa(), pump.oilC];
  const vapourAtEnd = pump.vapourPa / (pump.airPa + pump.vapourPa);
  const { current, noise } = pump;
  pump.advance(PURGE_S, { ...during, ballast: habits.ballast === 'closed' ? 'closed' : 'open' });
  pump.stop(habits.vents);
  return {
    ...first,
    ...{ startC, endC, lowestPa, startLoad, current, noise, level, vapourThen, vapourAtEnd, bledMl, idleH },
    darker: pump.oil.colour - colour,
    waterMl: pump.oil.waterMl - water,
  };
}
