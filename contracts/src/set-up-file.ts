import type { SetUpBodies, SetUpKind } from '@winter-jar/core';
import type { FieldIssue } from './check-entry.js';

export const SET_UP_FILE_FORMAT = 'winter-jar-set-up';
export const SET_UP_FILE_VERSION = 1;

/** One record in force. `seen` is the version that an export saw; a later change on either side is a conflict. */
export type SetUpFileRecord = {
  [K in SetUpKind]: {
    readonly kind: K;
    readonly id: string;
    readonly seen?: string | null;
    readonly body: SetUpBodies[K];
  };
}[SetUpKind];

/** The whole set-up as a file, see docs/formats.md and docs/set-up.schema.json. */
export interface SetUpFile {
  readonly format: typeof SET_UP_FILE_FORMAT;
  readonly version: typeof SET_UP_FILE_VERSION;
  readonly exportedAt?: string;
  readonly records: readonly SetUpFileRecord[];
}

/** What an import would do with one record of the file. `place` counts from 1. */
export interface SetUpFileRow {
  readonly place: number;
  readonly kind: string;
  readonly id: string;
  readonly name: string;
  readonly status: 'new' | 'changed' | 'same' | 'conflicting' | 'refused';
  /** Fields that differ from the record in force. */
  readonly fields: readonly string[];
  readonly issues: readonly FieldIssue[];
}

export interface SetUpFilePreview {
  readonly rows: readonly SetUpFileRow[];
  /** Set when the file as a whole cannot be read. */
  readonly fileIssue: FieldIssue | null;
}

export interface SetUpFileResult extends SetUpFilePreview {
  readonly written: number;
}
