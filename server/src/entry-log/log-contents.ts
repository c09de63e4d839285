import type { LogContents, LogName } from '@winter-jar/contracts';
import type { Job } from '../work/job.js';
import { kindOf } from './log-files.js';

const MONTHS = 12;

/** What a log holds, by pump or container and month. */
export const LOG_CONTENTS_JOB: Job<LogName, LogContents> = {
  name: 'what a log holds',
  lane: 'screen',
  run({ sql }, log) {
    const counted = sql.countedByMonth.all(kindOf(log));
    const months = [...new Set(counted.map(({ month }) => month))].sort().reverse().slice(0, MONTHS);
    const ofPump = new Map<string, { entries: number; byMonth: number[] }>();
    for (const { pumpId, month, n } of counted) {
      const pump = ofPump.get(pumpId) ?? { entries: 0, byMonth: months.map(() => 0) };
      pump.entries += n;
      const at = months.indexOf(month);
      if (at >= 0) pump.byMonth[at] = n;
      ofPump.set(pumpId, pump);
    }
    return {
      // What is poured from one container into another stands at both.
      entries: sql.countOfKind.get(kindOf(log))?.n ?? 0,
      months,
      pumps: [...ofPump].map(([pumpId, pump]) => ({ pumpId, ...pump })),
    };
  },
};
