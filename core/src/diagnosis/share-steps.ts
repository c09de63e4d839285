import type { CauseId } from './all-causes.js';
import { FINDINGS, type FindingId } from './all-findings.js';
import { sharesOfAll, type Asked } from './rank.js';

/** The shares of all causes once this finding is known besides those before it. */
export interface ShareStep {
  /** Null: nothing is known yet but the process and closed cases. */
  readonly finding: FindingId | null;
  readonly state: string | null;
  readonly shares: Readonly<Record<CauseId, number>>;
}

/**
 * The sum behind every share: from what holds before anything is found, finding by finding, to the share of {@link rank}. Conditions
 * come first, as they were there first; the rest in the order given. Each step is exact; another order would split the way otherwise.
 * @throws RangeError naming a finding or state that is not known
 */
export function sharesInSteps(asked: Asked): ShareStep[] {
  const isCondition = (id: FindingId) => FINDINGS[id].kind === 'condition';
  const ordered = [
    ...asked.findings.filter((f) => isCondition(f.id)),
    ...asked.findings.filter((f) => !isCondition(f.id)),
  ];
  const shares = (known: number) => sharesOfAll({ ...asked, findings: ordered.slice(0, known) });
  return [
    { finding: null, state: null, shares: shares(0) },
    ...ordered.map((found, i): ShareStep => ({ finding: found.id, state: found.state, shares: shares(i + 1) })),
  ];
}
