import type { Checked, EntryAnswer } from '@winter-jar/contracts';
import type { JournalEntry } from '@winter-jar/core';

/** Entries of one deed, each with its place among those that were sent. */
export interface Deed {
  readonly members: readonly { readonly entry: JournalEntry; readonly place: number }[];
  /** Another entry of it is not right, so none of it is written. */
  readonly isBroken: boolean;
}

const textAt = (sent: unknown, key: 'id' | 'actId'): string | null => {
  const value: unknown = typeof sent === 'object' && sent !== null ? (sent as Record<string, unknown>)[key] : null;
  return typeof value === 'string' ? value : null;
};

/** Sorts what was sent into deeds. @returns beside them, at their places, the answers to what is no right entry */
export function deedsIn(
  raw: readonly unknown[],
  check: (sent: unknown, place: number) => Checked<JournalEntry>,
): { deeds: readonly Deed[]; refused: EntryAnswer[] } {
  const refused: EntryAnswer[] = [];
  const members = new Map<string, { entry: JournalEntry; place: number }[]>();
  const broken = new Set<string | null>();
  raw.forEach((sent, place) => {
    const checked = check(sent, place);
    if (checked.ok) {
      const { actId } = checked.value;
      members.set(actId, [...(members.get(actId) ?? []), { entry: checked.value, place }]);
      return;
    }
    refused[place] = { id: textAt(sent, 'id'), status: 'refused', issues: checked.issues };
    broken.add(textAt(sent, 'actId'));
  });
  const deeds = [...members].map(([actId, of]) => ({ members: of, isBroken: broken.has(actId) }));
  return { deeds, refused };
}
