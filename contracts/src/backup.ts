import type { FieldIssue } from './check-entry.js';

/** What a data folder, or a backup of one, holds. */
export interface BackupContents {
  readonly pumps: number;
  readonly entries: number;
  readonly lastRecordedAt: string | null;
}

/** What was found in a file that is to be restored. With an issue it cannot be; otherwise `uploadId` names it for the next step. */
export interface RestoreCheck {
  readonly issue: FieldIssue | null;
  readonly uploadId: string | null;
  readonly madeAt: string | null;
  readonly inFile: BackupContents | null;
  readonly present: BackupContents;
}

/** How far the check of a backup is. */
export interface RestoreProgress {
  /** From 0 to 1; null where none is going on. */
  readonly progress: number | null;
}

export interface RestoreResult {
  /** Where the data that stood here before is kept. */
  readonly keptAs: string;
  readonly now: BackupContents;
}

/** Data that a restore has taken the place of. */
export interface KeptData {
  readonly name: string;
  readonly bytes: number;
  readonly keptAt: string;
}

export interface KeptAnswer {
  /** The newest first. */
  readonly kept: readonly KeptData[];
}

/** Body of `POST /api/kept/check`. */
export interface KeptPost {
  readonly name: string;
}

/** Body of `POST /api/restore`: the id of a checked backup. */
export interface RestorePost {
  readonly uploadId: string;
}

/** A file as it is, see docs/formats.md. */
export type Download = string;

/** What became of everything as JSON lines. With an issue nothing was taken. */
export interface JournalFileResult {
  readonly issue: FieldIssue | null;
  /** Line of the issue, counted from 1. */
  readonly line: number | null;
  readonly setUpVersions: number;
  readonly entries: number;
}
