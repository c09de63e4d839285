import { inStretches, type Columns } from './gauge-series.js';
import { sigmaAt, type Scatter } from './scatter.js';

const MOST_STRETCHES = 400;
/** A spike among so many readings does not move their median. */
const LEAST_IN_ONE = 7;
/** So many standard deviations of a stretch's median below the highest before are a fall, not scatter. */
const FALLS_BY = 6;
/** And at least this share, 0-1. */
const FALLS_BY_SHARE = 0.03;

/**
 * The part of a log in which the pressure rises with the chamber closed: the longest in which it never falls back, from its lowest on. What
 * comes before is the pump-down, what comes after the valve opened again.
 * @returns indices of the first reading and of the one after the last
 */
export function risePart(all: Columns, scatter: Scatter): readonly [from: number, to: number] {
  const stretches = Math.max(8, Math.min(MOST_STRETCHES, Math.floor(all.s.length / LEAST_IN_ONE)));
  const { s, pa, first } = inStretches(all, stretches);
  const each = Math.max(1, Math.ceil(all.s.length / stretches));
  let best: readonly [number, number] = [0, 0];
  let from = 0;
  let highest = -Infinity;
  const close = (to: number) => {
    // The lowest of its beginning: the valve closes somewhere before it rises.
    let lowest = from;
    for (let i = from; i < to; i++) if ((pa[i] ?? 0) < (pa[lowest] ?? 0)) lowest = i;
    const [bestFrom, bestTo] = best;
    if ((s[to - 1] ?? 0) - (s[lowest] ?? 0) > (s[bestTo - 1] ?? 0) - (s[bestFrom] ?? 0)) best = [lowest, to];
  };
  for (let i = 0; i < pa.length; i++) {
    const p = pa[i] ?? 0;
    const sigma = (sigmaAt(scatter, highest) * 1.25) / Math.sqrt(each);
    if (highest - p > Math.max(FALLS_BY * sigma, FALLS_BY_SHARE * highest)) {
      close(i);
      from = i;
      highest = p;
    } else highest = Math.max(highest, p);
  }
  close(pa.length);
  const [bestFrom, bestTo] = best;
  // A tight chamber only scatters: all of it is looked at.
  const starts =
    bestFrom > 0 && isFlat(pa.slice(bestFrom, bestTo), pa.slice(0, bestFrom), scatter, each) ? 0 : bestFrom;
  return [first[starts] ?? 0, bestTo >= first.length ? all.s.length : (first[bestTo] ?? all.s.length)];
}

/** Whether what stands before its lowest is no higher than scatter makes it. */
function isFlat(part: readonly number[], before: readonly number[], scatter: Scatter, each: number): boolean {
  const lowest = part[0] ?? 0;
  const sigma = (sigmaAt(scatter, lowest) * 1.25) / Math.sqrt(each);
  return before.every((p) => Math.abs(p - lowest) <= Math.max(FALLS_BY * sigma, FALLS_BY_SHARE * lowest));
}
