import type { Process } from '../set-up/index.js';
import type { CauseId } from './all-causes.js';
import { CAUSE_IDS, causeOf } from './causes-in-order.js';
import { priorOf } from './rank.js';

/** A case that was closed with a confirmed cause. */
export interface ClosedCase {
  readonly cause: CauseId;
  /** On this pump, or on another of the same kind of equipment. */
  readonly on: 'thisPump' | 'sameKind';
}

/** What the trade's experience counts for, in cases: a first confirmed case moves little. */
const TRADE_CASES = 12;
/** A case on another pump of the kind says a third of one on this pump. */
const WEIGHT = { thisPump: 1, sameKind: 1 / 3 } as const;

/**
 * Shares before anything is found, after the cases of this pump and kind: the mean of a Beta distribution that begins with the
 * trade's prior as so many cases (Gelman et al., Bayesian Data Analysis, 3rd ed. 2013, section 2.4).
 * @returns for every cause a share between 0 and 1; without cases the trade's own
 */
export function priorsAfter(input: { process: Process; cases: readonly ClosedCase[] }): Record<CauseId, number> {
  const all = input.cases.reduce((sum, one) => sum + WEIGHT[one.on], 0);
  const of = (id: CauseId): number => {
    const own = input.cases.reduce((sum, one) => sum + (one.cause === id ? WEIGHT[one.on] : 0), 0);
    return (TRADE_CASES * priorOf(causeOf(id), input.process) + own) / (TRADE_CASES + all);
  };
  return Object.fromEntries(CAUSE_IDS.map((id) => [id, of(id)])) as Record<CauseId, number>;
}
