import type { Entry, EntryKind, Process, PumpSetUp, Suspects } from '@winter-jar/core';

/** What was said of a finding, by the ids of core/diagnosis. */
export interface SaidLine {
  readonly id: string;
  readonly state: string;
  readonly at: string;
  readonly entryId: string;
  /** `setUp`: a record of it, whose kind and id stand for the entry's, `site/…`. */
  readonly kind: EntryKind | 'setUp';
  /** How sure it was then, from 0 to 1. */
  readonly sure: number;
}

export interface EvidenceLine extends SaidLine {
  /** How much it still says, from 0 to 1. */
  readonly certainty: number;
  /** What had been said before and is overruled. */
  readonly before: SaidLine | null;
}

/** A case as its entries tell it. */
export interface CaseLine {
  readonly caseId: string;
  readonly pumpId: string;
  readonly complaint: string;
  readonly openedAt: string;
  /** Null while it is open. */
  readonly closedAt: string | null;
  readonly causeId: string | null;
  readonly remedy: string | null;
  /** Whether the remedy held; null while nobody has checked. */
  readonly held: boolean | null;
}

/** A cause with what speaks for and against it and the sum behind its share, as core/diagnosis ranks it. */
export interface LikelyCause {
  readonly id: string;
  readonly probability: number;
  readonly prior: number;
  readonly contributions: readonly {
    readonly finding: string;
    readonly state: string;
    readonly weight: number;
    readonly because: string | null;
  }[];
  /** What held before anything was found, then finding by finding. */
  readonly steps: readonly {
    readonly finding: string | null;
    readonly state: string | null;
    readonly probability: number;
  }[];
}

/** A test with what it tells for what it takes, as core/diagnosis ranks it. */
export interface ProposedCheck {
  readonly id: string;
  /** What of it is not known yet and may be asked for here. */
  readonly settles: readonly string[];
  readonly bits: number;
  readonly effort: number;
  readonly outcomes: readonly {
    readonly finding: string;
    readonly state: string;
    readonly probability: number;
    readonly top: { readonly cause: string; readonly probability: number };
  }[];
}

/** What may be wrong with a pump, and why. */
export interface DiagnosisAnswer {
  readonly process: Process;
  /** Of each cause, before anything is found. */
  readonly priors: Readonly<Record<string, number>>;
  /** The surest first. */
  readonly evidence: readonly EvidenceLine[];
  /** Known once, too long ago to say anything. */
  readonly faded: readonly EvidenceLine[];
  /** The likeliest first. */
  readonly causes: readonly LikelyCause[];
  /** Probability that none of the causes is at work. */
  readonly nothing: number;
  readonly undecided: boolean;
  /** Those that tell most for what they take first. */
  readonly checks: readonly ProposedCheck[];
  /** The open case, or a closed one that is to be checked. */
  readonly case: CaseLine | null;
  /** Tests and things seen since the case was opened, the oldest first; without a case those of two weeks. */
  readonly tried: readonly Extract<Entry, { kind: 'test' }>[];
  /** Closed cases of this pump, the newest first. */
  readonly past: readonly CaseLine[];
  /** Confirmed causes that have shifted the shares before anything is found. */
  readonly counted: { readonly thisPump: number; readonly sameKind: number };
}

/** A case in full: all that was written about its pump while it was open, and what was said of it later. */
export interface CaseAnswer {
  readonly case: CaseLine;
  readonly setUp: PumpSetUp;
  readonly entries: readonly Entry[];
}

/** Which materials of the house go with dark oil and with water. */
export interface SuspectsAnswer {
  /** Readings from then on are counted. */
  readonly since: string;
  readonly dark: Suspects;
  readonly water: Suspects;
  /** Names of the materials; one that was deleted has none. */
  readonly names: Readonly<Record<string, string>>;
}
