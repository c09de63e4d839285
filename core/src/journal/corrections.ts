import { BODY_UPGRADES, upgradedBody, type BodyUpgrade } from './body-version.js';
import type { Correction, Entry, JournalEntry } from './entry.js';
import { compareOrder } from './order.js';

const later = (a: Correction, b: Correction): boolean =>
  a.recordedAt > b.recordedAt || (a.recordedAt === b.recordedAt && a.id > b.id);

/** Those that say something about the entry: all but what was set aside, and the words by which it was. */
function speaking(corrections: readonly Correction[]): readonly Correction[] {
  const asides = corrections.filter((c) => c.body.action === 'setAside');
  if (asides.length === 0) return corrections;
  const left = new Set(asides.flatMap((c) => [c.id, ...(c.body.saw ?? [])]));
  return corrections.filter((c) => !left.has(c.id));
}

/** The correction in force: the greatest (recordedAt, id), whatever the order of arrival. */
export function winningCorrection(corrections: readonly Correction[]): Correction | null {
  return speaking(corrections).reduce<Correction | null>(
    (best, c) => (best === null || later(c, best) ? c : best),
    null,
  );
}

/** Corrections that a correction's writer knew of: as it says itself, else the chain of predecessors. */
function knownTo({ body }: Correction, byId: ReadonlyMap<string, Correction>): ReadonlySet<string> {
  if (body.saw) return new Set(body.saw);
  const known = new Set<string>();
  for (let id = body.supersedes; id !== null && !known.has(id); id = byId.get(id)?.body.supersedes ?? null)
    known.add(id);
  return known;
}

/** The correction in force was written without knowing of another one. A later one that saw both settles it. */
export function correctionsConflict(corrections: readonly Correction[]): boolean {
  const winner = winningCorrection(corrections);
  if (!winner) return false;
  const known = knownTo(winner, new Map(corrections.map((c) => [c.id, c])));
  return speaking(corrections).some((c) => c.id !== winner.id && !known.has(c.id));
}

/** The entry as it counts, its body in the present version, or null when it is void. Corrections may come in any order. */
export function effectiveEntry(
  original: Entry,
  corrections: readonly Correction[],
  steps: readonly BodyUpgrade[] = BODY_UPGRADES,
): Entry | null {
  const winner = winningCorrection(corrections);
  if (winner?.body.action === 'void') return null;
  const said = winner?.body.body ? { body: winner.body.body, bodyVersion: winner.bodyVersion } : original;
  if (!winner && said.bodyVersion > steps.length) return original;
  return {
    ...original,
    happenedAt: winner?.body.happenedAt ?? original.happenedAt,
    body: upgradedBody(original.kind, said, steps),
    bodyVersion: steps.length + 1,
  } as Entry;
}

/** Every entry that counts, in the order of the journal. A correction whose target is not here yet waits. */
export function effectiveEntries(journal: readonly JournalEntry[]): Entry[] {
  const originals = new Map<string, Entry>();
  const corrections = new Map<string, Map<string, Correction>>();
  for (const entry of journal) {
    if (entry.kind !== 'correction') originals.set(entry.id, entry);
    else {
      const known = corrections.get(entry.body.targetId) ?? new Map<string, Correction>();
      corrections.set(entry.body.targetId, known.set(entry.id, entry));
    }
  }
  const counted: Entry[] = [];
  for (const original of originals.values()) {
    const entry = effectiveEntry(original, [...(corrections.get(original.id)?.values() ?? [])]);
    if (entry) counted.push(entry);
  }
  return counted.sort(compareOrder);
}
