import type { FieldIssue } from './check-entry.js';
import type { PumpEffect } from './pages.js';

/** Kinds of entries that come and go as a CSV file. */
export const LOG_NAMES = ['runs', 'looks', 'changes', 'pours', 'stocktakes'] as const;
export type LogName = (typeof LOG_NAMES)[number];
/** What comes as a CSV file: a log, or the rows of a notebook, which are of several kinds. */
export const IMPORT_NAMES = ['runs', 'looks', 'changes', 'pours', 'stocktakes', 'notebook'] as const;
export type ImportName = (typeof IMPORT_NAMES)[number];

/** A log file, see docs/formats.md. */
export type LogText = string;

/** One row of a log that was not taken. `line` counts from 1, the header being line 1. */
export interface RefusedRow {
  readonly line: number;
  readonly pump: string;
  /** When it happened, as the row says. */
  readonly when: string;
  readonly issues: readonly FieldIssue[];
}

/**
 * Where an import stands. It is read and checked first; what was found waits (`ready`) until it is told to write or is cancelled.
 * `undone`: it was written whole, and all of it was taken back. `failed`: the file as a whole cannot be read, or the server could not go on; nothing of it was left behind.
 */
export type LogImportState =
  'reading' | 'ready' | 'writing' | 'done' | 'takingBack' | 'cancelled' | 'undone' | 'failed';

/** The import of a log file. */
export interface LogImportAnswer {
  readonly id: string;
  readonly log: ImportName;
  readonly state: LogImportState;
  /** What is done of its present state, from 0 to 1. */
  readonly progress: number;
  readonly rows: number;
  readonly fresh: number;
  readonly unchanged: number;
  readonly refused: number;
  readonly written: number;
  /** Entries that were written and can still be taken back together. */
  readonly canBeUndone: boolean;
  /** The first of the refused rows; the report of refused rows has them all. */
  readonly firstRefused: readonly RefusedRow[];
  /** Set when the file as a whole cannot be read. */
  readonly fileIssue: FieldIssue | null;
}

/** What is to become of the good rows of an import where others were refused. */
export interface WriteLogImport {
  readonly goodRowsOnly: boolean;
}

/** What an import that is ready would change, pump by pump; null where it is too long to try beforehand. */
export interface LogImportEffect {
  readonly effects: readonly PumpEffect[] | null;
}

/** What a log holds, by pump and month (UTC). */
export interface LogContents {
  readonly entries: number;
  /** The last months that have any, "2031-03", the newest first. */
  readonly months: readonly string[];
  readonly pumps: readonly {
    readonly pumpId: string;
    readonly entries: number;
    /** In the order of `months`. */
    readonly byMonth: readonly number[];
  }[];
}
