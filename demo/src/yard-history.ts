import {
  BODY_VERSION,
  compareOrder,
  seededRandom,
  setUpBook,
  simulatePump,
  type Entry,
  type SetUpVersion,
} from '@winter-jar/core';
import { JOBS } from './jobs.js';
import { LAST_DAYS } from './last-days.js';
import { PROFILES } from './profiles.js';
import { ONLOOKERS, PEOPLE, YARD_RECORDS } from './records.js';
import { withStore } from './store.js';
import { vacuumTests } from './vacuum-tests.js';

const SEED = 20_260;
const WRITERS = Object.keys(PEOPLE);
const DAY_MS = 86_400_000;
const FIVE_MINUTES_MS = 300_000;
const MONTHS_OF_HISTORY_DAYS = 182;

export interface Yard {
  readonly versions: readonly SetUpVersion[];
  readonly entries: readonly Entry[];
  /** Gauge logs that its tests cite, as the gauges exported them. */
  readonly gaugeLogs: readonly string[];
}

/** The yard as it would stand at a moment: its set-up and six months of entries. Fixed seed, dates relative to `now`. */
export function yardHistory(now: string): Yard {
  // Runs begin at whole five minutes: the yard is the same in each of them.
  const nowMs = Math.floor(Date.parse(now) / FIVE_MINUTES_MS) * FIVE_MINUTES_MS;
  const from = new Date(nowMs - MONTHS_OF_HISTORY_DAYS * DAY_MS).toISOString();
  const ids = seededRandom(SEED);
  const versions = YARD_RECORDS.map(
    (r) => ({ id: ids.uuid(Date.parse(from)), ...r, validFrom: from, recordedAt: from }) as SetUpVersion,
  );
  const book = setUpBook(versions);
  /** A pump that runs now began that run after all others. */
  const untilOf = (pumpId: string): string => {
    const goesOn = LAST_DAYS.find((e) => e.pumpId === pumpId && e.kind === 'run');
    return new Date(nowMs - (goesOn?.hoursBefore ?? 0) * 3_600_000).toISOString();
  };
  const simulated = PROFILES.flatMap((profile, i) => {
    const random = seededRandom(SEED + 7 * (i + 1));
    return simulatePump({ profile, book, from, until: untilOf(profile.pumpId), random });
  });
  const vacuum = vacuumTests(nowMs);
  const placed = [...LAST_DAYS, ...JOBS, ...vacuum.entries].map((said) => {
    const at = new Date(nowMs - said.hoursBefore * 3_600_000).toISOString();
    return { said, at, id: ids.uuid(Date.parse(at)) };
  });
  const last = placed.map(({ said, at, id }): Entry => {
    const { pumpId, equipmentId, kind, body, cites, ofCase, ofJob, waitMinutes, who } = said;
    const named = (name: string | undefined) => placed.find((p) => name !== undefined && p.said.name === name)?.id;
    const [sampleId, caseId, jobId] = [named(cites), named(ofCase), named(ofJob)];
    const until = waitMinutes === undefined ? null : new Date(Date.parse(at) + waitMinutes * 60_000).toISOString();
    return {
      id,
      actId: jobId ?? id,
      kind,
      body: { ...body, ...(sampleId ? { sampleId } : {}), ...(until ? { until } : {}) },
      subjects: [
        { type: 'pump', id: pumpId },
        ...(equipmentId ? [{ type: 'equipment', id: equipmentId }] : []),
        ...(jobId && kind.startsWith('job') ? [{ type: 'job', id: jobId }] : []),
        ...(caseId ? [{ type: 'case', id: caseId }] : []),
      ],
      happenedAt: at,
      zone: 'Europe/Lisbon',
      precision: 'exact',
      recordedAt: at,
      who: who ?? WRITERS[id.charCodeAt(id.length - 1) % WRITERS.length] ?? null,
      device: 'yard tablet (simulated)',
      acknowledged: [],
      bodyVersion: BODY_VERSION,
    } as Entry;
  });
  const yard = withStore({ versions, entries: [...simulated, ...last].sort(compareOrder), nowMs, from });
  // Ids of their own: those of the history stay what they were.
  const others = seededRandom(SEED + 1);
  const onlookers = Object.entries(ONLOOKERS).map(([subjectId, body]): SetUpVersion => {
    const id = others.uuid(Date.parse(from));
    return { id, kind: 'person', subjectId, body, validFrom: from, recordedAt: from };
  });
  return {
    versions: [...yard.versions, ...onlookers],
    entries: yard.entries.sort(compareOrder),
    gaugeLogs: vacuum.logs,
  };
}
