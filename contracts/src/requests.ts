import type { JournalEntry, SetUpKind, SetUpVersion } from '@winter-jar/core';
import type { PumpEffect } from './pages.js';
import type { EntryAnswer } from './answers.js';
import type { FieldIssue } from './check-entry.js';

/** Body of `POST /api/entries`: 1 to 500 entries; those with one actId are written together or not at all. */
export interface EntriesPost {
  readonly entries: readonly JournalEntry[];
  /** They waited on a device for a connection: nobody is there to be asked, so what is in doubt is kept and settled later. */
  readonly waited?: boolean;
}

export interface EntriesAnswer {
  readonly answers: readonly EntryAnswer[];
  /** Numbers of the changes that this made, see `Change`: whoever wrote knows them already. */
  readonly changes: readonly number[];
}

/** What entries would change: their answers, and the pumps that would stand otherwise. Nothing is written. */
export interface EntriesEffect {
  readonly answers: readonly EntryAnswer[];
  readonly effects: readonly PumpEffect[];
}

/** Body of `POST /api/set-up`: versions that are written together or not at all. */
export interface SetUpPost {
  readonly versions: readonly SetUpVersion[];
}

export interface SetUpPosted {
  readonly written: number;
  readonly issues: readonly FieldIssue[];
}

/** Body of `POST /api/set-up/remove`. */
export interface SetUpRemove {
  readonly records: readonly { readonly kind: SetUpKind; readonly id: string }[];
}

export interface SetUpRemoved {
  readonly removed: number;
}
