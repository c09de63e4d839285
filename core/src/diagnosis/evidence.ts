import type { Entry } from '../journal/index.js';
import { FINDINGS, type FindingId, type StateOf } from './all-findings.js';

/** A finding that the journal holds, with where it came from. */
export interface Evidence {
  readonly id: FindingId;
  readonly state: string;
  /** When it was so, and the entry that says it. */
  readonly at: string;
  readonly entryId: string;
  /** How much it still says, from 0 to 1. */
  readonly certainty: number;
}

/** What one entry, or a few, say about a finding. */
export const says = <F extends FindingId>(entry: Entry, id: F, state: StateOf<F>): Omit<Evidence, 'certainty'> => ({
  id,
  state,
  at: entry.happenedAt,
  entryId: entry.id,
});

/** A log may be wrong, and a look may be: nobody stands beside it now. */
const LOGGED = 0.95;
/** What says less than this is left out. */
const LEAST_CERTAINTY = 0.1;
const DAY_MS = 86_400_000;

/**
 * The newest word on each finding, the less certain the older it is: after its half-life it says half.
 * @param now instant of the question
 */
export function newest(said: readonly Omit<Evidence, 'certainty'>[], now: string): Evidence[] {
  const byId = new Map<FindingId, Omit<Evidence, 'certainty'>>();
  for (const one of said) {
    const known = byId.get(one.id);
    if (!known || known.at <= one.at) byId.set(one.id, one);
  }
  return [...byId.values()]
    .map((one): Evidence => {
      const days = Math.max(0, (Date.parse(now) - Date.parse(one.at)) / DAY_MS);
      return { ...one, certainty: LOGGED * 0.5 ** (days / FINDINGS[one.id].halfLifeDays) };
    })
    .filter((one) => one.certainty >= LEAST_CERTAINTY);
}
