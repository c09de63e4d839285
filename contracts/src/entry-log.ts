import type { FieldIssue } from './check-entry.js';

/** Kinds of entries that come and go as a CSV file. */
export const LOG_NAMES = ['runs', 'looks'] as const;
export type LogName = (typeof LOG_NAMES)[number];

/** A log file, see docs/formats.md. */
export type LogText = string;

/** One row of a log as the preview shows it. `line` counts from 1, the header being line 1. */
export interface LogRow {
  readonly line: number;
  readonly status: 'new' | 'unchanged' | 'bad';
  readonly pump: string;
  /** When it happened, as the row says. */
  readonly when: string;
  readonly issues: readonly FieldIssue[];
}

export interface LogPreview {
  readonly rows: number;
  readonly fresh: number;
  readonly unchanged: number;
  readonly bad: number;
  /** All bad rows (at most 500), and the first rows of the rest. */
  readonly shown: readonly LogRow[];
  /** Set when the file as a whole cannot be read. */
  readonly fileIssue: FieldIssue | null;
}

export interface LogResult extends LogPreview {
  readonly written: number;
}
