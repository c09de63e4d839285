import type { CautionId } from '../cautions/index.js';
import type { MeasuredPressure } from '../journal/index.js';
import type { FindingId } from './all-findings.js';

/** What makes a test dangerous: air may not meet solvent, residues harm whoever comes near them, hot PFPE gives off fumes. */
export type Hazard = 'solvent' | 'toxic' | 'biological' | 'pfpe' | 'harmfulSmell';

/** What a set may have or not, and some tests are about. */
export type SetPart = 'trap' | 'booster' | 'ballast';

/** A test of the trade: what it settles, what it takes, and how it is done. */
export interface Check {
  readonly name: string;
  /** What is known after it. */
  readonly settles: readonly FindingId[];
  readonly minutes: number;
  /** Of parts, plates and laboratories, in the house's money. */
  readonly cost: number;
  /** 1: whoever runs the pump · 2: a technician · 3: a workshop or a laboratory. */
  readonly skill: 1 | 2 | 3;
  /** Whether the process has to wait for it. */
  readonly stopsPump: boolean;
  readonly how: readonly string[];
  readonly cautions: readonly CautionId[];
  /** Where it is not done at all. */
  readonly never?: readonly Hazard[];
  /** The pressure that is read in it, and how the pump stands then. */
  readonly measures?: Pick<MeasuredPressure, 'where' | 'ballast' | 'oil'>;
  /** Without it there is nothing to test. */
  readonly needs?: SetPart;
}
