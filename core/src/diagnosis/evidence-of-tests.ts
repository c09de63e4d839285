import type { Entry, FoundSaid } from '../journal/index.js';
import { FINDINGS, type FindingId } from './all-findings.js';
import type { Observation } from './evidence.js';

const isKnown = (id: string): id is FindingId => Object.hasOwn(FINDINGS, id);
const hasState = ({ id, state }: FoundSaid): boolean => isKnown(id) && Object.hasOwn(FINDINGS[id].states, state);

/** What people found by tests or saw, as sure as they were. A finding that this version does not know is passed over. */
export function evidenceOfTests(entries: readonly Entry[]): Observation[] {
  return entries.flatMap((entry) => {
    if (entry.kind !== 'test') return [];
    const { id: entryId, happenedAt: at, kind } = entry;
    return entry.body.findings.flatMap((found): Observation[] =>
      isKnown(found.id) && hasState(found)
        ? [{ id: found.id, state: found.state, at, entryId, kind, sure: found.certainty }]
        : [],
    );
  });
}
