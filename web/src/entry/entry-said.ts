import type { EntryBodies, EntryKind, Precision } from '@winter-jar/core';

/** What the fields say, in house units: an entry of this kind, more `done` ticks of the same deed, or issues by field name. */
export type Said<K extends EntryKind> =
  | {
      readonly ok: true;
      readonly happenedAt: string;
      readonly precision: Precision;
      readonly body: EntryBodies[K];
      readonly alsoDone?: readonly string[];
      readonly alsoPumps?: readonly string[];
      readonly equipmentId?: string;
      /** The case that it is about. */
      readonly caseId?: string | null;
      /** It is what a case begins with: opened in the same deed, with this complaint. */
      readonly opensCase?: string | null;
    }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };
