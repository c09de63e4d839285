import { averaged, cut, type Columns } from './gauge-series.js';
import { likeness, spreadOf } from './residuals.js';
import { fitRise, riseAt, type RiseFit } from './rise-fit.js';
import { scatterOf, sigmaAt } from './scatter.js';
import { periodOf, wavesOf } from './swing.js';
import { spikesIn, stepsIn } from './spikes-and-steps.js';

export interface PartFit {
  readonly fit: RiseFit;
  readonly spikes: readonly number[];
  readonly steps: readonly number[];
  readonly scatterShare: number;
  readonly cutFrom: number;
  readonly cutTo: number;
  readonly isShort: boolean;
  /** It swings with a period of its own, which is fitted along. */
  readonly swings: boolean;
}

const ROUNDS = 2;
const LEFT_OUT_AT = 5;
/** A bend the wrong way that makes the fit so much better, in units of chi squared, is something that was moved. */
const MOVED = 40;

/** A rise fitted without its spikes, with the steps of its gauge, up to where something was moved. */
export function fitPart(
  part: Columns,
  slight: { leakPaPerS: number; flattensPa: number },
  cutFrom = 0,
  cutTo = part.s.length,
  again = false,
): PartFit {
  const columns = cut(part, cutFrom, cutTo);
  const start = columns.s[0] ?? 0;
  const zeroed: Columns = { s: columns.s.map((t) => t - start), pa: columns.pa };
  const scatter = scatterOf(zeroed);
  const spiky = spikesIn(zeroed, scatter);
  let stepsAt = stepsIn(zeroed, scatter);
  let steps = stepsAt.map((at) => zeroed.pa.map((_, i) => (i >= at ? 1 : 0)));
  const sigma = zeroed.pa.map((p) => sigmaAt(scatter, p));
  const weights = sigma.map((v, i) => (spiky[i] || !(v > 0) ? 0 : 1 / (v * v)));
  let fit = fitRise({ ...inBlocks(zeroed, weights, steps), inflation: 1, slight, closeness: 'rough' });
  let residuals = new Float64Array(zeroed.s.length);
  let inflation = 1;
  let waves: Float64Array<ArrayBuffer>[] = [];
  let rounds = ROUNDS;
  for (let round = 0; round < rounds; round++) {
    const [best] = fit.ways;
    if (!best) break;
    residuals = zeroed.pa.map((p, i) => {
      const stepped = steps.reduce((sum, step, k) => sum + (step[i] ?? 0) * (best.stepsPa[k] ?? 0), 0);
      return (p - riseAt(best, zeroed.s[i] ?? 0) - stepped) / (sigma[i] || 1);
    });
    // Where it climbs steeply a change of range shows in what is left alone.
    if (round === 0 && stepsAt.length === 0) stepsAt = stepsIn({ s: zeroed.s, pa: residuals }, { pa: 1, share: 0 });
    const scale = Math.max(1, spreadOf(residuals, weights));
    // The scatter grows with the pressure as it is, not as one reading has it.
    const model = zeroed.s.map((s) => sigmaAt(scatter, riseAt(best, s)));
    for (let i = 0; i < weights.length; i++) {
      const off = Math.abs(residuals[i] ?? 0) > LEFT_OUT_AT * scale || spiky[i] === 1;
      weights[i] = off || !((model[i] ?? 0) > 0) ? 0 : 1 / (model[i] ?? 1) ** 2;
    }
    inflation = scale * scale * likeness(residuals, weights);
    if (waves.length === 0) {
      const period = periodOf(zeroed.s, residuals, weights);
      if (period !== null) {
        waves = wavesOf(zeroed.s, period);
        // Once it is taken out, there are others that lie off.
        rounds += 1;
        inflation = 1;
      }
    }
    // Another range shows a share more or less.
    steps = [...stepsAt.map((at) => zeroed.s.map((s, i) => (i >= at ? riseAt(best, s) : 0))), ...waves];
    const closeness = round === rounds - 1 ? 'whole' : 'closer';
    fit = fitRise({ ...inBlocks(zeroed, weights, steps), inflation, slight, closeness });
  }
  const moved = again ? null : movedAt(zeroed, residuals, weights, inflation);
  if (moved !== null) {
    const [before, after] = [moved, zeroed.s.length - moved];
    return before >= after
      ? fitPart(part, slight, cutFrom, cutFrom + moved, true)
      : fitPart(part, slight, cutFrom + moved, cutTo, true);
  }
  const [best] = fit.ways;
  const middle = best ? riseAt(best, (zeroed.s.at(-1) ?? 0) / 2) : 1;
  return {
    fit,
    spikes: [...weights].flatMap((w, i) => (w === 0 ? [i + cutFrom] : [])),
    steps: stepsAt.map((i) => i + cutFrom),
    scatterShare: (sigmaAt(scatter, middle) / middle) * Math.max(1, spreadOf(residuals, weights)),
    cutFrom,
    cutTo,
    swings: waves.length > 0,
    isShort: (zeroed.s.at(-1) ?? 0) < 3 * Math.max(...(best?.terms.map((t) => t.tauS) ?? [0]), 200),
  };
}

