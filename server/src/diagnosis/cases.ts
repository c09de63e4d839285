import type { CaseLine } from '@winter-jar/contracts';
import { caseIdOf, type CauseId, type ClosedCase, type Entry, type Process } from '@winter-jar/core';

export interface CaseRow {
  readonly pumpId: string;
  readonly entry: Entry;
}

/** The cases that entries tell of, in the order in which they were opened. */
export function caseLines(rows: readonly CaseRow[]): CaseLine[] {
  const lines = new Map<string, CaseLine>();
  for (const { pumpId, entry } of rows) {
    const caseId = caseIdOf(entry) ?? '';
    const known = lines.get(caseId);
    if (entry.kind === 'caseOpened') {
      const { complaint } = entry.body;
      const nothing = { closedAt: null, causeId: null, remedy: null, held: null };
      lines.set(caseId, { caseId, pumpId, complaint, openedAt: entry.happenedAt, ...nothing });
    }
    if (!known) continue;
    if (entry.kind === 'caseClosed') {
      const { causeId, remedy } = entry.body;
      lines.set(caseId, {
        ...known,
        closedAt: entry.happenedAt,
        causeId,
        remedy,
        held: null,
      });
    }
    if (entry.kind === 'caseChecked') {
      const { held } = entry.body;
      // What did not hold is open again; what it was thought to be is gone with it.
      lines.set(caseId, held ? { ...known, held } : { ...known, closedAt: null, causeId: null, held });
    }
  }
  return [...lines.values()];
}

/** Confirmed causes that say something about a pump: its own, and those of pumps in the same process. */
export function confirmedFor(input: {
  pumpId: string;
  process: Process;
  cases: readonly CaseLine[];
  processOf: (pumpId: string) => Process | null;
}): ClosedCase[] {
  const { pumpId, process, cases, processOf } = input;
  return cases.flatMap(({ causeId, pumpId: of }): ClosedCase[] => {
    if (causeId === null) return [];
    if (of === pumpId) return [{ cause: causeId as CauseId, on: 'thisPump' }];
    return processOf(of) === process ? [{ cause: causeId as CauseId, on: 'sameKind' }] : [];
  });
}
