import type { FieldIssue } from './check-entry.js';

/** A soft rule that asks the person; sent again with its code in `acknowledged`, the entry is accepted. */
export type Question =
  | { readonly code: 'overlap'; readonly otherEntryId: string; readonly otherFrom: string; readonly otherUntil: string }
  | { readonly code: 'drainAboveCharge'; readonly outMl: number; readonly chargeMl: number }
  | { readonly code: 'meterBackwards'; readonly beforeMinutes: number; readonly beforeAt: string }
  | { readonly code: 'meterTooFast'; readonly beforeMinutes: number; readonly beforeAt: string };

/** What became of one entry of a POST. */
export type EntryAnswer =
  | { readonly id: string; readonly status: 'written' | 'alreadyWritten'; readonly seq: number }
  | { readonly id: string; readonly status: 'conflict'; readonly stored: unknown; readonly sent: unknown }
  | { readonly id: string; readonly status: 'asked'; readonly questions: readonly Question[] }
  | { readonly id: string | null; readonly status: 'refused'; readonly issues: readonly FieldIssue[] }
  /** Right by itself, but another entry of the same act was not accepted. */
  | { readonly id: string; readonly status: 'heldBack' };

export const HTTP_STATUS: Readonly<Record<EntryAnswer['status'], number>> = {
  written: 201,
  alreadyWritten: 200,
  conflict: 409,
  asked: 422,
  refused: 400,
  heldBack: 422,
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
    | 'forbidden'
    | 'unsupported'
    | 'internal';
  readonly right: string;
  readonly issues: readonly FieldIssue[];
}