/** More than enough for a bend that takes a two-hundredth of the record. */
const BLOCKS = 400;

/**
 * Weighted means of readings that follow each other, which a fit of all of them hardly differs from: what is straight within a block is kept
 * exactly, and what bends is off by a part of a hundred thousandth.
 */
function inBlocks({ s, pa }: Columns, weights: Float64Array, steps: readonly Float64Array[]) {
  const readings = s.length;
  const every = Math.max(1, Math.ceil(readings / BLOCKS));
  if (every === 1) return { columns: { s, pa }, weights, steps, readings, within: 0 };
  const n = Math.ceil(readings / every);
  const columns = { s: new Float64Array(n), pa: new Float64Array(n) };
  const sums = new Float64Array(n);
  const stepped = steps.map(() => new Float64Array(n));
  let within = 0;
  for (let b = 0; b < n; b++) {
    const [from, to] = [b * every, Math.min(readings, (b + 1) * every)];
    let w = 0;
    let ws = 0;
    let wp = 0;
    let wpp = 0;
    for (let i = from; i < to; i++) {
      const weight = weights[i] ?? 0;
      const p = pa[i] ?? 0;
      w += weight;
      ws += weight * (s[i] ?? 0);
      wp += weight * p;
      wpp += weight * p * p;
    }
    sums[b] = w;
    columns.s[b] = w > 0 ? ws / w : (s[from] ?? 0);
    columns.pa[b] = w > 0 ? wp / w : (pa[from] ?? 0);
    if (w > 0) within += Math.max(0, wpp - (wp * wp) / w);
    for (const [k, step] of steps.entries()) {
      let sum = 0;
      for (let i = from; i < to; i++) sum += (weights[i] ?? 0) * (step[i] ?? 0);
      stepped[k]![b] = w > 0 ? sum / w : (step[from] ?? 0);
    }
  }
  return { columns, weights: sums, steps: stepped, readings, within };
}

const HINGES = 24;

/** Where the rise turned from one straight course into another, as when a valve is moved: the best hinge in what is left; null where none is. */
function movedAt({ s }: Columns, residuals: Float64Array, weights: Float64Array, inflation: number): number | null {
  const n = s.length;
  let best: { readonly at: number; readonly better: number } | null = null;
  const kept = residuals.map((r, i) => (weights[i] ? r : 0));
  const { columns, every } = averaged({ s, pa: kept }, BLOCKS, new Uint8Array(n));
  for (let k = 1; k < HINGES; k++) {
    const at = Math.floor((n * k) / HINGES);
    // What is left after a straight line and the hinge, with a line fitted along on both.
    const better = (every * hingeGain(columns.s, columns.pa, Math.floor(at / every))) / inflation;
    if (better > MOVED && (!best || better > best.better)) best = { at, better };
  }
  return best?.at ?? null;
}

/** Fall of the sum of squares by a hinge beside a straight line. */
function hingeGain(s: Float64Array, residuals: Float64Array, at: number): number {
  const n = s.length;
  const hinge = s.map((t) => Math.max(0, t - (s[at] ?? 0)));
  const mean = (v: Float64Array) => v.reduce((a, b) => a + b, 0) / n;
  const [ms, mh, mr] = [mean(s), mean(hinge), mean(residuals)];
  let ss = 0;
  let sh = 0;
  let hh = 0;
  let sr = 0;
  let hr = 0;
  for (let i = 0; i < n; i++) {
    const a = (s[i] ?? 0) - ms;
    const b = (hinge[i] ?? 0) - mh;
    const c = (residuals[i] ?? 0) - mr;
    ss += a * a;
    sh += a * b;
    hh += b * b;
    sr += a * c;
    hr += b * c;
  }
  const left = hh - (sh * sh) / ss;
  const along = hr - (sh * sr) / ss;
  return left > 0 ? (along * along) / left : 0;
}
