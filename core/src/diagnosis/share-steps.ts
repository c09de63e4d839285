import type { CauseId } from './all-causes.js';
import type { FindingId, Found } from './all-findings.js';
import { CAUSE_IDS } from './causes-in-order.js';
import { checked, factorsOf, isSign, oddsBefore, sharesOf, weightsOf, type Asked } from './rank.js';

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
  const findings = checked(asked.findings);
  const conditions = findings.filter((f) => !isSign(f));
  const signs = findings.filter(isSign);
  const step = (found: Found | null, weights: Float64Array): ShareStep => {
    const shares = sharesOf(weights);
    const byId = Object.fromEntries(CAUSE_IDS.map((id, c) => [id, shares[c] ?? 0])) as Record<CauseId, number>;
    return { finding: found?.id ?? null, state: found?.state ?? null, shares: byId };
  };
  const before = (known: number) => weightsOf(oddsBefore({ ...asked, findings: conditions.slice(0, known) }), []);
  const steps = [step(null, before(0)), ...conditions.map((found, i) => step(found, before(i + 1)))];
  const weights = before(conditions.length);
  factorsOf(signs).forEach((factor, f) => {
    for (let i = 0; i < weights.length; i++) weights[i]! *= factor[i]!;
    steps.push(step(signs[f] ?? null, weights));
  });
  return steps;
}
