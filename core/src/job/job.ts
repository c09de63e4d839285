import type { Entry, JobEnd, JobMove, OilLeft, PumpLeft } from '../journal/index.js';
import { jobIdOf } from '../journal/index.js';

export type JobEntry = Extract<Entry, { kind: 'jobStarted' | 'jobStep' | 'jobMoved' | 'jobEnded' }>;

interface Said {
  readonly entryId: string;
  readonly step: string;
  readonly visit: number;
  readonly at: string;
  readonly who: string | null;
}
/** A step that was answered. */
export interface StepSaid extends Said {
  readonly value: number | null;
  readonly choice: string | null;
  /** Where one was taken. */
  readonly photoId?: string;
  /** Of the oil store, where one was said. */
  readonly containerId?: string;
  readonly oil: OilLeft | null;
}
/** A wait that was begun. */
export interface WaitBegun extends Said {
  readonly until: string | null;
}

/** What a job begins with. */
interface Found {
  readonly drained: boolean;
  readonly notWhole: Exclude<PumpLeft, 'closed'> | null;
}
const WHOLE: Found = { drained: false, notWhole: null };
const asFound = ({ drained, notWhole }: Found) => ({ foundDrained: drained, foundNotWhole: notWhole });

/** A service under way, as its entries tell it. Clock-free. */
export interface JobState {
  readonly jobId: string;
  readonly procedure: string;
  /** What else is done in the same visit. */
  readonly with: readonly string[];
  readonly startedAt: string;
  /** Who is at it; null where nobody said. */
  readonly who: string | null;
  readonly since: string;
  /** Its oil was out already. */
  readonly foundDrained: boolean;
  /** It was opened or capped already. */
  readonly foundNotWhole: Found['notWhole'];
  readonly paused: { readonly at: string; readonly who: string | null } | null;
  readonly said: readonly StepSaid[];
  readonly begun: readonly WaitBegun[];
}

/** Steps that a job keeps; one with more of them goes in circles. */
export const MOST_STEPS = 400;

/** @returns the job with one more entry; null once it has ended, or where the entry is of another job */
export function afterJobEntry(job: JobState | null, entry: JobEntry, found: Found): JobState | null {
  const jobId = jobIdOf(entry) ?? '';
  const [at, who] = [entry.happenedAt, entry.who ?? null];
  if (entry.kind === 'jobStarted') {
    const { procedure } = entry.body;
    const others = entry.body.with ?? [];
    return {
      jobId,
      procedure,
      with: others,
      startedAt: at,
      who,
      since: at,
      ...asFound(found),
      paused: null,
      said: [],
      begun: [],
    };
  }
  if (job?.jobId !== jobId) return job;
  switch (entry.kind) {
    case 'jobStep':
      return withStep(job, entry);
    case 'jobMoved':
      return MOVES[entry.body.how](job, { at, who, to: entry.body.to ?? null });
    case 'jobEnded':
      return null;
  }
}

const MOVES: Readonly<
  Record<JobMove, (job: JobState, said: { at: string; who: string | null; to: string | null }) => JobState>
> = {
  paused: (job, { at, who }) => ({ ...job, paused: { at, who } }),
  resumed: (job, { at, who }) => ({ ...job, paused: null, who, since: at }),
  handedOver: (job, { at, to }) => ({ ...job, paused: null, who: to, since: at }),
};

/** The first answer stands. */
function withStep(job: JobState, entry: Extract<JobEntry, { kind: 'jobStep' }>): JobState {
  const { step, visit, phase, until = null, value = null, choice = null, photoId = null, oil = null } = entry.body;
  const { containerId = null } = entry.body;
  const said = { entryId: entry.id, step, visit, at: entry.happenedAt, who: entry.who ?? null };
  const list: readonly Said[] = phase === 'begun' ? job.begun : job.said;
  if (list.length >= MOST_STEPS || list.some((one) => one.step === step && one.visit === visit)) return job;
  return phase === 'begun'
    ? { ...job, begun: [...job.begun, { ...said, until }] }
    : {
        ...job,
        said: [
          ...job.said,
          { ...said, value, choice, ...(photoId ? { photoId } : {}), ...(containerId ? { containerId } : {}), oil },
        ],
      };
}

/** The end of the wait that goes on, the latest begun; null where none does. */
export function waitUntil({ begun, said }: Pick<JobState, 'begun' | 'said'>): string | null {
  const last = begun.at(-1);
  const isDone = said.some((one) => one.step === last?.step && one.visit === last.visit);
  return last && !isDone ? last.until : null;
}

/** A job as its own entries tell it, from its start to its end. */
export interface JobStory {
  readonly job: JobState;
  readonly ended: { readonly at: string; readonly who: string | null; readonly how: JobEnd } | null;
}

/** @param entries of one job, in the journal's order; others among them are left out. @returns null where none started it */
export function jobStory(entries: readonly Entry[]): JobStory | null {
  let job: JobState | null = null;
  let ended: JobStory['ended'] = null;
  for (const entry of entries)
    if (entry.kind === 'jobEnded') ended = { at: entry.happenedAt, who: entry.who ?? null, how: entry.body.how };
    else if (isJobEntry(entry)) job = afterJobEntry(job, entry, WHOLE);
  return job && { job, ended };
}

const isJobEntry = (entry: Entry): entry is JobEntry => jobIdOf(entry) !== null;
