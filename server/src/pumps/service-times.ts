import type { ServiceTimes } from '@winter-jar/contracts';
import { pumpIdsOf, type Entry, type SetUpBook } from '@winter-jar/core';
import type { Reading } from '../database/reading.js';

/** Beginnings and ends that are looked at: some thousand jobs. */
const MOST_ROWS = 2000;
/** Of a service at a model: what was long ago says little of today. */
const TIMES_KEPT = 25;

/** How long services took that were done to their end, by procedure and model, the newest first. */
export function serviceTimes(sql: Pick<Reading['sql'], 'lastJobs'>, book: SetUpBook): ServiceTimes {
  const rows = sql.lastJobs
    .all(MOST_ROWS)
    .map(({ jobId, content }) => ({ jobId, entry: JSON.parse(content) as Entry }));
  const started = new Map(rows.filter(({ entry }) => entry.kind === 'jobStarted').map((r) => [r.jobId, r.entry]));
  const times = new Map<string, { procedure: string; modelId: string; minutes: number[] }>();
  for (const { jobId, entry } of rows) {
    const begun = started.get(jobId);
    if (entry.kind !== 'jobEnded' || entry.body.how !== 'done' || begun?.kind !== 'jobStarted') continue;
    const { procedure } = begun.body;
    // Of several in one visit nobody knows which took how long.
    if (begun.body.with?.length) continue;
    const [pumpId = ''] = pumpIdsOf(begun);
    const modelId = book.pumpAt({ pumpId, instant: begun.happenedAt })?.pump.modelId;
    const took = entry.body.workedMinutes ?? null;
    if (!modelId || took === null) continue;
    const key = `${procedure}/${modelId}`;
    const known = times.get(key) ?? { procedure, modelId, minutes: [] };
    if (known.minutes.length < TIMES_KEPT) known.minutes.push(took);
    times.set(key, known);
  }
  return { times: [...times.values()] };
}
