import { inStretches, type Columns } from './gauge-series.js';
import { levenbergMarquardt, type Fitted } from './levenberg-marquardt.js';
import { logPressures, type Between, type PumpDownWay } from './pump-down-model.js';
import { likeness } from './residuals.js';
import { scatterOf } from './scatter.js';
import { spikesIn } from './spikes-and-steps.js';

/** Chi squared that a narrow place or a wet load has to take away to be believed: of two and three more parameters, far beyond chance. */
const BELIEVED = 30;

const STRETCHES = 300;
/** Below this share of the highest the pump has begun. */
const BEGUN = 0.97;
/** Back up by so much the valve was opened, or the pump stopped. */
const BACK_UP = 3;

/** From the last reading near the highest to where it rises again for good. */
export function fallingPart(all: Columns): readonly [from: number, to: number] {
  const { pa, first } = inStretches(all, Math.min(STRETCHES, Math.max(8, Math.floor(all.s.length / 5))));
  const highest = Math.max(...pa, 0);
  const begins = pa.findLastIndex((p, i) => p >= BEGUN * highest && i < pa.length - 1);
  let lowest = begins;
  let to = pa.length;
  for (let i = Math.max(0, begins); i < pa.length; i++) {
    if ((pa[i] ?? 0) < (pa[lowest] ?? Infinity)) lowest = i;
    if ((pa[i] ?? 0) > BACK_UP * (pa[lowest] ?? Infinity) && (pa[i] ?? 0) > (pa[lowest] ?? 0) + 5) {
      to = lowest + 1;
      break;
    }
  }
  const end = to >= first.length ? all.s.length : (first[to] ?? all.s.length);
  let from = first[Math.max(0, begins)] ?? 0;
  const top = Math.max(...all.pa.subarray(from, Math.min(end, from + 20)));
  while (from + 1 < end && (all.pa[from + 1] ?? 0) >= BEGUN * top) from += 1;
  return [from, end];
}

interface Found {
  readonly way: PumpDownWay;
  /** Of the logarithms. */
  readonly sigmas: { readonly speed: number; readonly base: number };
  readonly spikes: readonly number[];
  readonly scatter: number;
  readonly endPa: number;
}

const LOG = Math.log;

type Kind = 'plain' | 'seeping' | 'narrow' | 'wet';
interface Reading {
  readonly seconds: Float64Array;
  readonly logs: Float64Array;
  readonly weights: Float64Array;
}

/** Readings, or medians of stretches of them, from which it is told which kind it is. */
const TOLD_BY = 500;

/** The simplest way that explains a pump-down nearly as well as the closest: plain, with walls that seep, with something narrow, or with a wet load. */
export function fitPumpDown(input: {
  seconds: Float64Array;
  pa: Float64Array;
  volumeM3: number;
  hose: Between | null;
  ratedM3s: number;
}): Found {
  const { seconds, pa, volumeM3, hose } = input;
  const logs = pa.map((p) => LOG(p));
  // Away from nothing, where a share would mean nothing.
  const raised = { s: seconds, pa: logs.map((m) => m + 40) };
  const spiky = spikesIn(raised, scatterOf(raised));
  const all: Reading = { seconds, logs, weights: new Float64Array(pa.length).map((_, i) => (spiky[i] ? 0 : 1)) };
  const few = stretched(all);
  const { starts, low, high } = whereToStart(input);
  const model = (values: readonly number[], kind: Kind, of: Reading) =>
    logPressures(wayOf(values, kind), { seconds: of.seconds, volumeM3, hose });
  const fit = (kind: Kind, start: readonly number[], of: Reading): Fitted =>
    levenbergMarquardt({
      model: (values) => model(values, kind, of),
      measured: of.logs,
      weights: of.weights,
      start,
      low: low(kind),
      high: high(kind),
    });
  const tried = starts.map(([kind, start]) => ({ kind, fit: fit(kind, start, few) }));
  const closest = tried.reduce((a, b) => (b.fit.chiSquared < a.fit.chiSquared ? b : a));
  const unit = spreadOf(closest.kind, closest.fit.values, few) ** 2;
  const enough = closest.fit.chiSquared + BELIEVED * unit;
  const simplest = tried
    .filter((t) => t.kind === 'plain')
    .reduce((a, b) => (b.fit.chiSquared < a.fit.chiSquared ? b : a));
  const { kind, fit: first } = simplest.fit.chiSquared <= enough ? simplest : closest;
  // Then on all readings, without those that lie far off.
  const off = spreadOf(kind, first.values, all);
  const rough = model(first.values, kind, all);
  all.weights.forEach((_, i) => {
    if (Math.abs((logs[i] ?? 0) - (rough[i] ?? 0)) > 6 * off) all.weights[i] = 0;
  });
  const best = fit(kind, first.values, all);
  const scatter = spreadOf(kind, best.values, all);
  const modelled = model(best.values, kind, all);
  const inflated =
    scatter *
    Math.sqrt(
      likeness(
        logs.map((m, i) => m - (modelled[i] ?? 0)),
        all.weights,
      ),
    );
  const sigma = (i: number) => (best.covariance ? Math.sqrt(Math.max(0, best.covariance[i]?.[i] ?? 0)) * inflated : 1);
  return {
    way: wayOf(best.values, kind),
    sigmas: { speed: sigma(0), base: sigma(1) },
    spikes: [...all.weights].flatMap((w, i) => (w === 0 ? [i] : [])),
    scatter,
    endPa: Math.exp(modelled.at(-1) ?? 0),
  };

  /** Standard deviation of what is left, by its median. */
  function spreadOf(of: Kind, values: readonly number[], reading: Reading): number {
    const now = model(values, of, reading);
    const left = reading.logs
      .map((m, i) => Math.abs(m - (now[i] ?? 0)))
      .filter((_, i) => (reading.weights[i] ?? 0) > 0);
    return Math.max(1e-4, (left.sort()[left.length >> 1] ?? 0) * 1.4826);
  }
}

