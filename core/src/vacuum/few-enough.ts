import { averaged, columnsOf, type Columns, type GaugeSeries } from './gauge-series.js';
import { scatterOf } from './scatter.js';
import { spikesIn } from './spikes-and-steps.js';

/** A fit of so many readings knows all that one of a million does. */
const MOST_FITTED = 4000;

/** A log as columns that can be fitted, and of how many readings each of theirs is the mean. */
export function fewEnough(series: GaugeSeries): {
  readonly all: Columns;
  readonly every: number;
  readonly readings: number;
} {
  const read = columnsOf(series);
  const readings = read.s.length;
  if (readings <= MOST_FITTED) return { all: read, every: 1, readings };
  const { columns, every } = averaged(read, MOST_FITTED, spikesIn(read, scatterOf(read)));
  return { all: columns, every, readings };
}

/** Where what was found among means lies among the readings. */
export const amongReadings = <
  T extends {
    readonly from: number;
    readonly to: number;
    readonly spikes: readonly number[];
    readonly steps?: readonly number[];
  },
>(
  judged: T,
  { every, readings }: { readonly every: number; readonly readings: number },
): T =>
  every === 1
    ? judged
    : {
        ...judged,
        from: judged.from * every,
        to: Math.min(readings, judged.to * every),
        spikes: judged.spikes.map((i) => i * every),
        ...(judged.steps ? { steps: judged.steps.map((i) => i * every) } : {}),
      };
