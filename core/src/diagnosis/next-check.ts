import type { CauseId } from './all-causes.js';
import { CHECKS, type CheckId } from './all-checks.js';
import { CAUSE_IDS, causeOf } from './causes-in-order.js';
import type { Check, Hazard, SetPart } from './check.js';
import { FINDINGS, type FindingId, type Found } from './all-findings.js';
import type { Finding } from './finding.js';
import { column, MEMBERS, NO_CAUSE, SETS } from './cause-sets.js';
import { likelihoodOf } from './likelihood.js';
import { isSign, posteriorOf, type Asked, type Posterior } from './rank.js';

/** What nobody is asked to find out where it can harm (docs/trade.md 6). */
const UNASKED: Readonly<Partial<Record<Hazard, readonly FindingId[]>>> = { harmfulSmell: ['smell'] };

/** Minutes to fetch, set up and write down, for every test alike. */
const SET_UP_MINUTES = 2;
/** A cause below this share is not in question. */
const LEAST_SHARE = 0.04;
/** Minutes that one unit of money is worth. */
const MINUTES_PER_COST = 1;

export interface Outcome {
  readonly finding: FindingId;
  readonly state: string;
  /** How likely it is to come out so. */
  readonly probability: number;
  /** The cause that would stand on top then, and its share. */
  readonly top: { readonly cause: CauseId; readonly probability: number };
}

export interface RankedCheck {
  readonly id: CheckId;
  /** What of it is not known yet and may be asked for here. */
  readonly settles: readonly FindingId[];
  /** Bits that it tells about the causes, on average (Shannon's mutual information between its outcome and the causes). */
  readonly bits: number;
  /** What it takes, in minutes, with its cost and its stop of the pump as minutes. */
  readonly effort: number;
  /** The states of the finding that tells most, the likeliest first. */
  readonly outcomes: readonly Outcome[];
}

function entropy(p: Float64Array): number {
  let sum = 0;
  for (const x of p) if (x > 0) sum -= x * Math.log2(x);
  return sum;
}
const statesOf = (id: FindingId): string[] => Object.keys((FINDINGS[id] as Finding).states);

/** How often a condition's state is met; the first state has what the others leave. */
function usualOf(id: FindingId, state: string): number {
  const usual: Readonly<Record<string, number | undefined>> = (FINDINGS[id] as Finding).baseRate;
  return usual[state] ?? 1 - Object.values(usual).reduce<number>((sum, share) => sum + (share ?? 0), 0);
}

/**
 * By state, how likely it is with each of the posterior's sets: of a sign by the causes; of a condition by how often it is met and
 * how much likelier it makes them.
 */
function byState(id: FindingId, { sets }: Posterior): Float64Array[] {
  const states = statesOf(id);
  if (FINDINGS[id].kind === 'sign') {
    return states.map((state) => {
      const of = likelihoodOf(id, state);
      return column(sets.length, (i) => of[sets[i]!]!);
    });
  }
  const weights = states.map((state) => {
    const times = CAUSE_IDS.map((c) => timesOf(c, id, state));
    const usual = usualOf(id, state);
    return column(sets.length, (i) => SETS[sets[i]!]!.reduce((product, c) => product * times[c]!, usual));
  });
  const sums = weights.reduce((sum, of) => sum.map((w, i) => w + (of[i] ?? 0)), new Float64Array(sets.length));
  return weights.map((of) => of.map((w, i) => w / (sums[i] ?? 1)));
}

const timesOf = (cause: CauseId, id: FindingId, state: string): number =>
  causeOf(cause).after.find((a) => a.finding === id && a.state === state)?.oddsRatio ?? 1;

function sharesOf(sets: readonly number[], weights: ArrayLike<number>): number[] {
  const shares = new Float64Array(NO_CAUSE + 1);
  for (let i = 0; i < sets.length; i++) {
    const set = 3 * sets[i]!;
    const weight = weights[i]!;
    shares[MEMBERS[set]!]! += weight;
    shares[MEMBERS[set + 1]!]! += weight;
    shares[MEMBERS[set + 2]!]! += weight;
  }
  return [...shares.subarray(0, NO_CAUSE)];
}

interface Group {
  readonly weight: number;
  /** Places in the posterior's lists. */
  readonly members: readonly number[];
}

/**
 * The causes that the complaint is about: likely enough, and likelier than before somebody saw something. A cause that is common
 * everywhere, such as water, is not tested for where nothing speaks of it.
 */
function aboutTheComplaint(asked: Asked, posterior: Posterior): boolean[] {
  const shares = sharesOf(posterior.sets, posterior.weights);
  const isUnusual = ({ id, state }: Found): boolean => statesOf(id)[0] !== state;
  const conditions = asked.findings.filter((f) => !isSign(f));
  if (!asked.findings.some((f) => isSign(f) && isUnusual(f))) return shares.map((share) => share >= LEAST_SHARE);
  const before = posteriorOf({ ...asked, findings: conditions });
  const sharesBefore = sharesOf(before.sets, before.weights);
  return shares.map((share, c) => share >= Math.max(LEAST_SHARE, sharesBefore[c] ?? 0));
}

