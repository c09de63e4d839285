import { hearSignal, nothingHeard, readingTimes, runsSeen, type LoadBy, type OwnClock } from '../instruments/index.js';
import {
  monitoredLife,
  MONITORED_USES,
  MONITOR_FAULTS,
  type MonitoredUse,
  type MonitorSignal,
} from './monitored-days.js';

const FROM = Date.UTC(2031, 2, 1);
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
/** A sample; a thousand days are counted by `npm run bench`. */
const DAYS = 10;
const SEED = Number(process.env.SEED) || 3;
const LOAD_BY: Readonly<Record<MonitoredUse, LoadBy>> = {
  valve: 'valveOpen',
  cycles: 'cycles',
  inlet: 'pressure',
  central: 'pressure',
};

test.each(MONITORED_USES)('each run of a pump with %s is counted once, within a minute of its ends', (use) => {
  const life = monitoredLife({ use, days: DAYS, seed: SEED, fromMs: FROM });
  const clocks: Partial<Record<MonitorSignal['means'], OwnClock<MonitorSignal> | null>> = {};
  const placed = life.signals.flatMap((signal) => {
    const { saidMs, cameMs, means } = signal;
    const read = readingTimes(clocks[means] ?? null, { saidMs, cameMs, of: signal });
    clocks[means] = read.clock;
    return read.placed;
  });
  const heard = nothingHeard();
  for (const { atMs, of } of placed.sort((a, b) => a.atMs - b.atMs))
    hearSignal(heard, { means: of.means, value: of.value, atMs }, { loadAbovePa: 40 });
  const { runs } = runsSeen({ heard, loadBy: LOAD_BY[use], nowMs: FROM + DAYS * DAY_MS + 60 * MINUTE_MS });
  expect(runs).toHaveLength(life.runs.length);
  runs.forEach(({ startMs, endMs }, i) => {
    expect(Math.abs(startMs - (life.runs[i]?.startMs ?? 0))).toBeLessThanOrEqual(MINUTE_MS);
    expect(Math.abs((endMs ?? 0) - (life.runs[i]?.endMs ?? 0))).toBeLessThanOrEqual(MINUTE_MS);
  });
});

test('over a season all that befalls a monitor has befallen it', () => {
  const { faults } = monitoredLife({ use: 'valve', days: 60, seed: 1, fromMs: FROM, everyS: 600 });
  for (const fault of MONITOR_FAULTS) expect(faults[fault]).toBeGreaterThan(0);
});
