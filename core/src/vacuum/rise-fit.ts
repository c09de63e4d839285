import { normalTail } from '../statistics/index.js';
import type { Columns } from './gauge-series.js';
import { solve, type LinearFit } from './least-squares.js';

/** One way in which a rise may have come about, and how much of the belief it has. */
export interface RiseWay {
  readonly weight: number;
  /** At the beginning. */
  readonly startPa: number;
  /** Of each step of the gauge. */
  readonly stepsPa: readonly number[];
  readonly leakPaPerS: number;
  readonly leakSigma: number;
  /** What rises and flattens: how far, and how fast. */
  readonly terms: readonly { readonly pa: number; readonly tauS: number }[];
  /** What of it was seen by the end, and how sure. */
  readonly flattensPa: number;
  readonly flattensSigma: number;
}

export interface RiseFit {
  /** The likeliest first. */
  readonly ways: readonly RiseWay[];
  /** Weighted sums of squares of the best fit without and with what flattens. */
  readonly chiSquared: { readonly straight: number; readonly both: number };
}

/** A term that needs more than so many times the record to flatten is a straight line in it. */
const LONGEST_TAU = 3;
/** The slower of two has to flatten within the record: otherwise any bend could be one of them and a straight line none. */
const LONGEST_OF_TWO = 1;
/** One that is flat within so many readings cannot be told from where it began. */
const SHORTEST_TAU_READINGS = 5;
/** Time constants of one term, and of each of two, in one pass; each pass looks closer at where the belief was. */
const OF_ONE = 32;
const OF_TWO = 10;
const PASSES = 4;
const ROUGH_PASSES = 2;
/** Belief in a time constant, against the likeliest, that is looked at closer. */
const LOOKED_AT = 1e-4;

const spaced = (from: number, to: number, n: number): number[] =>
  Array.from({ length: n }, (_, i) => from * (to / from) ** (i / (n - 1)));

/** Columns of a fit and their sums, made once for all time constants. */
class Sums {
  private readonly columns: Float64Array[] = [];
  private readonly known = new Map<number, number>();
  private readonly withMeasured: number[] = [];
  readonly measured: number;

  constructor(
    private readonly pa: Float64Array,
    private readonly weights: Float64Array,
    within: number,
  ) {
    this.measured = this.of(pa, pa) + within;
  }

  private of(a: Float64Array, b: Float64Array): number {
    let sum = 0;
    for (let i = 0; i < a.length; i++) sum += (this.weights[i] ?? 0) * (a[i] ?? 0) * (b[i] ?? 0);
    return sum;
  }

  add(column: Float64Array): number {
    this.columns.push(column);
    this.withMeasured.push(this.of(column, this.pa));
    return this.columns.length - 1;
  }

  private pair(i: number, j: number): number {
    const [low, high] = i < j ? [i, j] : [j, i];
    const key = low * 1000 + high;
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const sum = this.of(this.columns[low] ?? new Float64Array(), this.columns[high] ?? new Float64Array());
    this.known.set(key, sum);
    return sum;
  }

  /** @param precision one over the variance that is believed of each value before anything was read; 0 for any size */
  fit(of: readonly number[], precision: readonly number[]): LinearFit | null {
    return solve({
      columns: of.map((i, row) => of.map((j, c) => this.pair(i, j) + (row === c ? (precision[row] ?? 0) : 0))),
      withMeasured: of.map((i) => this.withMeasured[i] ?? 0),
      measured: this.measured,
    });
  }
}

/** Share of a normal distribution above nothing. */
const above = (mean: number, sigma: number): number => (sigma > 0 ? normalTail(-mean / sigma) : mean >= 0 ? 1 : 0);

/**
 * A rise of pressure as what leaks in, straight, and what flattens: p(t) = p0 + q t + Σ M_i (1 − exp(−t / τ_i)), none of them below
 * nothing. All time constants are tried, closer where they fit, and each has the weight of its evidence (Laplace's approximation with priors that favour
 * no size; MacKay 2003, Information Theory, Inference and Learning Algorithms, ch. 28), so that what the record
 * cannot tell apart stays apart in the ways that are returned.
 * @param input.columns seconds from 0 and Pa: readings, or means of some that follow each other
 * @param input.readings how many they are of
 * @param input.within what readings lie off their means, as a weighted sum of squares
 * @param input.weights one over the variance of each reading, 0 for one that is left out
 * @param input.inflation of the variance, where readings that follow each other err alike
 * @param input.steps columns of the gauge itself, fitted along: where it changed its range
 * @param input.closeness `rough` while it is told which readings count; `closer` to see what is left; `whole` tries two terms as well
 * @param input.slight how much leaks into a tight chamber, and flattens in a dry one: half the belief, before anything was read, is that this one is such
 */
