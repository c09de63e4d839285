import type { NotInto, PumpLeft, Unfit, UnusualReading } from '@winter-jar/core';
import type { FieldIssue } from './check-entry.js';

/** A soft rule that asks the person; sent again with its code in `acknowledged`, the entry is accepted. */
export type Question =
  /** Somebody else has logged a change of the same oil on the same day: are these one change, or two? */
  | { readonly code: 'changedAlready'; readonly otherEntryId: string; readonly otherAt: string }
  | { readonly code: 'overlap'; readonly otherEntryId: string; readonly otherFrom: string; readonly otherUntil: string }
  /** It began before the take-over, at which so many runs were counted: is it one of them? */
  /** Its oil was let out in a service, and none is in it by what is logged. */
  | { readonly code: 'drained'; readonly drainedAt: string }
  /** A service opened or capped it, and nobody has closed or freed it by what is logged. */
  | { readonly code: 'notWhole'; readonly how: Exclude<PumpLeft, 'closed'>; readonly sinceAt: string }
  /** A service that runs it, or takes of its oil, is started on a pump whose oil is out. */
  | { readonly code: 'startedDrained'; readonly drainedAt: string }
  /** A service is started on a pump that stands open or capped, and is not one that closes it or goes on with it. */
  | { readonly code: 'startedNotWhole'; readonly how: Exclude<PumpLeft, 'closed'>; readonly sinceAt: string }
  /** A service is under way on the pump: another one leaves it behind. */
  | { readonly code: 'jobUnderWay'; readonly procedure: string; readonly startedAt: string }
  | { readonly code: 'takenOver'; readonly takenOverAt: string; readonly runs: number }
  /** An oil where it does not belong: it can explode, spoil the pump, or get into food. */
  | { readonly code: 'unfitOil'; readonly unfit: Unfit; readonly productId: string | null }
  /** It was retired by then. */
  | { readonly code: 'retired' }
  | { readonly code: 'airOnSolvent' }
  | { readonly code: 'drainAboveCharge'; readonly outMl: number; readonly chargeMl: number }
  /** More than the housing holds, as far as we took it for granted. */
  | { readonly code: 'aboveAssumedHousing'; readonly ml: number; readonly holdsMl: number }
  | { readonly code: 'meterBackwards'; readonly beforeMinutes: number; readonly beforeAt: string }
  | { readonly code: 'meterTooFast'; readonly beforeMinutes: number; readonly beforeAt: string }
  /** More is taken out of a container than the book has in it. */
  | {
      readonly code: 'moreThanThere';
      readonly containerId: string;
      readonly bookMl: number;
      readonly missingMl: number;
    }
  /** More than a container holds. */
  | { readonly code: 'overfull'; readonly containerId: string; readonly ml: number; readonly holdsMl: number }
  /** Oils of two products meet where no waste is kept. */
  | { readonly code: 'mixesProducts'; readonly containerId: string; readonly productIds: readonly string[] }
  /** By the book other oils stand in the container that a pump was filled from than the one that is said. */
  | {
      readonly code: 'otherOil';
      readonly containerId: string;
      readonly productIds: readonly string[];
      readonly unfit: Unfit | null;
    }
  /** Used oil that the rules refuse goes into a pump. */
  | { readonly code: 'usedOil'; readonly containerId: string; readonly why: NotInto | 'refused' }
  | { readonly code: 'unusual'; readonly readings: readonly UnusualReading[] };

/** Why an entry that was kept does not count. One without a word of this counts. */
export type Unsettled =
  /** The entry that it corrects is not here yet. */
  | { readonly state: 'waits' }
  /** What it says cannot be: somebody has to decide. */
  | { readonly state: 'toSettle'; readonly issues: readonly FieldIssue[] }
  /** Somebody decided, by a later correction that saw it. */
  | { readonly state: 'aside' }
  /** An entry that its writer could not be asked about, for it came later than it was written. */
  | { readonly state: 'asks'; readonly questions: readonly Question[] };

/** What became of one entry of a POST. */
export type EntryAnswer =
  | { readonly id: string; readonly status: 'written' | 'alreadyWritten'; readonly seq: number }
  /** Stored, but it does not count yet. */
  | { readonly id: string; readonly status: 'kept'; readonly seq: number; readonly unsettled: Unsettled }
  | { readonly id: string; readonly status: 'conflict'; readonly stored: unknown; readonly sent: unknown }
  | { readonly id: string; readonly status: 'asked'; readonly questions: readonly Question[] }
  | { readonly id: string | null; readonly status: 'refused'; readonly issues: readonly FieldIssue[] }
  /** Right by itself, but another entry of the same act was not accepted. */
  | { readonly id: string; readonly status: 'heldBack' }
  /** The server failed at its deed: nothing of this one was written, whatever became of the others. */
  | { readonly id: string; readonly status: 'failed'; readonly right: string };

export const HTTP_STATUS: Readonly<Record<EntryAnswer['status'], number>> = {
  written: 201,
  alreadyWritten: 200,
  kept: 202,
  conflict: 409,
  asked: 422,
  refused: 400,
  heldBack: 422,
  failed: 500,
};

/** Every error of the API but the answers to entries. */
export interface ApiProblem {
  readonly code:
    | 'notJson'
    | 'tooLarge'
    | 'diskFull'
    | 'notFound'
    | 'badRequest'
    | 'changedMeanwhile'
    | 'busy'
    | 'tooMany'
    | 'forbidden'
    /** Sign in first, or not with these words. */
    | 'signIn'
    | 'unsupported'
    /** The server cannot read its own data: its page says what can be put back. */
    | 'unreadable'
    | 'internal';
  readonly right: string;
  readonly issues: readonly FieldIssue[];
}

const CODES: Readonly<Record<Question['code'], true>> = {
  changedAlready: true,
  overlap: true,
  takenOver: true,
  drained: true,
  notWhole: true,
  startedDrained: true,
  startedNotWhole: true,
  jobUnderWay: true,
  unfitOil: true,
  retired: true,
  airOnSolvent: true,
  drainAboveCharge: true,
  aboveAssumedHousing: true,
  meterBackwards: true,
  meterTooFast: true,
  moreThanThere: true,
  overfull: true,
  mixesProducts: true,
  otherOil: true,
  usedOil: true,
  unusual: true,
};
/** Every soft question there is: the compiler asks for one that is missing. */
export const QUESTION_CODES = Object.keys(CODES) as readonly Question['code'][];

/**
 * Questions whether it happened so at all. The others warn of what somebody is about to do: once it was done it counts, and the pump
 * or the shelf says what is wrong with it.
 */
const DOUBTS: ReadonlySet<Question['code']> = new Set([
  'overlap',
  'takenOver',
  'changedAlready',
  'drainAboveCharge',
  'aboveAssumedHousing',
  'meterBackwards',
  'meterTooFast',
  'moreThanThere',
  'overfull',
  'unusual',
]);
export const isDoubt = ({ code }: Question): boolean => DOUBTS.has(code);
