import type { Entry, Subject } from './entry.js';
import { pumpIdsOf } from './entry.js';

/** What an entry bears upon: the subjects that it names, and those that follow from its body. */
export interface SubjectOf {
  readonly type: Subject['type'] | 'sump';
  readonly id: string;
}

/** A sump's id: oil lives in sumps, and a booster has three. */
export const sumpId = (pumpId: string, sump: string): string => `${pumpId}/${sump}`;

/** The containers that an entry's body names; null where its envelope does. */
function containersIn(entry: Entry): readonly (string | null | undefined)[] | null {
  switch (entry.kind) {
    case 'transfer':
      return [entry.body.fromId, entry.body.toId];
    case 'change':
      return [
        entry.body.fromContainerId,
        entry.body.intoContainerId,
        ...(entry.body.flushed ?? []).flatMap((f) => [f.fromContainerId, f.intoContainerId]),
      ];
    case 'topUp':
      return [entry.body.fromContainerId];
    case 'bleed':
      return [entry.body.intoContainerId];
    case 'look':
      return [entry.body.containerId];
    default:
      return null;
  }
}

/**
 * Subjects of an entry as it counts. Containers come from its body where that names them, so that a correction may name others;
 * whatever moves oil into or out of a pump bears upon the sump.
 */
export function subjectsOf(entry: Entry): readonly SubjectOf[] {
  const isOil =
    entry.kind === 'change' || entry.kind === 'topUp' || entry.kind === 'bleed' || entry.kind === 'labSample';
  const named = containersIn(entry);
  if (!isOil && named === null && entry.kind !== 'mediaChange') return entry.subjects;
  const body = named ?? (entry.kind === 'mediaChange' ? [entry.body.recoveredIntoId] : []);
  const kept = named === null ? entry.subjects : entry.subjects.filter((s) => s.type !== 'container');
  const containers = [...new Set(body.filter((id) => typeof id === 'string'))].filter(
    (id) => !kept.some((s) => s.type === 'container' && s.id === id),
  );
  return [
    ...kept,
    ...containers.map((id) => ({ type: 'container' as const, id })),
    ...(isOil ? pumpIdsOf(entry).map((id) => ({ type: 'sump' as const, id: sumpId(id, entry.body.sump) })) : []),
  ];
}

/** The containers that an entry is about. */
export const containerIdsOf = (entry: Entry): string[] =>
  subjectsOf(entry).flatMap(({ type, id }) => (type === 'container' ? [id] : []));
