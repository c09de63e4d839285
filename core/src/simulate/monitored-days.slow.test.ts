import { runsOfSignals } from './heard-runs.js';
import { monitoredLife, MONITORED_USES, MONITOR_FAULTS } from './monitored-days.js';

const FROM = Date.UTC(2031, 2, 1);
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
/** A sample; a thousand days are counted by `npm run bench`. */
const DAYS = 10;
const SEED = Number(process.env.SEED) || 3;

test.each(MONITORED_USES)('each run of a pump with %s is counted once, within a minute of its ends', (use) => {
  const life = monitoredLife({ use, days: DAYS, seed: SEED, fromMs: FROM });
  const nowMs = FROM + DAYS * DAY_MS + 60 * MINUTE_MS;
  const runs = runsOfSignals({ signals: life.signals, use, nowMs });
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
