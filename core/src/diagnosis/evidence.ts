import type { Entry, EntryKind } from '../journal/index.js';
import { FINDINGS, type FindingId, type StateOf } from './all-findings.js';

/** What an entry says about a finding. */
export interface Observation {
  readonly id: FindingId;
  readonly state: string;
  /** When it was so, and the entry that says it; where the set-up does, the kind and id of its record. */
  readonly at: string;
  readonly entryId: string;
  readonly kind: EntryKind | 'setUp';
  /** How sure it was then, from 0 to 1. */
  readonly sure: number;
}

/** A finding that the journal holds, with where it came from. */
export interface Evidence extends Observation {
  /** How much it still says, from 0 to 1. */
  readonly certainty: number;
  /** What had been said before and is overruled: another state of the same finding. */
  readonly before: Observation | null;
}

/** A log may be wrong, and a look may be: nobody stands beside it now. */
const LOGGED = 0.95;

/** What one entry, or a few, say about a finding. */
export const observed = <F extends FindingId>(entry: Entry, id: F, state: StateOf<F>): Observation => ({
  id,
  state,
  at: entry.happenedAt,
  entryId: entry.id,
  kind: entry.kind,
  sure: LOGGED,
});

/** What says less than this is as good as not known any more. */
export const LEAST_CERTAINTY = 0.1;
const DAY_MS = 86_400_000;

/**
 * The newest word on each finding, the less certain the older it is: after its half-life it says half.
 * @param now instant of the question
 */
export function newest(said: readonly Observation[], now: string): Evidence[] {
  const byId = new Map<FindingId, Observation[]>();
  for (const one of said) byId.set(one.id, [...(byId.get(one.id) ?? []), one]);
  return [...byId.values()].flatMap((words): Evidence[] => {
    const [last, before] = words.toReversed().sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
    if (!last) return [];
    const days = Math.max(0, (Date.parse(now) - Date.parse(last.at)) / DAY_MS);
    const certainty = last.sure * 0.5 ** (days / FINDINGS[last.id].halfLifeDays);
    return [{ ...last, certainty, before: before && before.state !== last.state ? before : null }];
  });
}
