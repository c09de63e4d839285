import type { LimitSource, ResolvedLimit } from '../set-up/index.js';
import { forecastLimit, runsLeftOf, type DueForecast, type Usage } from './due-forecast.js';
import type { Measure } from '../limits/index.js';
import { usedSince, type Counts, type Since } from '../fold/index.js';

export interface LimitStanding {
  readonly measure: Measure;
  /** runs, weighted runs, hours, days or changes, as `used` and `left` */
  readonly limit: number;
  readonly used: number;
  /** Never below 0. */
  readonly left: number;
  readonly from: LimitSource;
  readonly reached: boolean;
  /** Not reached yet, but at the end of the next planned run it will be. */
  readonly withinNextRun: boolean;
  /** By the use of its runs, or of its set’s plain ones; null where runs do not use it up. */
  readonly runsLeft: number | null;
  readonly forecast: DueForecast | null;
}

/** The next planned run, as far as it uses limits up. */
export interface NextRun {
  readonly weight: number;
  readonly hours: number;
}

function usedByNextRun(measure: Measure, nextRun: NextRun): number {
  if (measure === 'runs') return 1;
  if (measure === 'weight') return nextRun.weight;
  if (measure === 'hours') return nextRun.hours;
  return measure === 'days' ? nextRun.hours / 24 : 0;
}

export function limitStanding(input: {
  limit: ResolvedLimit;
  since: Since;
  totals: Counts;
  todayDay: number;
  usage: Usage;
}): LimitStanding {
  const { limit, usage } = input;
  const { measure, value } = limit;
  const used = usedSince({ measure, ...input });
  const reached = used >= value;
  const left = Math.max(0, value - used);
  const nextRun = { weight: usage.meanWeight, hours: usage.meanHours };
  return {
    measure,
    limit: value,
    used,
    left,
    from: limit.from,
    reached,
    withinNextRun: !reached && measure !== 'changes' && used + usedByNextRun(measure, nextRun) >= value,
    runsLeft: reached ? 0 : (runsLeftOf({ measure, left, usage })?.runs ?? null),
    forecast: reached ? null : forecastLimit({ measure, left, usage }),
  };
}
