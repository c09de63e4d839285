import type { GaugeKind } from '../journal/index.js';
import type { PumpDownVerdict, RiseVerdict } from '../vacuum/index.js';

/** Made-up gauge logs of which everything is known: by formulas and an integration of their own, apart from what judges them. */
export interface MadeRise {
  readonly points: readonly { readonly s: number; readonly pa: number }[];
  readonly volumeL: number;
  readonly gauge: GaugeKind;
  readonly truth: Exclude<RiseVerdict, 'undecided'>;
  readonly leakPaM3PerS: number;
  /** Whether the right model, linear in all but its time constant, could tell it with that much scatter. */
  readonly canBeTold: boolean;
}

type Uniform = () => number;
const normal = (uniform: Uniform): number =>
  Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
const between = (uniform: Uniform, from: number, to: number): number => from * (to / from) ** uniform();

const THERMAL = 1.6;
const LEAK_LIMIT_PA_PER_S = 2 / 3600;

/** Inverse by elimination with the largest as pivot. */
function inverted(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length;
  const a = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  for (let i = 0; i < n; i++) {
    const pivot = a.slice(i).reduce((best, row, k) => (Math.abs(row[i]!) > Math.abs(a[best]![i]!) ? k + i : best), i);
    [a[i], a[pivot]] = [a[pivot]!, a[i]!];
    const by = a[i]![i]! || 1e-300;
    a[i] = a[i]!.map((v) => v / by);
    for (let k = 0; k < n; k++) if (k !== i) a[k] = a[k]!.map((v, j) => v - a[k]![i]! * a[i]![j]!);
  }
  return a.map((row) => row.slice(n));
}

/** A chamber of 5 to 5000 L, for ten minutes to an hour: tight or not, dry or not, with scatter, spikes and changes of the gauge's range. */
export function madeRise(uniform: Uniform): MadeRise {
  const [volumeL, lastS, n] = [
    between(uniform, 5, 5000),
    between(uniform, 600, 3600),
    Math.round(between(uniform, 100, 2000)),
  ];
  const [leaks, wet] = [uniform() < 0.5, uniform() < 0.5];
  const limit = LEAK_LIMIT_PA_PER_S;
  const q = leaks ? between(uniform, 3 * limit, 300 * limit) : between(uniform, limit / 50, limit / 4);
  const most = between(uniform, 6, 400);
  const flattens = wet ? Math.max(most, leaks ? 0.3 * q * lastS : 0) : between(uniform, 0.05, 0.5);
  const tau = between(uniform, lastS / 15, lastS / 2.5);
  const start = between(uniform, 1, 20);
  const [share, floor] = [between(uniform, 0.002, 0.03), between(uniform, 0.001, 0.02)];
  const gauge = uniform() < 0.3 ? 'thermal' : 'capacitance';
  const shown = gauge === 'thermal' ? THERMAL : 1;
  const spikes = uniform() < 0.4 ? 0.01 : 0;
  const step = uniform() < 0.2 ? { at: (0.2 + 0.6 * uniform()) * lastS, by: uniform() < 0.5 ? 0.97 : 1.03 } : null;
  const times = Array.from({ length: n }, (_, i) => (i * lastS) / (n - 1));
  const trueAt = (t: number) => start + q * t + flattens * shown * (1 - Math.exp(-t / tau));
  const points = times.map((s) => {
    const stepped = trueAt(s) * (step && s > step.at ? step.by : 1);
    const read = stepped * (1 + share * normal(uniform)) + floor * normal(uniform);
    return { s, pa: Math.max(1e-3, uniform() < spikes ? read * between(uniform, 0.2, 8) : read) };
  });
  const columns = (t: number) => {
    const e = Math.exp(-t / tau);
    return [1, t, 1 - e, (-flattens * shown * t * e) / tau];
  };
  const sums = [0, 1, 2, 3].map((i) =>
    [0, 1, 2, 3].map((j) =>
      times.reduce((sum, t) => {
        const c = columns(t);
        return sum + (c[i]! * c[j]!) / ((share * trueAt(t)) ** 2 + floor ** 2);
      }, 0),
    ),
  );
  const covariance = inverted(sums);
  const [leakSigma, flattensSigma] = [Math.sqrt(covariance[1]![1]!), Math.sqrt(covariance[2]![2]!) / shown];
  const wetFrom = Math.max(2, 0.1 * (q * lastS + flattens));
  return {
    points,
    // Known to ten percent, nine times in ten.
    volumeL: volumeL * (1 + 0.0608 * normal(uniform)),
    gauge,
    truth: leaks ? (wet ? 'leakAndMoisture' : 'leak') : wet ? 'moisture' : 'tight',
    leakPaM3PerS: (q * volumeL) / 1000,
    canBeTold: Math.abs(q - limit) > 2.5 * leakSigma && Math.abs(flattens - wetFrom) > 2.5 * flattensSigma,
  };
}

