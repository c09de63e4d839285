import { median } from '../statistics/index.js';
import type { Columns } from './gauge-series.js';
import { sigmaAt, type Scatter } from './scatter.js';

/** Standard deviations from the median of its neighbours: a reading further off is a spike. */
const SPIKE = 7;
const BESIDE = 3;

/** Readings that stand alone far from those beside them, 1 for each. */
export function spikesIn({ pa }: Columns, scatter: Scatter): Uint8Array {
  const found = new Uint8Array(pa.length);
  const beside: number[] = [];
  const { pa: floor, share } = scatter;
  // The first and the last have neighbours on one side alone: a fit tells whether they lie off.
  for (let i = BESIDE; i + BESIDE < pa.length; i++) {
    let low = Infinity;
    let high = -Infinity;
    for (let j = i - BESIDE; j <= i + BESIDE; j++) {
      const p = pa[j] ?? 0;
      if (p < low) low = p;
      if (p > high) high = p;
    }
    // Most lie so close together that none of them can be one.
    if ((high - low) ** 2 <= SPIKE * SPIKE * (floor * floor + share * share * low * low)) continue;
    beside.length = 0;
    for (let j = i - BESIDE; j <= i + BESIDE; j++) if (j !== i) beside.push(pa[j] ?? 0);
    const usual = median(beside);
    const spread = Math.max(...beside.map((p) => Math.abs(p - usual))) / 2;
    if (
      Math.abs((pa[i] ?? 0) - usual) >
      SPIKE * sigmaAt(scatter, usual) + Math.min(spread, 3 * sigmaAt(scatter, usual))
    )
      found[i] = 1;
  }
  return found;
}

/** Of each `width` values that follow each other, by where they begin: one goes out of the sorted window, one comes in. */
function slidingMedians(values: Float64Array, width: number): Float64Array {
  const found = new Float64Array(values.length - width + 1);
  const window = values.slice(0, width).sort();
  const placeOf = (value: number): number => {
    let [from, to] = [0, width];
    while (from < to) {
      const middle = (from + to) >> 1;
      if ((window[middle] ?? 0) < value) from = middle + 1;
      else to = middle;
    }
    return from;
  };
  const half = width >> 1;
  for (let i = 0; ; i++) {
    found[i] = width % 2 === 1 ? (window[half] ?? 0) : ((window[half - 1] ?? 0) + (window[half] ?? 0)) / 2;
    if (i + width >= values.length) return found;
    const [out, value] = [placeOf(values[i] ?? 0), values[i + width] ?? 0];
    const at = placeOf(value);
    if (at > out) {
      window.copyWithin(out, out + 1, at);
      window[at - 1] = value;
    } else {
      window.copyWithin(at + 1, at, out);
      window[at] = value;
    }
  }
}

/** Readings on either side that a step is told by. */
const [LEAST_SIDE, MOST_SIDE] = [10, 60];
const OF_ALL = 40;
/** Standard deviations of the difference of two such sides. */
const STEP = 7;
const MOST_STEPS = 3;

/**
 * Where a gauge jumped between two readings and went on as before: it changed its range. Found as the largest differences of the medians on
 * either side, less what the slope around makes.
 * @returns indices of the first reading after each
 */
export function stepsIn({ pa }: Columns, scatter: Scatter): number[] {
  const n = pa.length;
  const side = Math.max(LEAST_SIDE, Math.min(MOST_SIDE, Math.floor(n / OF_ALL)));
  if (n < 6 * side) return [];
  const jump = new Float64Array(n);
  const medians = slidingMedians(pa, side);
  for (let i = side; i + side <= n; i++) jump[i] = (medians[i] ?? 0) - (medians[i - side] ?? 0);
  const found: number[] = [];
  for (let i = 2 * side; i + 2 * side < n; i++) {
    // The slope on both sides, away from the step itself.
    const slope = ((jump[i - side] ?? 0) + (jump[i + side] ?? 0)) / 2;
    const curve = Math.abs((jump[i - side] ?? 0) - (jump[i + side] ?? 0));
    const size = Math.abs((jump[i] ?? 0) - slope);
    const one = sigmaAt(scatter, pa[i] ?? 0);
    // Where it climbs by more than it scatters, a median is one reading or a few, not all of its side.
    const count = Math.min(side, Math.max(1, (2 * one * side) / Math.max(1e-300, Math.abs(slope))));
    const sigma = (one * 1.25 * Math.sqrt(3)) / Math.sqrt(count);
    if (size < STEP * sigma + curve) continue;
    const sharp = Math.abs(median([...pa.subarray(i, i + 3)]) - median([...pa.subarray(i - 3, i)]));
    if (sharp < size / 2) continue;
    const before = found.at(-1);
    if (before !== undefined && i - before < side) {
      if (size > sizeAt(before)) found[found.length - 1] = i;
    } else found.push(i);
  }
  return found.sort((a, b) => sizeAt(b) - sizeAt(a)).slice(0, MOST_STEPS);

  function sizeAt(i: number): number {
    return Math.abs((jump[i] ?? 0) - ((jump[i - side] ?? 0) + (jump[i + side] ?? 0)) / 2);
  }
}
