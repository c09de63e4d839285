import type { Stretch } from './stretches.js';

/** How often a material goes with a sign, per run. */
export interface MaterialRate {
  readonly materialId: string;
  readonly runs: number;
  /** Stretches with it in which the sign came about. */
  readonly came: number;
  /** Per run, drawn towards the house's usual rate where there are few runs; 10, 50 and 90 %. */
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
  /** Its rate is above the house's usual one, nine times in ten, and by more than an anecdote or two. */
  readonly standsOut: boolean;
  /** Clean runs in a row of it alone that would clear it, four times in five. */
  readonly runsToClear: number;
}

export interface Suspects {
  /** Per run, over all materials. */
  readonly usualRate: number;
  readonly stretches: number;
  /** The most suspect first. */
  readonly materials: readonly MaterialRate[];
}

/** What the house's usual rate counts for, in runs: with fewer of its own a material is mostly what all are. */
const USUAL_RUNS = 4;
/** One or two readings are anecdotes, however rare the sign is. */
const LEAST_CAME = 3;
const CLEARED = 0.2;
const ROUNDS = 60;
const STEPS = 400;

/** Stretches with the same runs and the same end: thousands of a large house are some dozens. */
interface Alike extends Stretch {
  readonly times: number;
}

function alikeOf(stretches: readonly Stretch[]): Alike[] {
  const found = new Map<string, Alike>();
  for (const { runs, came } of stretches) {
    const key = JSON.stringify([came, Object.entries(runs).sort(([a], [b]) => (a < b ? -1 : 1))]);
    found.set(key, { runs, came, times: (found.get(key)?.times ?? 0) + 1 });
  }
  return [...found.values()];
}

/** Chance per run that the sign comes about, if all materials were one. */
function pooledRate(alike: readonly Alike[]): number {
  const total = ({ runs }: Alike) => Object.values(runs).reduce((sum, n) => sum + n, 0);
  const all = alike.reduce((sum, s) => sum + s.times * total(s), 0);
  let rate = 0.2;
  for (let round = 0; round < ROUNDS; round++) {
    const caused = alike.reduce((sum, s) => {
      if (!s.came) return sum;
      const n = total(s);
      return sum + (s.times * n * rate) / (1 - (1 - rate) ** n);
    }, 0);
    // Half a case in one run more, so that a house without any is not certain of it.
    rate = (caused + 0.5) / (all + 1);
  }
  return rate;
}

const survives = (runs: Readonly<Record<string, number>>, rates: ReadonlyMap<string, number>, but?: string): number =>
  Object.entries(runs).reduce((p, [id, n]) => (id === but ? p : p * (1 - (rates.get(id) ?? 0)) ** n), 1);

/** Rates that explain the stretches best with the usual rate as a prior: a sign is shared out between the runs before it. */
function sharedOut(alike: readonly Alike[], runsOf: ReadonlyMap<string, number>, usual: number) {
  let rates = new Map([...runsOf.keys()].map((id) => [id, usual]));
  for (let round = 0; round < ROUNDS; round++) {
    const caused = new Map([...runsOf.keys()].map((id) => [id, 0]));
    for (const { runs, came, times } of alike) {
      if (!came) continue;
      const chance = 1 - survives(runs, rates);
      for (const [id, n] of Object.entries(runs))
        caused.set(id, (caused.get(id) ?? 0) + (times * n * (rates.get(id) ?? 0)) / chance);
    }
    rates = new Map(
      [...runsOf].map(([id, n]) => [id, ((caused.get(id) ?? 0) + USUAL_RUNS * usual) / (n + USUAL_RUNS)]),
    );
  }
  return rates;
}

/**
 * Which materials go with a sign: a leaky-or over the runs of each stretch (every run may bring it about by itself), each material's
 * rate with a Beta prior of the house's usual rate, so that a single anecdote moves little (partial pooling: Gelman et al., Bayesian
 * Data Analysis, 3rd ed. 2013, chapter 5). A material's own posterior is calculated on a grid with the others at their best rates.
 * @param stretches runs between two readings of the sign, of all pumps of the house
 * @returns rates per run with their 80 % intervals; an empty list without stretches
 */
export function suspectMaterials(stretches: readonly Stretch[]): Suspects {
  const alike = alikeOf(stretches);
  const runsOf = new Map<string, number>();
  for (const { runs, times } of alike)
    for (const [id, n] of Object.entries(runs)) runsOf.set(id, (runsOf.get(id) ?? 0) + times * n);
  const usualRate = pooledRate(alike);
  const rates = sharedOut(alike, runsOf, usualRate);
  const materials = [...runsOf].map(([materialId, runs]): MaterialRate => {
    const own = alike.filter((s) => s.runs[materialId]);
    const [p10, p50, p90] = quantiles(posterior(own, materialId, rates, usualRate), [0.1, 0.5, 0.9]) as [
      number,
      number,
      number,
    ];
    const came = own.reduce((sum, s) => sum + (s.came ? s.times : 0), 0);
    return {
      materialId,
      runs,
      came,
      p10,
      p50,
      p90,
      standsOut: p10 > usualRate && came >= LEAST_CAME,
      runsToClear: Math.max(1, Math.ceil(Math.log(CLEARED) / Math.log(1 - p50))),
    };
  });
  return {
    usualRate,
    stretches: stretches.length,
    materials: materials.sort((a, b) => b.p50 - a.p50 || a.materialId.localeCompare(b.materialId)),
  };
}

/** Weights of the rates (i + 0.5) / STEPS. */
function posterior(
  own: readonly Alike[],
  materialId: string,
  rates: ReadonlyMap<string, number>,
  usual: number,
): number[] {
  const seen = own.map((s) => ({
    runs: s.runs[materialId] ?? 0,
    came: s.came,
    times: s.times,
    others: survives(s.runs, rates, materialId),
  }));
  const logs = Array.from({ length: STEPS }, (_, i) => {
    const rate = (i + 0.5) / STEPS;
    const prior = (USUAL_RUNS * usual - 1) * Math.log(rate) + (USUAL_RUNS * (1 - usual) - 1) * Math.log(1 - rate);
    return seen.reduce((sum, { runs, came, times, others }) => {
      const none = others * (1 - rate) ** runs;
      return sum + times * Math.log(came ? 1 - none : none);
    }, prior);
  });
  const most = Math.max(...logs);
  return logs.map((log) => Math.exp(log - most));
}

function quantiles(weights: readonly number[], shares: readonly number[]): number[] {
  const sum = weights.reduce((total, w) => total + w, 0);
  return shares.map((share) => {
    let passed = 0;
    const place = weights.findIndex((w) => (passed += w) >= share * sum);
    return (place + 0.5) / weights.length;
  });
}
