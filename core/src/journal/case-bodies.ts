import type { JudgedLog } from './gauge-log-bodies.js';

/** One finding by the ids of core/diagnosis, and how sure whoever made it is, above 0 and up to 1. */
export interface FoundSaid {
  readonly id: string;
  readonly state: string;
  readonly certainty: number;
}

/** Where a pressure was measured; at the exhaust it is over ambient. */
export const MEASURED_WHERE = ['pump', 'hoseEnd', 'chamber', 'exhaust'] as const;
export type MeasuredWhere = (typeof MEASURED_WHERE)[number];

/** A pressure that was measured in a test, and how the pump stood. */
export interface MeasuredPressure {
  readonly pa: number;
  readonly where: MeasuredWhere;
  readonly ballast?: 'open' | 'closed' | null;
  /** Fresh oil was filled for it, or the oil was as it is. */
  readonly oil?: 'fresh' | 'asIs' | null;
  readonly oilTempC?: number | null;
  /** By the words on it. */
  readonly gauge?: string | null;
}

/** What somebody found out: by a test, at a step of the leak hunt, or by looking. */
export interface TestBody {
  /** A test of core/diagnosis; null for what was seen without one. */
  readonly checkId?: string | null;
  /** A step of the leak hunt, and whether it passed. */
  readonly leakStep?: string | null;
  readonly passed?: boolean | null;
  readonly findings: readonly FoundSaid[];
  readonly measured?: readonly MeasuredPressure[] | null;
  readonly log?: JudgedLog | null;
  /** SHA-256 of a photograph that was uploaded before. */
  readonly photoId?: string | null;
  readonly remark?: string | null;
}

/** A case is a subject of its own; its pump stands beside it. */
export interface CaseOpenedBody {
  readonly complaint: string;
}

/** What it was and what was done; null where no cause was found. */
export interface CaseClosedBody {
  readonly causeId: string | null;
  readonly remedy: string;
  /** Runs after which somebody looks whether it held. */
  readonly checkAfterRuns: number;
  readonly remark?: string | null;
}

export interface CaseCheckedBody {
  /** Where it did not, the case is open again. */
  readonly held: boolean;
  readonly remark?: string | null;
}
