import {
  guideOf,
  partsUsed,
  workedMinutes,
  recordOf,
  type Entry,
  type EntryBodies,
  type EntryKind,
  type GuideStep,
  type JobState,
  type ProcedureId,
  type PumpModel,
  type Service,
  type Subject,
} from '@winter-jar/core';
import { v5 as idFrom } from 'uuid';

/** What an entry of a job says; who writes, for which pump and when it is recorded are added. */
export type JobDraft = {
  [K in EntryKind]: {
    readonly kind: K;
    readonly id: string;
    readonly happenedAt: string;
    readonly body: EntryBodies[K];
    /** Entries of the record stand by themselves: they are about the pump alone. */
    readonly ofJob: boolean;
  };
}[EntryKind];

/** The same deed of the same job has the same id on every device: the first that is written stands. */
const jobEntryId = (jobId: string, ...names: readonly (string | number)[]): string => idFrom(names.join('/'), jobId);

/** After all that the job has said, whatever the clock of this device. */
export function momentAfter(job: Pick<JobState, 'since' | 'said' | 'begun'>, nowMs: number): string {
  const last = [job.since, ...job.said.map(({ at }) => at), ...job.begun.map(({ at }) => at)].reduce((a, b) =>
    a > b ? a : b,
  );
  return new Date(Math.max(nowMs, Date.parse(last) + 1)).toISOString();
}

/** What a step is answered with. */
export interface Answer {
  readonly value?: number | null;
  readonly choice?: string | null;
  readonly photoId?: string | null;
  /** Of the oil store. */
  readonly containerId?: string | null;
}

const MINUTE_MS = 60_000;

/** A wait begins as soon as it is come to. */
function begins(job: JobState, at: GuideStep | null, happenedAt: string, attempt: number): JobDraft[] {
  if (at?.shown.step.kind !== 'wait' || at.begun) return [];
  const { id: step, minutes, oil, pump } = at.shown.step;
  const until = new Date(Date.parse(happenedAt) + minutes * MINUTE_MS).toISOString();
  const { visit } = at;
  return [
    {
      kind: 'jobStep',
      id: jobEntryId(job.jobId, step, visit, 'begun', attempt),
      happenedAt,
      body: { step, visit, phase: 'begun', until, ...(oil ? { oil } : {}), ...(pump ? { pump } : {}) },
      ofJob: true,
    },
  ];
}

/** What a job that ends leaves behind. */
export function endOf(
  job: JobState,
  done: readonly GuideStep[],
  input: {
    how: 'done' | 'givenUp';
    happenedAt: string;
    model: PumpModel;
    productOf: (sump: string) => string | null;
  },
): JobDraft[] {
  const { how, happenedAt, model, productOf } = input;
  const parts = partsUsed(done, model);
  const record = recordOf(done, productOf).map(({ name, ...line }) => ({
    ...line,
    id: jobEntryId(job.jobId, line.kind, name),
    ofJob: false,
  }));
  const ended = {
    kind: 'jobEnded',
    id: jobEntryId(job.jobId, 'ended'),
    happenedAt,
    body: { how, ...(parts.length > 0 ? { parts } : {}), workedMinutes: workedMinutes(done, job.startedAt) },
    ofJob: true,
  } as const;
  return [...record, ended];
}

/** A job that begins, at its first step. */
export function startOf(input: {
  jobId: string;
  procedure: ProcedureId;
  others: readonly ProcedureId[];
  service: Service;
  happenedAt: string;
}): JobDraft[] {
  const { jobId, procedure, others, service, happenedAt } = input;
  const empty = { said: [], begun: [] };
  const job = {
    jobId,
    procedure,
    with: others,
    startedAt: happenedAt,
    since: happenedAt,
    who: null,
    paused: null,
    foundDrained: false,
    foundNotWhole: null,
  };
  const { current } = guideOf(service, empty);
  return [
    {
      ...{ kind: 'jobStarted', id: jobEntryId(jobId, 'started'), happenedAt, ofJob: true },
      body: { procedure, ...(others.length > 0 ? { with: others } : {}) },
    },
    ...begins({ ...job, ...empty }, current, new Date(Date.parse(happenedAt) + 1).toISOString(), 1),
  ];
}

/** Whether an answer ended the job, and the procedure that follows then. */
export interface AfterAnswer {
  readonly ended: boolean;
  readonly follow: string | null;
}
const GOES_ON: AfterAnswer = { ended: false, follow: null };

/**
 * What an answer to the present step writes: the answer, the wait that begins with it, and at the last step the record.
 * @param attempt 1, and one more for each time that this step was taken back
 */
export function answerOf(
  job: JobState,
  service: Service,
  input: {
    answer: Answer;
    nowMs: number;
    attempt: number;
    model: PumpModel;
    productOf: (sump: string) => string | null;
  },
): { readonly drafts: JobDraft[]; readonly then: AfterAnswer } {
  const { answer, nowMs, attempt, model, productOf } = input;
  const { current } = guideOf(service, job);
  if (!current) return { drafts: [], then: { ended: true, follow: null } };
  const { visit } = current;
  const { id: step, kind, oil, pump } = current.shown.step;
  const happenedAt = momentAfter(job, nowMs);
  const id = jobEntryId(job.jobId, step, visit, 'done', attempt);
  const photoId = answer.photoId ?? null;
  const container = answer.containerId ? { containerId: answer.containerId } : {};
  const said = { step, visit, value: answer.value ?? null, choice: answer.choice ?? null, ...container };
  // A wait has let the oil out when it began.
  const left = kind === 'wait' ? {} : { ...(oil ? { oil } : {}), ...(pump ? { pump } : {}) };
  const done: JobDraft = {
    kind: 'jobStep',
    id,
    happenedAt,
    body: { ...said, ...(photoId ? { photoId } : {}), phase: 'done', ...left },
    ofJob: true,
  };
  const after = {
    ...job,
    said: [...job.said, { ...said, entryId: id, at: happenedAt, who: null, oil: oil ?? null }],
  };
  const next = guideOf(service, after);
  const later = new Date(Date.parse(happenedAt) + 1).toISOString();
  if (next.current) return { drafts: [done, ...begins(job, next.current, later, attempt)], then: GOES_ON };
  const end = endOf(job, next.done, { how: 'done', happenedAt: later, model, productOf });
  return { drafts: [done, ...end], then: { ended: true, follow: next.ended?.follow ?? null } };
}

/** Drafts as entries of the one deed that a job is. */
export function entriesOfJob(
  drafts: readonly JobDraft[],
  input: {
    jobId: string;
    pumpId: string;
    zone: string;
    now: string;
    shared: Pick<Entry, 'who' | 'device' | 'acknowledged' | 'bodyVersion'>;
  },
): Entry[] {
  const { jobId, pumpId, zone, now, shared } = input;
  const pump: Subject = { type: 'pump', id: pumpId };
  return drafts.map(({ ofJob, ...draft }) => ({
    ...draft,
    ...shared,
    actId: jobId,
    subjects: ofJob ? [pump, { type: 'job', id: jobId }] : [pump],
    zone,
    precision: 'exact',
    recordedAt: now,
  }));
}
