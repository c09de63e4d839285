import type { Process } from '../set-up/index.js';
import type { CauseId } from './all-causes.js';
import type { Cause } from './cause.js';
import { FINDINGS, type FindingId, type Found } from './all-findings.js';
import type { Finding } from './finding.js';
import { CAUSE_IDS, causeOf } from './causes-in-order.js';
import { column, MEMBERS, NO_CAUSE, SETS } from './cause-sets.js';
import { softened } from './likelihood.js';

/** Below this no cause stands out: not enough to tell. */
export const DECIDED = 0.5;

/** Somebody asks because something seemed wrong: that nothing is gets this part of what independent causes would leave for it. */
const NOTHING_TIMES = 0.1;

/** One finding's part in a cause's share. */
export interface Contribution {
  readonly finding: FindingId;
  readonly state: string;
  /** Change of the natural logarithm of the cause's odds by this finding, the others given; above 0 it speaks for it. */
  readonly weight: number;
  readonly because: string | null;
}

export interface RankedCause {
  readonly id: CauseId;
  /** Probability that it is at work. Several may be, so shares need not add to 1. */
  readonly probability: number;
  /** Its share before anything was found, in this process. */
  readonly prior: number;
  /** All that moved it, the strongest first. */
  readonly contributions: readonly Contribution[];
}

export interface Ranking {
  /** All causes, the likeliest first. */
  readonly causes: readonly RankedCause[];
  /** Probability that none of them is at work. */
  readonly nothing: number;
  /** True when no cause stands out, or only circumstances speak for the likeliest: they make it likely and prove nothing. */
  readonly undecided: boolean;
}

/** Sets of causes that may be at work together (places in the list of all sets), and how likely each is. */
export interface Posterior {
  readonly sets: readonly number[];
  readonly weights: readonly number[];
}

export interface Asked {
  readonly process: Process;
  readonly findings: readonly Found[];
  /** Priors of this pump and kind of equipment, where closed cases have shifted them. */
  readonly priors?: Readonly<Partial<Record<CauseId, number>>>;
}

/** @throws RangeError naming a finding or a state that is not known, or a certainty outside 0 to 1 */
export function checked(findings: readonly Found[]): Found[] {
  const times = new Map<string, number>();
  for (const { id, state, certainty = 1 } of findings) {
    const known = (FINDINGS as Readonly<Record<string, Finding>>)[id];
    if (!known) throw new RangeError(`findings: ${id} is not known`);
    if (!Object.hasOwn(known.states, state))
      throw new RangeError(`findings.${id}: ${state} is none of ${Object.keys(known.states).join(', ')}`);
    if (!(certainty >= 0 && certainty <= 1))
      throw new RangeError(`findings.${id}.certainty: ${certainty}, from 0 to 1`);
    times.set(id, (times.get(id) ?? 0) + 1);
  }
  // What was found in two ways counts half each: they contradict, or say the same twice.
  return findings.map((f) => ({ ...f, certainty: (f.certainty ?? 1) / (times.get(f.id) ?? 1) }));
}

export const priorOf = (cause: Cause, process: Process): number =>
  typeof cause.prior === 'number' ? cause.prior : cause.prior[process];
const oddsOf = (share: number): number => share / (1 - share);
export const isSign = (found: Found): boolean => FINDINGS[found.id].kind === 'sign';

/** Odds of each cause before the signs: by process, moved by the conditions. */
export function oddsBefore({ process, findings, priors }: Asked): number[] {
  return CAUSE_IDS.map((id) => {
    const cause = causeOf(id);
    let odds = oddsOf(priors?.[id] ?? priorOf(cause, process));
    for (const { id: finding, state, certainty = 1 } of findings) {
      odds *= oddsRatioOf(cause, finding, state) ** certainty;
    }
    return odds;
  });
}

/**
 * How a condition moves a cause's odds from what they are at any pump: a usual one by little, since most pumps that were counted
 * have it. Averaged over how often each state is met it moves nothing.
 */
export function oddsRatioOf(cause: Cause, finding: FindingId, state: string): number {
  const links = cause.after.filter((a) => a.finding === finding);
  if (links.length === 0) return 1;
  const rates = FINDINGS[finding].baseRate as Readonly<Record<string, number>>;
  const average = links.reduce((sum, a) => sum + rateOf(rates, finding, a.state) * (a.oddsRatio - 1), 1);
  return (links.find((a) => a.state === state)?.oddsRatio ?? 1) / average;
}

/** The first state is what is left by the others. */
const rateOf = (rates: Readonly<Record<string, number>>, finding: FindingId, state: string): number =>
  state === Object.keys(FINDINGS[finding].states)[0]
    ? 1 - Object.values(rates).reduce((sum, rate) => sum + rate, 0)
    : (rates[state] ?? 0);

