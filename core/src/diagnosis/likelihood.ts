import { CAUSE_IDS, causeOf } from './causes-in-order.js';
import { column, LAST, PARENT, SETS } from './cause-sets.js';
import { FINDINGS, type FindingId } from './all-findings.js';
import type { Finding } from './finding.js';

/** How often a cause brings the states of one sign about: one number per state, the first being what is left for the usual state. */
type States = readonly number[];

const finding = (id: FindingId): Finding => FINDINGS[id];

/** Numbers of one sign: its background, and the causes that bring a state of it about. */
interface SignNumbers {
  readonly states: readonly string[];
  readonly baseRate: States;
  readonly byCause: ReadonlyMap<number, States>;
}

const withRest = (states: readonly string[], of: (state: string) => number): States => {
  const others = states.slice(1).map(of);
  return [1 - others.reduce((sum, p) => sum + p, 0), ...others];
};

function numbersOf(id: FindingId): SignNumbers {
  const { states: named, baseRate } = finding(id);
  const states = Object.keys(named);
  const byCause = new Map<number, States>();
  CAUSE_IDS.forEach((cause, i) => {
    const links = causeOf(cause).brings.filter((link) => link.finding === id);
    if (links.length > 0)
      byCause.set(
        i,
        withRest(states, (state) => links.find((link) => link.state === state)?.sensitivity ?? 0),
      );
  });
  return { states, baseRate: withRest(states, (state) => baseRate[state] ?? 0), byCause };
}

const SIGNS = new Map<FindingId, SignNumbers>(
  (Object.keys(FINDINGS) as FindingId[]).filter((id) => finding(id).kind === 'sign').map((id) => [id, numbersOf(id)]),
);

/**
 * How likely each state of a sign is when exactly these causes are at work: the usual state stays when neither the background nor
 * any cause moves it (noisy-OR: Pearl, Probabilistic Reasoning in Intelligent Systems, 1988, section 4.3.2); of the other states
 * each comes up in proportion to what speaks for it.
 * @param causes places in {@link CAUSE_IDS}
 * @returns one probability per state, in the order of the finding's states; they add to 1
 */
export function stateProbabilities(id: FindingId, causes: readonly number[]): number[] {
  const numbers = SIGNS.get(id);
  if (!numbers) throw new RangeError(`finding: ${id} is a condition; only signs follow from causes`);
  const { baseRate, byCause } = numbers;
  let stays = baseRate[0] ?? 1;
  const weights = [...baseRate];
  for (const cause of causes) {
    const own = byCause.get(cause);
    if (!own) continue;
    stays *= own[0] ?? 1;
    for (let s = 1; s < weights.length; s++) weights[s] = (weights[s] ?? 0) + (own[s] ?? 0);
  }
  const sum = weights.slice(1).reduce((total, w) => total + w, 0);
  return weights.map((w, s) => (s === 0 ? stays : sum > 0 ? ((1 - stays) * w) / sum : 0));
}

const placeOf = (id: FindingId, state: string): number => Object.keys(finding(id).states).indexOf(state);

const known = new Map<string, Float64Array>();

/**
 * How likely a state of a sign is with each set of causes: what {@link stateProbabilities} says, calculated once for all sets, each
 * from the set that it extends.
 */
export function likelihoodOf(id: FindingId, state: string): Float64Array {
  const key = `${id}/${state}`;
  let likelihood = known.get(key);
  if (!likelihood) known.set(key, (likelihood = forAllSets(id, placeOf(id, state))));
  return likelihood;
}

/** The few different numbers in a likelihood, and which of them stands where. */
interface Distinct {
  readonly values: readonly number[];
  readonly which: Uint16Array;
}

const distinct = new Map<string, Distinct>();

/** A likelihood that is less sure: the closer to 1, the less sure; raised once per different number, as powers are dear. */
export function softened(id: FindingId, state: string, certainty: number): Float64Array {
  const likelihood = likelihoodOf(id, state);
  if (certainty === 1) return likelihood;
  const key = `${id}/${state}`;
  let parts = distinct.get(key);
  if (!parts) {
    const places = new Map([...new Set(likelihood)].map((value, place) => [value, place]));
    const which = Uint16Array.from(likelihood, (value) => places.get(value) ?? 0);
    distinct.set(key, (parts = { values: [...places.keys()], which }));
  }
  const { values, which } = parts;
  const raised = values.map((value) => value ** certainty);
  return column(which.length, (i) => raised[which[i]!]!);
}

function forAllSets(id: FindingId, place: number): Float64Array {
  const numbers = SIGNS.get(id);
  if (!numbers) throw new RangeError(`finding: ${id} is a condition; only signs follow from causes`);
  const { baseRate, byCause } = numbers;
  const sumOf = (own: States) => own.slice(1).reduce((total, w) => total + w, 0);
  const [stays, weight, sum] = [0, 1, 2].map(() => new Float64Array(SETS.length)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  [stays[0], weight[0], sum[0]] = [baseRate[0] ?? 1, baseRate[place] ?? 0, sumOf(baseRate)];
  for (let i = 1; i < SETS.length; i++) {
    const parent = PARENT[i] ?? 0;
    const own = byCause.get(LAST[i] ?? 0);
    stays[i] = (stays[parent] ?? 0) * (own?.[0] ?? 1);
    weight[i] = (weight[parent] ?? 0) + (own?.[place] ?? 0);
    sum[i] = (sum[parent] ?? 0) + (own ? sumOf(own) : 0);
  }
  return stays.map((p, i) => (place === 0 ? p : sum[i] ? ((1 - p) * (weight[i] ?? 0)) / (sum[i] ?? 1) : 0));
}
