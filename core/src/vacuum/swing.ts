import type { Columns } from './gauge-series.js';
import { solve } from './least-squares.js';

/** Periods that are tried, from a few readings to a third of the record, so close that none lies between two. */
const LEAST_READINGS = 12;
const OF_RECORD = 3;
const PER_CYCLE = 4;
const MOST_PERIODS = 400;
/** Of all that is left, what one period has to explain. */
const EXPLAINS = 0.4;
/** And how far it has to stand above what chance makes, with so many periods tried (Scargle 1982, ApJ 263, 835: e to the minus power). */
const POWER = 20;
const OVERTONES = 2;
/** A course of which the sums are taken by so many of its readings is known well enough for its period. */
const MOST_READ = 800;

/** Of each reading the wave that is looked at, and how far it turns from one to the next. */
interface Waves {
  readonly cos: Float64Array;
  readonly sin: Float64Array;
  readonly cosTurn: Float64Array;
  readonly sinTurn: Float64Array;
}

/** Of the sum of squares, what a wave explains; the waves are turned on to the next. */
function explainedBy({ cos, sin, cosTurn, sinTurn }: Waves, y: Float64Array): number {
  const n = y.length;
  let cc = 0;
  let cs = 0;
  let yc = 0;
  let ys = 0;
  for (let i = 0; i < n; i++) {
    const a = cos[i] as number;
    const b = sin[i] as number;
    const v = y[i] as number;
    cc += a * a;
    cs += a * b;
    yc += v * a;
    ys += v * b;
    cos[i] = a * (cosTurn[i] as number) - b * (sinTurn[i] as number);
    sin[i] = b * (cosTurn[i] as number) + a * (sinTurn[i] as number);
  }
  const ss = n - cc;
  const determinant = cc * ss - cs * cs;
  return determinant > 0 ? (yc * yc * ss - 2 * yc * ys * cs + ys * ys * cc) / determinant : 0;
}

/**
 * The period with which what is left of a fit swings, s, as where a trap's refrigeration goes on and off: by a least-squares periodogram
 * (Lomb 1976, Scargle 1982).
 * @param weights 0 for readings that do not count
 * @returns null where nothing swings
 */
export function periodOf(s: Float64Array, left: Float64Array, weights: Float64Array): number | null {
  const every = Math.max(1, Math.ceil(s.length / MOST_READ));
  const kept: number[] = [];
  for (let i = 0; i < s.length; i += every) if (weights[i]) kept.push(i);
  const n = kept.length;
  if (n < 3 * LEAST_READINGS) return null;
  const mean = kept.reduce((sum, i) => sum + (left[i] ?? 0), 0) / n;
  const y = Float64Array.from(kept, (i) => (left[i] ?? 0) - mean);
  const all = y.reduce((sum, v) => sum + v * v, 0);
  const record = (s[s.length - 1] ?? 0) - (s[0] ?? 0);
  const cycles = Math.min(n / LEAST_READINGS, MOST_PERIODS / PER_CYCLE);
  // From one period to the next each reading's angle turns by as much: no sine is asked for again.
  const turned = (c: number) => kept.map((i) => (2 * Math.PI * c * (s[i] ?? 0)) / record);
  const [begin, turn] = [turned(OF_RECORD), turned(1 / PER_CYCLE)];
  const waves: Waves = {
    cos: Float64Array.from(begin, Math.cos),
    sin: Float64Array.from(begin, Math.sin),
    cosTurn: Float64Array.from(turn, Math.cos),
    sinTurn: Float64Array.from(turn, Math.sin),
  };
  let best = { period: 0, explained: 0 };
  for (let c = OF_RECORD; c <= cycles; c += 1 / PER_CYCLE) {
    const explained = explainedBy(waves, y);
    if (explained > best.explained) best = { period: record / c, explained };
  }
  const power = (n * best.explained) / (2 * Math.max(1e-300, all - best.explained));
  return best.explained > EXPLAINS * all && power > POWER ? best.period : null;
}

/** Columns of a swing for a linear fit: a wave and its first overtone, each as sine and cosine. */
export const wavesOf = (s: Float64Array, period: number): Float64Array<ArrayBuffer>[] =>
  Array.from({ length: OVERTONES }, (_, k) => (2 * Math.PI * (k + 1)) / period).flatMap((w) => [
    Float64Array.from(s, (t) => Math.sin(w * t)),
    Float64Array.from(s, (t) => Math.cos(w * t)),
  ]);

const CUBIC = 3;

/** A log of which the swing is taken out by its mean over one period, so that it does not look like falls; null where none swings. */
export function withoutSwing({ s, pa }: Columns): Columns | null {
  const n = s.length;
  const [first, record] = [s[0] ?? 0, (s[n - 1] ?? 0) - (s[0] ?? 0)];
  const powers = Array.from({ length: CUBIC + 1 }, (_, k) => Float64Array.from(s, (t) => ((t - first) / record) ** k));
  const product = (a: Float64Array, b: Float64Array) => a.reduce((sum, v, i) => sum + v * (b[i] ?? 0), 0);
  const course = solve({
    columns: powers.map((a) => powers.map((b) => product(a, b))),
    withMeasured: powers.map((a) => product(a, pa)),
    measured: product(pa, pa),
  });
  if (!course) return null;
  const left = pa.map(
    (p, i) => p - powers.reduce((sum, column, k) => sum + (column[i] ?? 0) * (course.values[k] ?? 0), 0),
  );
  const period = periodOf(s, left, new Float64Array(n).fill(1));
  if (period === null) return null;
  const calm = new Float64Array(n);
  let [from, to, sum] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    // Less on both sides alike where the log begins and ends.
    const half = Math.min(period / 2, (s[i] ?? 0) - first, (s[n - 1] ?? 0) - (s[i] ?? 0));
    while (to < n && (s[to] ?? 0) <= (s[i] ?? 0) + half + 1e-9) sum += pa[to++] ?? 0;
    while ((s[from] ?? 0) < (s[i] ?? 0) - half - 1e-9) sum -= pa[from++] ?? 0;
    while (to > i + 1 && (s[to - 1] ?? 0) > (s[i] ?? 0) + half + 1e-9) sum -= pa[--to] ?? 0;
    while (from > 0 && (s[from - 1] ?? 0) >= (s[i] ?? 0) - half - 1e-9) sum += pa[--from] ?? 0;
    calm[i] = sum / Math.max(1, to - from);
  }
  return { s, pa: calm };
}