/** One factor per set of causes and sign: how likely the sign's state is with them, the less sure the closer to 1. */
export const factorsOf = (signs: readonly Found[]): Float64Array[] =>
  signs.map(({ id, state, certainty = 1 }) => softened(id, state, certainty));

function normalised(weights: Float64Array): Float64Array {
  let sum = 0;
  for (const weight of weights) sum += weight;
  return weights.map((w) => w / sum);
}

export function weightsOf(odds: readonly number[], factors: readonly Float64Array[]): Float64Array {
  const times = Float64Array.from([...odds, 1]);
  const weights = column(
    SETS.length,
    (i) => times[MEMBERS[3 * i]!]! * times[MEMBERS[3 * i + 1]!]! * times[MEMBERS[3 * i + 2]!]!,
  );
  weights[0]! *= NOTHING_TIMES;
  for (const factor of factors) for (let i = 0; i < weights.length; i++) weights[i]! *= factor[i]!;
  return weights;
}

/** Share of each cause; with `leftOut`, as if that sign had not been found. */
export function sharesOf(weights: Float64Array, leftOut?: Float64Array): Float64Array {
  const shares = new Float64Array(NO_CAUSE + 1);
  let sum = 0;
  for (let i = 0; i < weights.length; i++) {
    const weight = leftOut ? weights[i]! / leftOut[i]! : weights[i]!;
    sum += weight;
    shares[MEMBERS[3 * i]!]! += weight;
    shares[MEMBERS[3 * i + 1]!]! += weight;
    shares[MEMBERS[3 * i + 2]!]! += weight;
  }
  return shares.subarray(0, NO_CAUSE).map((share) => share / sum);
}

/** Was any sign found that this cause brings about? */
const isSeen = (id: CauseId, signs: readonly Found[]): boolean =>
  causeOf(id).brings.some((b) => signs.some((s) => s.id === b.finding && s.state === b.state));

const logOdds = (share: number): number => Math.log(Math.max(share, 1e-12) / Math.max(1 - share, 1e-12));

/**
 * What may be wrong, given what was found: every set of up to three causes is weighed by its odds before and by how well it explains
 * each sign (a two-level noisy-OR network, summed out exactly: no sampling, the same answer every time). Causes that explain the
 * same signs compete; a finding that nobody made plays no part.
 * @throws RangeError naming a finding or state that is not known
 */
export function rank(asked: Asked): Ranking {
  const findings = checked(asked.findings);
  const odds = oddsBefore({ ...asked, findings });
  const signs = findings.filter(isSign);
  const factors = factorsOf(signs);
  const raw = weightsOf(odds, factors);
  const weights = normalised(raw);
  const shares = sharesOf(weights);
  const without = factors.map((factor) => sharesOf(raw, factor));
  const causes = CAUSE_IDS.map((id, c): RankedCause => {
    const cause = causeOf(id);
    const probability = shares[c] ?? 0;
    const bySign = signs.map(({ id: finding, state }, f): Contribution => {
      const link = cause.brings.find((b) => b.finding === finding && b.state === state);
      const weight = logOdds(probability) - logOdds(without[f]?.[c] ?? 0);
      return { finding, state, weight, because: link?.because ?? null };
    });
    const byCondition = findings.flatMap(({ id: finding, state, certainty = 1 }): Contribution[] => {
      const link = cause.after.find((a) => a.finding === finding && a.state === state);
      const weight = certainty * Math.log(oddsRatioOf(cause, finding, state));
      return FINDINGS[finding].kind === 'condition' ? [{ finding, state, weight, because: link?.because ?? null }] : [];
    });
    const contributions = [...bySign, ...byCondition].filter((s) => Math.abs(s.weight) > 0.05);
    return {
      id,
      probability,
      prior: asked.priors?.[id] ?? priorOf(cause, asked.process),
      contributions: contributions.sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight)),
    };
  }).sort((a, b) => b.probability - a.probability);
  const [first] = causes;
  const undecided = !first || first.probability < DECIDED || !isSeen(first.id, signs);
  return { causes, nothing: weights[0] ?? 0, undecided };
}

/** Sets less likely than this change nothing. */
const LEAST_WEIGHT = 1e-5;

/** The sets of causes that matter, for whoever asks what another finding would change. */
export function posteriorOf(asked: Asked): Posterior {
  const findings = checked(asked.findings);
  const weights = normalised(weightsOf(oddsBefore({ ...asked, findings }), factorsOf(findings.filter(isSign))));
  const kept = SETS.flatMap((_, i) => ((weights[i] ?? 0) > LEAST_WEIGHT ? [i] : []));
  const sum = kept.reduce((total, i) => total + (weights[i] ?? 0), 0);
  return { sets: kept, weights: kept.map((i) => (weights[i] ?? 0) / sum) };
}
