import type { EntryHistory } from '@winter-jar/contracts';
import type { Correction, Entry, EntryKind, Envelope, HouseSetUp, JournalEntry, Subject } from '@winter-jar/core';
import { correctionOf } from '../entry/use-undo.js';

/** Kinds that stand for themselves. A sample has a report that names it, a case its tests: they are taken back and written anew. */
const MOVABLE: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'run',
  'look',
  'bleed',
  'change',
  'topUp',
  'meter',
  'done',
  'note',
]);

/** Where an entry belongs. */
export interface Whereabouts {
  readonly pumpId: string;
  /** Of a run; null leaves what it had, or the pump's own where the pump is another. */
  readonly equipmentId: string | null;
}

export const canMove = (counts: Entry | null): boolean =>
  counts !== null &&
  MOVABLE.has(counts.kind) &&
  !counts.subjects.some(({ type }) => type === 'case') &&
  counts.subjects.filter(({ type }) => type === 'pump').length === 1;

/** What moves with an entry: all of its deed, if all of it can. */
export function deedMoves(histories: readonly EntryHistory[]): Entry[] | null {
  const counted = histories.flatMap(({ counts }) => counts ?? []);
  return counted.every((entry) => canMove(entry)) ? counted : null;
}

/**
 * The entries of a deed at another pump or equipment: taken back where they stood and written where they belong, in one deed.
 * @param idOf a new id for each entry, and for the deed
 */
export function movedDeed(
  histories: readonly EntryHistory[],
  to: Whereabouts,
  input: {
    house: HouseSetUp;
    now: string;
    idOf: (name: string) => string;
    shared: Pick<Envelope, 'who' | 'device' | 'acknowledged' | 'bodyVersion'>;
  },
): { voids: Correction[]; written: Entry[]; all: JournalEntry[] } {
  const { house, now, idOf, shared } = input;
  const actId = idOf('deed');
  const pump = house.pump[to.pumpId];
  const zone = house.site[pump?.siteId ?? '']?.zone;
  const voids = histories.map((history) => ({
    ...correctionOf(history, { action: 'void' }, { actId, now, shared }),
    id: idOf(`void/${history.original.id}`),
  }));
  const movedIds = new Map(histories.map(({ original }) => [original.id, idOf(original.id)]));
  const written = histories.flatMap(({ counts }) => {
    if (!counts) return [];
    const isOtherPump = !counts.subjects.some(({ type, id }) => type === 'pump' && id === to.pumpId);
    const had = counts.subjects.find(({ type }) => type === 'equipment')?.id ?? null;
    const equipmentId = to.equipmentId ?? (isOtherPump ? (pump?.equipmentId ?? null) : had);
    const subjects: Subject[] = [{ type: 'pump', id: to.pumpId }];
    if (had !== null && equipmentId !== null) subjects.push({ type: 'equipment', id: equipmentId });
    const entry = {
      ...counts,
      ...shared,
      id: movedIds.get(counts.id) ?? counts.id,
      actId,
      subjects,
      zone: zone ?? counts.zone,
      recordedAt: now,
      // Who did it then, did it still.
      who: counts.who ?? shared.who ?? null,
      body: { ...counts.body, ...drawnIn(counts, movedIds) },
    };
    return [entry as Entry];
  });
  return { voids, written, all: [...voids, ...written] };
}

/** A look names the entry that drew its oil: the moved one, or none where that stays behind. */
function drawnIn(entry: Entry, movedIds: ReadonlyMap<string, string>): { drawnId?: string | null } {
  if (entry.kind !== 'look' || !entry.body.drawnId) return {};
  return { drawnId: movedIds.get(entry.body.drawnId) ?? null };
}
