import type { ServiceTimes, StepTimes } from '@winter-jar/contracts';
import {
  jobStory,
  minutesByStep,
  personKind,
  pumpIdsOf,
  stepsAnswered,
  type Entry,
  type PumpSetUp,
  type ServiceTime,
  type SetUpBook,
} from '@winter-jar/core';
import type { Reading } from '../database/reading.js';

/** Beginnings and ends that are looked at: some thousand jobs. */
const MOST_ROWS = 2000;
/** Of a service at a model: what was long ago says little of today. */
const TIMES_KEPT = 25;

type Started = Extract<Entry, { kind: 'jobStarted' }>;
type Ended = Extract<Entry, { kind: 'jobEnded' }>;
interface JobDone {
  readonly begun: Started;
  readonly ended: Ended;
  readonly setUp: PumpSetUp;
}

/** Services that were done to their end, the newest first; of several in one visit nobody knows which took how long. */
function jobsDone(sql: Pick<Reading['sql'], 'lastJobs'>, book: SetUpBook): JobDone[] {
  const rows = sql.lastJobs
    .all(MOST_ROWS)
    .map(({ jobId, content }) => ({ jobId, entry: JSON.parse(content) as Entry }));
  const started = new Map(rows.filter(({ entry }) => entry.kind === 'jobStarted').map((r) => [r.jobId, r.entry]));
  return rows.flatMap(({ jobId, entry: ended }): JobDone[] => {
    const begun = started.get(jobId);
    if (ended.kind !== 'jobEnded' || ended.body.how !== 'done' || begun?.kind !== 'jobStarted') return [];
    const [pumpId = ''] = pumpIdsOf(begun);
    const setUp = book.pumpAt({ pumpId, instant: begun.happenedAt });
    return setUp && !begun.body.with?.length ? [{ begun, ended, setUp }] : [];
  });
}

/** How long services took, by procedure, model and kind of people. */
export function serviceTimes(sql: Pick<Reading['sql'], 'lastJobs'>, book: SetUpBook): ServiceTimes {
  const times = new Map<string, ServiceTime & { minutes: number[] }>();
  for (const { begun, ended, setUp } of jobsDone(sql, book)) {
    const took = ended.body.workedMinutes ?? null;
    if (took === null) continue;
    const { procedure } = begun.body;
    const { modelId } = setUp.pump;
    const kind = personKind(setUp.house.person[ended.who ?? '']);
    const key = `${procedure}/${modelId}/${kind}`;
    const known = times.get(key) ?? { procedure, modelId, kind, minutes: [] };
    if (known.minutes.length < TIMES_KEPT) known.minutes.push(took);
    times.set(key, known);
  }
  return { times: [...times.values()] };
}

/** How long each step of one procedure took at one model. */
export async function stepTimes(
  { sql, records }: Pick<Reading, 'sql' | 'records'>,
  book: SetUpBook,
  of: { readonly procedure: string; readonly modelId: string },
): Promise<StepTimes> {
  const jobs = jobsDone(sql, book)
    .filter(({ begun, setUp }) => begun.body.procedure === of.procedure && setUp.pump.modelId === of.modelId)
    .slice(0, TIMES_KEPT);
  const steps = new Map<string, number[]>();
  for (const { begun, setUp } of jobs) {
    const story = jobStory(await records.ofDeed(begun.actId));
    if (!story) continue;
    for (const { step, minutes } of minutesByStep(stepsAnswered(story.job, setUp), story.job.startedAt))
      steps.set(step, [...(steps.get(step) ?? []), minutes]);
  }
  return { steps: [...steps].map(([step, minutes]) => ({ step, minutes })) };
}