export interface MadePumpDown {
  readonly points: readonly { readonly s: number; readonly pa: number }[];
  readonly volumeL: number;
  readonly ratedM3h: number;
  readonly truth: Exclude<PumpDownVerdict, 'undecided'>;
  readonly speedM3h: number;
  readonly leakPaM3PerS: number;
}

const KINDS = ['asGood', 'leak', 'wornOrDirty', 'restriction', 'moisture'] as const;

/** A chamber of 10 to 1000 L behind a pump of 3 to 100 m³/h, from the air around to near its end, by Runge and Kutta's fourth order. */
export function madePumpDown(uniform: Uniform): MadePumpDown {
  const truth = KINDS[Math.floor(uniform() * KINDS.length)] ?? 'asGood';
  const [volume, rated] = [between(uniform, 0.01, 1), between(uniform, 3, 100) / 3600];
  const lastS = (volume / rated) * between(uniform, 25, 80);
  const n = Math.round(between(uniform, 200, 1500));
  const own = between(uniform, 0.2, 0.8);
  const worn = truth === 'wornOrDirty';
  const speed = worn ? rated * (0.3 + 0.35 * uniform()) : rated * (0.9 + 0.15 * uniform());
  const ultimate = worn ? own * between(uniform, 8, 100) : own;
  const leak = rated * own * (truth === 'leak' ? between(uniform, 6, 100) : 0.05);
  const narrow = truth === 'restriction' ? rated * between(uniform, 0.02, 0.2) : Infinity;
  const wet =
    truth === 'moisture' ? { pa: between(uniform, 600, 2300), rate: rated * between(uniform, 0.5, 10) } : null;
  let left = wet ? wet.pa * Math.min(wet.rate, rated) * lastS * between(uniform, 0.1, 2) : 0;
  const gas = rated * own * lastS * between(uniform, 0.002, 0.1);
  const speedAt = (pa: number) => 1 / (1 / speed + 1 / (narrow * (1 + pa / 5.6)));
  const boils = (pa: number) => (wet && left > 0 ? Math.max(0, wet.rate * (wet.pa - pa)) : 0);
  const slope = (t: number, pa: number) => (-speedAt(pa) * (pa - ultimate) + leak + gas / (t + 1) + boils(pa)) / volume;
  const share = between(uniform, 0.003, 0.03);
  let [t, pa] = [0, 101_325];
  const points = Array.from({ length: n }, (_, i) => {
    const s = (i * lastS) / (n - 1);
    while (t < s - 1e-9) {
      const h = Math.min(s - t, (0.1 * volume) / Math.max(speedAt(pa), wet?.rate ?? 0));
      const a = slope(t, pa);
      const b = slope(t + h / 2, pa + (h / 2) * a);
      const c = slope(t + h / 2, pa + (h / 2) * b);
      const d = slope(t + h, pa + h * c);
      pa += (h / 6) * (a + 2 * b + 2 * c + d);
      left -= boils(pa) * h;
      t += h;
    }
    return { s, pa: pa * (1 + share * normal(uniform)) * (uniform() < 0.003 ? 3 : 1) };
  });
  return {
    points,
    volumeL: volume * 1000 * (1 + 0.0608 * normal(uniform)),
    ratedM3h: rated * 3600,
    truth,
    speedM3h: speed * 3600,
    leakPaM3PerS: leak,
  };
}
