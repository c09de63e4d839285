import type { Process } from '../set-up/index.js';
import type { CauseId } from './all-causes.js';
import type { FindingId } from './all-findings.js';
import { rank } from './rank.js';

/**
 * The ranking in short, for checks from outside: what may be wrong, the likeliest first.
 * @param input the process, and what was found, each by the ids of docs/diagnosis.md
 * @returns each cause with the probability that it is at work (from 0 to 1), and whether none stands out
 * @throws RangeError naming a finding or state that is not known
 */
export function diagnose(input: {
  process: Process;
  findings: readonly { readonly id: string; readonly state: string }[];
}): { causes: { id: CauseId; probability: number }[]; undecided: boolean } {
  const findings = input.findings.map(({ id, state }) => ({ id: id as FindingId, state }));
  const { causes, undecided } = rank({ process: input.process, findings });
  return { causes: causes.map(({ id, probability }) => ({ id, probability })), undecided };
}