/** Means of stretches without their spikes; the readings themselves where they are few. */
function stretched(all: Reading): Reading {
  const every = Math.ceil(all.seconds.length / TOLD_BY);
  if (every === 1) return all;
  const found: { s: number; log: number }[] = [];
  for (let from = 0; from < all.seconds.length; from += every) {
    let [s, log, n] = [0, 0, 0];
    for (let i = from; i < Math.min(from + every, all.seconds.length); i++) {
      if (!all.weights[i]) continue;
      [s, log, n] = [s + (all.seconds[i] ?? 0), log + (all.logs[i] ?? 0), n + 1];
    }
    if (n > 0) found.push({ s: s / n, log: log / n });
  }
  return {
    seconds: Float64Array.from(found, (f) => f.s),
    logs: Float64Array.from(found, (f) => f.log),
    weights: new Float64Array(found.length).fill(1),
  };
}

/** First guesses of each kind, and what their logarithms stay between. */
function whereToStart({ seconds, pa, volumeM3, ratedM3s }: Parameters<typeof fitPumpDown>[0]) {
  const lowest = Math.max(1e-4, Math.min(...inStretches({ s: seconds, pa }, 60).pa));
  const last = seconds.at(-1) ?? 1;
  const first = pa[0] ?? 1;
  const speed = guessedSpeed(seconds, pa, volumeM3);
  const plain = (base: number) => [LOG(speed), LOG(lowest * base), LOG(lowest * ratedM3s * last * 0.02), LOG(first)];
  const seeping = (base: number) =>
    plain(base).map((v, i) => (i === 2 ? LOG(lowest * ratedM3s * Math.sqrt(last) * 0.5) : v));
  const level = plateauOf({ s: seconds, pa }, speed / volumeM3);
  const starts: readonly (readonly [Kind, readonly number[]])[] = [
    ['plain', plain(0.9)],
    ['plain', plain(0.2)],
    ['seeping', seeping(0.2)],
    ...[0.02, 0.08, 0.4].map((c) => ['narrow', [...plain(0.6), LOG(ratedM3s * c)]] as const),
    ...(level === null ? [] : [1, 4]).map((times) => {
      const [pa = 1, forS = 1] = level ?? [];
      return ['wet', [...plain(0.9), LOG(pa * (1 + 1 / times)), LOG(speed * times), LOG(pa * speed * forS)]] as const;
    }),
  ];
  const bounds: Readonly<Record<Kind, readonly (readonly [number, number])[]>> = {
    plain: [],
    seeping: [],
    narrow: [[LOG(ratedM3s / 300), LOG(ratedM3s * 20)]],
    wet: [
      [LOG(1), LOG(5000)],
      [LOG(ratedM3s / 100), LOG(ratedM3s * 1000)],
      [LOG(1e-9), LOG(1e7)],
    ],
  };
  const common = [
    [LOG(ratedM3s / 100), LOG(ratedM3s * 20)],
    [LOG(1e-4), LOG(2e5)],
    [LOG(1e-12), LOG(1e5)],
    [LOG(first / 3), LOG(first * 3)],
  ] as const;
  return {
    starts,
    low: (kind: Kind) => [...common, ...bounds[kind]].map(([from]) => from),
    high: (kind: Kind) => [...common, ...bounds[kind]].map(([, to]) => to),
  };
}

function wayOf(values: readonly number[], kind: Kind): PumpDownWay {
  const [speed = 0, base = 0, outgassing = 0, start = 0, a = 0, b = 0, c = 0] = values.map(Math.exp);
  return {
    speedM3s: speed,
    basePa: base,
    outgassing,
    outgassingPower: kind === 'seeping' ? 0.5 : 1,
    startPa: start,
    narrowM3s: kind === 'narrow' ? a : null,
    wet: kind === 'wet' ? { vapourPa: a, rateM3s: b, amount: c } : null,
  };
}

/** Falling this share as fast as an empty chamber would, and slower: something boils there. */
const STANDS = 0.3;

/** Where the pressure stood longest, far above where it came to in the end, and how long; null where it did nowhere. */
function plateauOf(all: Columns, ratePerS: number): readonly [pa: number, forS: number] | null {
  const { s, pa } = inStretches(all, 80);
  const lowest = Math.min(...pa);
  let best: readonly [number, number] | null = null;
  let from = 0;
  for (let i = 1; i < s.length; i++) {
    const fall = LOG((pa[i - 1] ?? 1) / (pa[i] ?? 1)) / Math.max(1e-9, (s[i] ?? 0) - (s[i - 1] ?? 0));
    if (fall > STANDS * ratePerS || (pa[i] ?? 0) > 5000) from = i;
    else if ((pa[i] ?? 0) > 4 * lowest || i === s.length - 1) {
      const forS = (s[i] ?? 0) - (s[from] ?? 0);
      const middle = pa[(from + i) >> 1] ?? 1;
      if (middle > 4 * lowest || middle > 100) if (!best || forS > best[1]) best = [middle, forS];
    }
  }
  return best;
}

/** From where it has fallen to a tenth. */
function guessedSpeed(seconds: Float64Array, pa: Float64Array, volumeM3: number): number {
  const first = pa[0] ?? 1;
  const at = pa.findIndex((p) => p < first / 10);
  const i = at > 0 ? at : pa.length - 1;
  return (volumeM3 * Math.max(0.05, LOG(first / (pa[i] ?? 1)))) / Math.max(1e-3, seconds[i] ?? 1);
}
