import {
  hearSignal,
  nothingHeard,
  readingTimes,
  runsSeen,
  type LoadBy,
  type OwnClock,
  type SeenRun,
} from '../instruments/index.js';
import type { MonitoredUse, MonitorSignal } from './monitored-days.js';

const LOAD_BY: Readonly<Record<MonitoredUse, LoadBy>> = {
  valve: 'valveOpen',
  cycles: 'cycles',
  inlet: 'pressure',
  central: 'pressure',
};
/** Above it gas flows at the inlet of the simulated pumps. */
const LOAD_ABOVE_PA = 40;

/** The runs that are told by what a simulated monitor sent: times set right first, then heard in their order, as a server does. */
export function runsOfSignals(input: {
  signals: readonly MonitorSignal[];
  use: MonitoredUse;
  nowMs: number;
}): readonly SeenRun[] {
  const clocks: Partial<Record<MonitorSignal['means'], OwnClock<MonitorSignal> | null>> = {};
  const placed = input.signals.flatMap((signal) => {
    const { saidMs, cameMs, means } = signal;
    const read = readingTimes(clocks[means] ?? null, { saidMs, cameMs, of: signal });
    clocks[means] = read.clock;
    return read.placed;
  });
  const heard = nothingHeard();
  for (const { atMs, of } of placed.sort((a, b) => a.atMs - b.atMs))
    hearSignal(heard, { means: of.means, value: of.value, atMs }, { loadAbovePa: LOAD_ABOVE_PA });
  return runsSeen({ heard, loadBy: LOAD_BY[input.use], nowMs: input.nowMs }).runs;
}