/** Sets that differ only in causes which are not in question, as one: what a test tells about those is of no use here. */
function inQuestion(asked: Asked, posterior: Posterior): Group[] {
  const isAbout = aboutTheComplaint(asked, posterior);
  const groups = new Map<string, number[]>();
  posterior.sets.forEach((set, i) => {
    const key = (SETS[set] ?? []).filter((c) => isAbout[c]).join();
    const members = groups.get(key);
    if (members) members.push(i);
    else groups.set(key, [i]);
  });
  return [...groups.values()].map((members) => ({
    members,
    weight: members.reduce((sum, i) => sum + (posterior.weights[i] ?? 0), 0),
  }));
}

/** The states of a finding by group: the mean over its sets. */
const byGroup = (states: readonly Float64Array[], groups: readonly Group[], { weights }: Posterior): number[][] =>
  groups.map(({ members, weight }) =>
    states.map((of) => {
      let sum = 0;
      for (const i of members) sum += (weights[i] ?? 0) * (of[i] ?? 0);
      return sum / weight;
    }),
  );

/** All combinations of the states of several findings, taken as independent once the causes in question are given; by group. */
function joint(byGroups: readonly number[][][]): Float64Array[] {
  const groups = byGroups[0] ?? [];
  return groups.map((_, g) => {
    let all = Float64Array.of(1);
    for (const byGroup of byGroups) {
      const states = byGroup[g]!;
      const next = new Float64Array(all.length * states.length);
      for (let a = 0; a < all.length; a++)
        for (let s = 0; s < states.length; s++) next[a * states.length + s] = all[a]! * states[s]!;
      all = next;
    }
    return all;
  });
}

/** @param outcomes how likely each outcome is, by group */
function bitsOf(outcomes: readonly Float64Array[], groups: readonly Group[]): number {
  const mean = new Float64Array(outcomes[0]?.length ?? 0);
  let noise = 0;
  groups.forEach(({ weight }, g) => {
    const of = outcomes[g]!;
    for (let o = 0; o < mean.length; o++) mean[o]! += weight * of[o]!;
    noise += weight * entropy(of);
  });
  return Math.max(0, entropy(mean) - noise);
}

function outcomesOf(id: FindingId, states: readonly Float64Array[], { sets, weights }: Posterior): Outcome[] {
  return statesOf(id)
    .map((state, s): Outcome => {
      const of = states[s];
      const after = weights.map((w, i) => w * (of?.[i] ?? 0));
      const probability = after.reduce((sum, w) => sum + w, 0);
      const shares = sharesOf(sets, after);
      const most = Math.max(...shares);
      const cause = CAUSE_IDS[shares.indexOf(most)] as CauseId;
      return { finding: id, state, probability, top: { cause, probability: probability > 0 ? most / probability : 0 } };
    })
    .sort((a, b) => b.probability - a.probability);
}

/** @param stopWeight how many minutes a minute of standing still counts besides its own; 0: the pump stands anyway */
export const effortOf = (check: Check, stopWeight: number): number =>
  SET_UP_MINUTES + check.minutes * (check.stopsPump ? 1 + stopWeight : 1) + check.cost * MINUTES_PER_COST;

/**
 * The tests that are still worth doing, those that tell most for what they take first. A test is left out when all it settles is
 * known already, or where a hazard forbids it.
 * @throws RangeError naming a finding or state that is not known
 */
export function nextChecks(
  asked: Asked & {
    readonly stopWeight?: number;
    readonly hazards?: readonly Hazard[];
    /** What this set does not have. */
    readonly lacks?: readonly SetPart[];
  },
): RankedCheck[] {
  const { hazards = [], lacks = [] } = asked;
  const posterior = posteriorOf(asked);
  const groups = inQuestion(asked, posterior);
  const known = new Set(asked.findings.filter((f) => (f.certainty ?? 1) >= SURE).map((f) => f.id));
  return (Object.entries(CHECKS) as [CheckId, Check][])
    .flatMap(([id, check]): RankedCheck[] => {
      const open = check.settles.filter((f) => !known.has(f) && !hazards.some((h) => UNASKED[h]?.includes(f)));
      const [first] = open;
      const isForbidden = check.never?.some((h) => hazards.includes(h));
      if (!first || isForbidden || (check.needs && lacks.includes(check.needs))) return [];
      const states = open.map((f) => byState(f, posterior));
      const grouped = states.map((of) => byGroup(of, groups, posterior));
      const tells = grouped.map((of) => bitsOf(joint([of]), groups));
      const most = tells.indexOf(Math.max(...tells));
      return [
        {
          id,
          settles: open,
          bits: bitsOf(joint(grouped), groups),
          effort: effortOf(check, asked.stopWeight ?? 1),
          outcomes: outcomesOf(open[most] ?? first, states[most] ?? [], posterior),
        },
      ];
    })
    .sort((a, b) => b.bits / b.effort - a.bits / a.effort);
}

/** A finding that is less sure than this may be asked for again. */
const SURE = 0.6;
