import type { NotTold } from '../fold/index.js';
import type { SumpKey, PumpLeft } from '../journal/index.js';
import type { TaskId, VerdictLevel } from '../limits/index.js';
import type { MachineFinding } from '../machine/index.js';
import type { Act, AnsweredBy, Finding } from '../oil/index.js';
import type { LimitStanding } from './limit-standing.js';
import type { UnfitOil } from './service-fitness.js';

interface ReasonBase {
  readonly level: VerdictLevel;
  readonly act: Act;
  readonly answeredBy: AnsweredBy;
}

/** A finding with the sump in which it stands: a booster has three that can be low. */
export type StandingFinding = Finding & {
  readonly sump: SumpKey;
  /** It could be answered by a purge, and with air that could burn. */
  readonly airBarred?: boolean;
};

/** What the pump itself says; where solvent bars air, a purge that it asks for is a change. */
export type StandingMachineFinding = MachineFinding & { readonly airBarred?: boolean };

/** Why the verdict is what it is. Findings come from looks, the others from limits. */
export type Reason =
  | StandingFinding
  | StandingMachineFinding
  | (ReasonBase & {
      readonly code: 'changeDue';
      readonly task: TaskId;
      readonly decides: LimitStanding;
      readonly sinceAt: string;
    })
  | (ReasonBase & { readonly code: 'lookDue'; readonly decides: LimitStanding; readonly sinceAt: string })
  | (Omit<ReasonBase, 'answeredBy'> & {
      readonly code: 'blankOffDue';
      readonly answeredBy: 'measuring';
      readonly decides: LimitStanding;
      readonly sinceAt: string;
    })
  | (ReasonBase & { readonly code: 'lastRunBeforeChange'; readonly decides: LimitStanding })
  | (ReasonBase & { readonly code: 'carriedOver'; readonly runs: number })
  | (ReasonBase & { readonly code: 'caseOpen'; readonly sinceAt: string; readonly complaint: string })
  | (ReasonBase & { readonly code: 'caseToCheck'; readonly closedAt: string; readonly complaint: string })
  /** A service let its oil out, and none is in it yet. */
  | (ReasonBase & { readonly code: 'drained'; readonly sinceAt: string; readonly who: string | null })
  /** A service opened or capped it, and nobody has closed or freed it. */
  | (ReasonBase & {
      readonly code: 'notWhole';
      readonly how: Exclude<PumpLeft, 'closed'>;
      readonly sinceAt: string;
      readonly who: string | null;
    })
  /** A service under way; `waitUntil` of the wait that goes on, `overdue` once that has passed. */
  | (ReasonBase & {
      readonly code: 'jobOpen';
      readonly procedure: string;
      readonly sinceAt: string;
      readonly who: string | null;
      readonly paused: boolean;
      readonly waitUntil: string | null;
      readonly overdue: boolean;
    })
  /** A jar of the last change stands to be read from `fromAt` on. */
  | (ReasonBase & {
      readonly code: 'jarToRead';
      readonly entryId: string;
      readonly fromAt: string;
      readonly ready: boolean;
    })
  | (ReasonBase & { readonly code: 'notTakenOver' })
  /** Samples and bleeds have lowered the level, and nobody has read it since. */
  | (ReasonBase & { readonly code: 'readLevel'; readonly takenUl: number })
  | (ReasonBase & { readonly code: 'unfitOil' } & UnfitOil)
  /** Somebody said something of it that does not count: until that is settled nobody can say “run on”. */
  | {
      readonly code: 'unsettled';
      readonly level: 'lookSooner';
      readonly act: null;
      readonly answeredBy: 'settling';
      readonly corrections: number;
    }
  /** Its state is of before an update and is being made anew: nobody can say “run on” until it is. */
  | { readonly code: 'madeAnew'; readonly level: 'beforeNextRun'; readonly act: null; readonly answeredBy: 'waiting' }
  | {
      readonly code: 'notTold';
      readonly level: 'runOn';
      /** Nothing is to be done at the pump: whoever knows corrects the entry. */
      readonly act: null;
      readonly answeredBy: 'correction';
      readonly entries: readonly NotTold[];
    };

export type ReasonCode = Reason['code'];
