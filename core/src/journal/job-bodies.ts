/** A job is a subject of its own; its pump stands beside it. All entries of a job are one deed. */
export interface JobStartedBody {
  /** A procedure of core/service. */
  readonly procedure: string;
  /** Others that are done in the same visit. */
  readonly with?: readonly string[] | null;
  readonly remark?: string | null;
}

export const STEP_PHASES = ['begun', 'done'] as const;
/** A wait is begun, with its end, and done; every other step is done at once. */
export type StepPhase = (typeof STEP_PHASES)[number];
/** What a step leaves the pump in: without its oil, or with oil in it again. */
export const OIL_LEFT = ['out', 'in'] as const;
export type OilLeft = (typeof OIL_LEFT)[number];
/** And its case and lines: opened, inlet and exhaust capped, or whole again and free. */
export const PUMP_LEFT = ['open', 'capped', 'closed'] as const;
export type PumpLeft = (typeof PUMP_LEFT)[number];

/** One step as it was answered. */
export interface JobStepBody {
  readonly step: string;
  /** The how manieth time the guide came to it, from 1. */
  readonly visit: number;
  readonly phase: StepPhase;
  /** Of a wait that was begun: when it ends. */
  readonly until?: string | null;
  /** mL, °C or Pa, as the step asks for; null where it was not measured. */
  readonly value?: number | null;
  /** The id of what was chosen; of a fill with another oil than before, that oil's. */
  readonly choice?: string | null;
  /** Of the oil store: what was filled from, or drained into. */
  readonly containerId?: string | null;
  /** SHA-256 of a photograph that was uploaded before. */
  readonly photoId?: string | null;
  readonly oil?: OilLeft | null;
  readonly pump?: PumpLeft | null;
}

export const JOB_MOVES = ['paused', 'resumed', 'handedOver'] as const;
export type JobMove = (typeof JOB_MOVES)[number];

/** Who is at it changed. */
export interface JobMovedBody {
  readonly how: JobMove;
  /** Handed over: the person who goes on. */
  readonly to?: string | null;
  /** Handed over: the next one hung their own lock before the first took theirs off. */
  readonly locksChanged?: boolean | null;
  readonly remark?: string | null;
}

export const JOB_ENDS = ['done', 'givenUp'] as const;
export type JobEnd = (typeof JOB_ENDS)[number];

/** A part that was fitted: its place, and what the model calls it; null where nobody has said. */
export interface PartUsed {
  readonly place: string;
  readonly part: string | null;
}

export interface JobEndedBody {
  readonly how: JobEnd;
  readonly parts?: readonly PartUsed[] | null;
  /** How long hands were at it. */
  readonly workedMinutes?: number | null;
  readonly remark?: string | null;
}
