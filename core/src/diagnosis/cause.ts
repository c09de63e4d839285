import type { CautionId } from '../cautions/index.js';
import type { Process } from '../set-up/index.js';
import type { FindingId, StateOf } from './all-findings.js';

/** A cause brings a state of a sign about, so often when it is at work. */
export interface Brings {
  readonly finding: FindingId;
  readonly state: string;
  /** From 0 to 1: how often it is seen where this cause is at work and is asked for. */
  readonly sensitivity: number;
  readonly because: string;
}

/** A condition makes a cause so many times as likely (below 1: less). */
export interface After {
  readonly finding: FindingId;
  readonly state: string;
  /** Factor on the cause's odds. */
  readonly oddsRatio: number;
  readonly because: string;
}

/** Something that can be wrong, in the trade's words. */
export interface Cause {
  readonly name: string;
  readonly family: 'moisture' | 'particles' | 'vapours' | 'vacuum';
  /** How often it is at work at a pump that somebody asks about, before anything was found; by process where that matters. */
  readonly prior: number | Readonly<Record<Process, number>>;
  readonly looksLike: string;
  readonly brings: readonly Brings[];
  readonly after: readonly After[];
  readonly remedy: string;
  readonly prevention: string;
  readonly cautions: readonly CautionId[];
}

/** One link to a sign; the reason in one line. */
export const brings = <F extends FindingId>(
  finding: F,
  state: StateOf<F>,
  sensitivity: number,
  because: string,
): Brings => ({
  finding,
  state,
  sensitivity,
  because,
});

/** One link from a condition; the reason in one line. */
export const after = <F extends FindingId>(
  finding: F,
  state: StateOf<F>,
  oddsRatio: number,
  because: string,
): After => ({
  finding,
  state,
  oddsRatio,
  because,
});
