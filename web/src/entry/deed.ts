import type { Entry, EntryBodies, EntryKind, Envelope, Precision, Subject } from '@winter-jar/core';
import type { IdFor } from '../forms/draft-ids.js';

/** An entry as a form says it, in house units. Who writes, when and about which pump, the form adds. */
export type EntryDraft<K extends EntryKind = EntryKind> = {
  [P in K]: {
    readonly kind: P;
    readonly body: EntryBodies[P];
    readonly happenedAt: string;
    readonly precision: Precision;
    /** What it is about besides. */
    readonly alsoAbout?: readonly Subject[];
    /** Tells it from others of its kind in the deed. */
    readonly name?: string;
  };
}[K];

/** What one deed writes, in this order: the entry that the form is about, and what goes with it. */
export interface Deed<K extends EntryKind = EntryKind> {
  /** What it stands on, such as the case that it opens. */
  readonly before?: readonly EntryDraft[];
  readonly main: EntryDraft<K>;
  readonly after?: readonly EntryDraft[];
}

/** What the fields of a form say: a deed, or issues by field. */
export type FormAnswer<K extends EntryKind> =
  | { readonly ok: true; readonly deed: Deed<K> }
  | { readonly ok: false; readonly issues: Readonly<Record<string, string>> };

/** A deed whose main entry happened at a moment that is known. */
export const exactly = <K extends EntryKind>(
  kind: K,
  happenedAt: string,
  body: EntryBodies[K],
  alsoAbout: readonly Subject[] = [],
): { readonly ok: true; readonly deed: Deed<K> } => ({
  ok: true,
  deed: { main: { kind, body, happenedAt, precision: 'exact', alsoAbout } as unknown as EntryDraft<K> },
});

interface Writing {
  readonly subject: Subject;
  readonly zone: string;
  readonly now: string;
  readonly idFor: IdFor;
  readonly shared: Pick<Envelope, 'who' | 'device' | 'acknowledged' | 'bodyVersion'>;
}

/** The entries of a deed: they bear one deed id, and are undone together. */
export function entriesOf(deed: Deed, { subject, zone, now, idFor, shared }: Writing): { main: Entry; all: Entry[] } {
  const actId = idFor('deed');
  const entryOf = ({ name, alsoAbout = [], ...draft }: EntryDraft): Entry => ({
    ...draft,
    ...shared,
    id: idFor(name ? `${draft.kind}/${name}` : draft.kind),
    actId,
    subjects: [subject, ...alsoAbout],
    zone,
    recordedAt: now,
  });
  const main = entryOf(deed.main);
  return { main, all: [...(deed.before ?? []).map(entryOf), main, ...(deed.after ?? []).map(entryOf)] };
}