export function fitRise(input: {
  columns: Columns;
  weights: Float64Array;
  readings: number;
  within: number;
  inflation: number;
  steps: readonly Float64Array[];
  slight: { readonly leakPaPerS: number; readonly flattensPa: number };
  closeness: 'rough' | 'closer' | 'whole';
}): RiseFit {
  const { columns, weights, inflation } = input;
  const { s, pa } = columns;
  const n = s.length;
  const lastS = s[n - 1] ?? 1;
  const highest = pa.reduce((a, b) => Math.max(a, b), 0);
  const sums = new Sums(pa, weights, input.within);
  const steps = input.steps.map((step) => sums.add(step));
  const one = sums.add(new Float64Array(n).fill(1));
  const time = sums.add(s.map((t) => t / lastS));
  const shortest = Math.min(Math.max((SHORTEST_TAU_READINGS * lastS) / input.readings, lastS / 200), lastS / 4);
  const range = Math.log((lastS * LONGEST_TAU) / shortest);

  // Each is believed to be of any size, or slight; of two terms neither is slight.
  const slight = { leak: input.slight.leakPaPerS * lastS, flattens: input.slight.flattensPa };
  const fitted = (taus: readonly number[], columnsOf: readonly number[]): Weighed[] =>
    [null, slight.leak].flatMap((leak) =>
      (taus.length === 1 ? [null, slight.flattens] : [null]).flatMap((flattens) => {
        const believed = [leak, ...taus.map(() => flattens)];
        const precision = [0, ...believed.map((by) => (by === null ? 0 : inflation / by ** 2))];
        const fit = sums.fit([one, time, ...columnsOf, ...steps], precision);
        return fit ? wayOf({ fit, taus, believed, lastS, highest, inflation }) : [];
      }),
    );
  const bend = (tau: number) => sums.add(s.map((t) => -Math.expm1(-t / tau)));

  const straight = fitted([], []);
  const singles = ofOneTerm();
  const pairs = input.closeness === 'whole' ? ofTwoTerms() : [];
  const ways = [...straight, ...singles, ...pairs];
  const most = Math.max(...ways.map((w) => w.logWeight));
  const weighed = ways.map((w) => ({ ...w, weight: Math.exp(w.logWeight - most) })).filter((w) => w.weight > 1e-4);
  const total = weighed.reduce((sum, w) => sum + w.weight, 0);
  const sorted = weighed
    .sort((a, b) => b.weight - a.weight)
    .map(({ logWeight: _, chiSquared: __, ...way }) => ({ ...way, weight: way.weight / total }));
  const legal = singles.filter((w) => w.leakPaPerS >= 0 && w.flattensPa >= 0).map((w) => w.chiSquared);
  const alone = straight[0]?.chiSquared ?? 0;
  return { ways: sorted, chiSquared: { straight: alone, both: Math.min(alone, ...legal) } };

  function ofOneTerm(): Weighed[] {
    let [from, to] = [shortest, lastS * LONGEST_TAU];
    let found: Weighed[] = [];
    const passes = input.closeness === 'rough' ? ROUGH_PASSES : PASSES;
    for (let pass = 0; pass < passes; pass++) {
      const taus = spaced(from, to, OF_ONE);
      const width = Math.log((taus[1] ?? 1) / (taus[0] ?? 1));
      found = taus.flatMap((tau) => fitted([tau], [bend(tau)])).map((w) => withPrior(w, width / range));
      if (found.length === 0) return [];
      const top = Math.max(...found.map((w) => w.logWeight));
      const kept = found.filter((w) => w.logWeight > top + Math.log(LOOKED_AT)).map((w) => w.terms[0]?.tauS ?? from);
      // Broad enough already: the grid tells the belief as it is.
      if (new Set(kept).size > OF_ONE / 4) break;
      [from, to] = [
        Math.max(shortest, Math.min(...kept) / Math.exp(width)),
        Math.min(lastS * LONGEST_TAU, Math.max(...kept) * Math.exp(width)),
      ];
    }
    return found;
  }

  function ofTwoTerms(): Weighed[] {
    let quick = { from: shortest, to: lastS * LONGEST_OF_TWO };
    let slow = quick;
    const longest = lastS * LONGEST_OF_TWO;
    let found: Weighed[] = [];
    for (let pass = 0; pass < PASSES; pass++) {
      const [quicks, slows] = [spaced(quick.from, quick.to, OF_TWO), spaced(slow.from, slow.to, OF_TWO)];
      const [a, b] = [quicks.map(bend), slows.map(bend)];
      const width = (taus: readonly number[]) => Math.log((taus[1] ?? 1) / (taus[0] ?? 1));
      // Which of two comes first is no second way.
      const prior = (2 * width(quicks) * width(slows)) / (range * range);
      found = quicks
        .flatMap((tau1, i) =>
          slows.flatMap((tau2, j) => (tau2 > tau1 * 1.5 ? fitted([tau1, tau2], [a[i] ?? 0, b[j] ?? 0]) : [])),
        )
        .map((w) => withPrior(w, prior));
      if (found.length === 0) return [];
      const top = Math.max(...found.map((w) => w.logWeight));
      const kept = found.filter((w) => w.logWeight > top + Math.log(LOOKED_AT));
      if (kept.length > (OF_TWO * OF_TWO) / 3) break;
      const around = (k: 0 | 1, by: number) => {
        const taus = kept.map((w) => w.terms[k]?.tauS ?? shortest);
        return {
          from: Math.max(shortest, Math.min(...taus) / Math.exp(by)),
          to: Math.min(longest, Math.max(...taus) * Math.exp(by)),
        };
      };
      [quick, slow] = [around(0, width(quicks)), around(1, width(slows))];
    }
    return found;
  }
}

type Weighed = RiseWay & { readonly logWeight: number; readonly chiSquared: number };
const withPrior = (way: Weighed, share: number): Weighed => ({ ...way, logWeight: way.logWeight + Math.log(share) });

const DECADES = 4;
/** Standard deviations below nothing at which a figure that cannot be is no way at all. */
const CANNOT_BE = 4;

/** One fit as a way, with the logarithm of its evidence; none where something would be below nothing. */
function wayOf(input: {
  fit: LinearFit;
  taus: readonly number[];
  /** Of the leak and of each term: half a normal distribution of this width, or any size. */
  believed: readonly (number | null)[];
  lastS: number;
  highest: number;
  inflation: number;
}): Weighed[] {
  const { fit, taus, believed, lastS, highest, inflation } = input;
  const { values, chiSquared } = fit;
  const covariance = (i: number, j: number) => (fit.covariance[i * values.length + j] ?? 0) * inflation;
  const sigma = (i: number) => Math.sqrt(covariance(i, i));
  if (believed.some((_, k) => (values[1 + k] ?? 0) < -CANNOT_BE * sigma(1 + k))) return [];
  const prior = (by: number | null, k: number): number => {
    const [value, spread] = [values[1 + k] ?? 0, sigma(1 + k)];
    const cutOff = Math.log(above(value, spread) + 1e-300);
    if (by !== null) return cutOff + Math.log(2 / (by * Math.sqrt(2 * Math.PI)));
    // A leak is as likely between 1 and 2 as between 10 and 20, over four decades; what flattens has any part of the highest pressure.
    return cutOff - Math.log(k === 0 ? DECADES * Math.LN10 * Math.max(value, spread) : highest);
  };
  const seen = taus.map((tau) => -Math.expm1(-lastS / tau));
  const terms = taus.map((tauS, k) => ({ tauS, pa: values[2 + k] ?? 0 }));
  const variance = seen.reduce(
    (sum, a, i) => sum + seen.reduce((row, b, j) => row + a * b * covariance(2 + i, 2 + j), 0),
    0,
  );
  const logWeight =
    -chiSquared / (2 * inflation) -
    fit.logDeterminant / 2 +
    (values.length / 2) * Math.log(2 * Math.PI * inflation) +
    believed.reduce<number>((sum, by, k) => sum + prior(by, k), 0);
  return [
    {
      weight: 0,
      logWeight,
      chiSquared,
      startPa: values[0] ?? 0,
      stepsPa: values.slice(2 + taus.length),
      leakPaPerS: (values[1] ?? 0) / lastS,
      leakSigma: sigma(1) / lastS,
      terms,
      flattensPa: terms.reduce((sum, { pa }, k) => sum + pa * (seen[k] ?? 0), 0),
      flattensSigma: Math.sqrt(variance),
    },
  ];
}

/** The pressure that a way gives, without the steps of the gauge. */
export const riseAt = ({ startPa, leakPaPerS, terms }: RiseWay, s: number): number =>
  terms.reduce((sum, { pa, tauS }) => sum - pa * Math.expm1(-s / tauS), startPa + leakPaPerS * s);
