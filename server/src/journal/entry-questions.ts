import type { Question } from '@winter-jar/contracts';
import {
  countedAtTakeOver,
  entryHazards,
  equipmentOfRun,
  fitsAsItStands,
  isProcedure,
  jobIdOf,
  localDay,
  needsOilIn,
  pumpIdsOf,
  runMinutes,
  unusualReadings,
  type Entry,
  type PumpSetUp,
  type PumpState,
  type SetUpBook,
} from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';
import { aboveHousing, isAboutSump, type AboutSump } from './entry-rules.js';
import { storeQuestions } from './store-rules.js';

/** A run that overlaps is among the last few that started before the end of this one. */
const RUNS_BEFORE = 3;

/** Times are typed to the minute: a run that begins in the minute in which another ended does not overlap it. */
const MINUTE_MS = 60_000;

/** Later than any run: one that still goes on overlaps all that come after it. */
const NOT_ENDED = '9999-12-31T00:00:00.000Z';

/** When a run ended; null for what does not last. */
export function endOfRun(entry: Entry, setUp: PumpSetUp): string | null {
  if (entry.kind !== 'run') return null;
  if (entry.body.stillRunning) return NOT_ENDED;
  const minutes = runMinutes(entry.body, equipmentOfRun(entry, setUp).equipment);
  return new Date(Date.parse(entry.happenedAt) + minutes * 60_000).toISOString();
}

/** A meter that shows less than before, or more than time has passed, was misread or replaced. */
function meterQuestions(entry: Extract<Entry, { kind: 'meter' }>, pumpId: string, sql: WritingStatements): Question[] {
  const earlier = sql.metersBefore
    .all({ pumpId, until: entry.happenedAt, entryId: entry.id })
    .map((row) => JSON.parse(row.content) as Extract<Entry, { kind: 'meter' | 'takeOver' }>);
  const last = earlier.find((e) => e.kind === 'meter' || (e.body.meterMinutes ?? null) !== null);
  if (!last) return [];
  const shown = last.kind === 'takeOver' ? last.body.meterMinutes : (last.body.newMinutes ?? last.body.minutes);
  const before = { beforeMinutes: shown ?? 0, beforeAt: last.happenedAt };
  const counted = entry.body.minutes - before.beforeMinutes;
  const passed = (Date.parse(entry.happenedAt) - Date.parse(last.happenedAt)) / 60_000;
  if (counted < 0) return [{ code: 'meterBackwards', ...before }];
  return counted > passed + METER_TOLERANCE_MINUTES ? [{ code: 'meterTooFast', ...before }] : [];
}

/** A day known only roughly, and a meter that runs a little fast. */
const METER_TOLERANCE_MINUTES = 24 * 60;

function stateOf(pumpId: string, sql: WritingStatements): PumpState | null {
  const stored = sql.subjectState.get({ subjectType: 'pump', subjectId: pumpId });
  return stored ? (JSON.parse(stored.state) as PumpState) : null;
}

/** A run from before a take-over: one of those that were counted then, or one on top? Where none were counted it counts by itself. */
function takeOverQuestions(entry: Extract<Entry, { kind: 'run' }>, pumpId: string, sql: WritingStatements): Question[] {
  if ((entry.body.beyondTakeOver ?? null) !== null) return [];
  if (!sql.takeOverAfter.get({ pumpId, from: entry.happenedAt })) return [];
  const state = stateOf(pumpId, sql);
  const runs = state && countedAtTakeOver(state, entry.happenedAt);
  return runs && state.takenOver ? [{ code: 'takenOver', takenOverAt: state.takenOver.at, runs }] : [];
}

/** One job at a time on a pump: two who start one at the same moment are told of each other. What stands open is closed first. */
function jobQuestions(
  entry: Extract<Entry, { kind: 'jobStarted' }>,
  pumpId: string,
  sql: WritingStatements,
): Question[] {
  const state = stateOf(pumpId, sql);
  if (!state) return [];
  const { job, notWhole, drained } = state;
  if (job)
    return job.jobId === jobIdOf(entry)
      ? []
      : [{ code: 'jobUnderWay', procedure: job.procedure, startedAt: job.startedAt }];
  const { procedure } = entry.body;
  if (!isProcedure(procedure)) return [];
  const isAfter = (at: string) => entry.happenedAt >= at;
  return [
    ...(drained && isAfter(drained.at) && needsOilIn(procedure)
      ? [{ code: 'startedDrained', drainedAt: drained.at } as const]
      : []),
    ...(notWhole && isAfter(notWhole.at) && !fitsAsItStands(procedure, state)
      ? [{ code: 'startedNotWhole', how: notWhole.how, sinceAt: notWhole.at } as const]
      : []),
  ];
}

/** Two who changed the oil of a sump on one day: did each of them, or did both log the same change? */
function changeQuestions(
  entry: Extract<Entry, { kind: 'change' }>,
  pumpId: string,
  sql: WritingStatements,
): Question[] {
  const { happenedAt, zone, actId, body, who } = entry;
  // Nobody knows whether one who did not say who they are is somebody else.
  if (!who) return [];
  const around = (hours: number) => new Date(Date.parse(happenedAt) + hours * 3_600_000).toISOString();
  const day = localDay({ at: happenedAt, zone });
  const others = sql.changesBetween
    .all({ pumpId, from: around(-25), until: around(25) })
    .map((row) => JSON.parse(row.content) as typeof entry);
  const other = others.find(
    (o) =>
      o.actId !== actId &&
      o.body.sump === body.sump &&
      o.who &&
      o.who !== who &&
      localDay({ at: o.happenedAt, zone }) === day,
  );
  return other ? [{ code: 'changedAlready', otherEntryId: other.id, otherAt: other.happenedAt }] : [];
}

/** A run of a pump whose oil is out, or that stands open or capped: did it run so, or did nobody log the fill, or that it was closed? */
function unfitToRunQuestions(
  entry: Extract<Entry, { kind: 'run' }>,
  pumpId: string,
  sql: WritingStatements,
): Question[] {
  const { drained, notWhole } = stateOf(pumpId, sql) ?? {};
  const runsUntil = entry.body.stillRunning
    ? Infinity
    : Date.parse(entry.happenedAt) + (entry.body.minutes ?? 0) * MINUTE_MS;
  const isAfter = (at: string) => runsUntil > Date.parse(at);
  return [
    ...(drained && isAfter(drained.at) ? [{ code: 'drained', drainedAt: drained.at } as const] : []),
    ...(notWhole && isAfter(notWhole.at)
      ? [{ code: 'notWhole', how: notWhole.how, sinceAt: notWhole.at } as const]
      : []),
  ];
}

/** More out than the charge: was there water in it? More than a housing takes whose volume we took for granted: is that so? */
function volumeQuestions(entry: AboutSump, pump: PumpSetUp): Question[] {
  if (entry.kind === 'change' || entry.kind === 'bleed') {
    const outMl = (entry.kind === 'change' ? entry.body.outMl : entry.body.drawnMl) ?? 0;
    const chargeMl = pump.model.sumps.find((s) => s.key === entry.body.sump)?.chargeMl ?? Infinity;
    if (outMl > chargeMl) return [{ code: 'drainAboveCharge', outMl, chargeMl }];
  }
  const { over, holdsMl, isAssumed } = aboveHousing(pump, entry);
  return isAssumed && over[0] ? [{ code: 'aboveAssumedHousing', ml: over[0].ml ?? 0, holdsMl }] : [];
}

/** Soft rules: the person is asked, and may say yes. */
export function questionsAbout(entry: Entry, book: SetUpBook, sql: WritingStatements): Question[] {
  const readings = unusualReadings(entry);
  const open: Question[] = readings.length > 0 ? [{ code: 'unusual', readings }] : [];
  open.push(...storeQuestions(entry, { book, sql, stands: (pumpId) => stateOf(pumpId, sql) }));
  for (const pumpId of pumpIdsOf(entry)) {
    const pump = book.pumpAt({ pumpId, instant: entry.happenedAt });
    if (!pump) continue;
    if (entry.kind === 'run' && entry.precision === 'exact') {
      const until = endOfRun(entry, pump) ?? entry.happenedAt;
      const before = sql.runsBefore.all({ pumpId, until, entryId: entry.id, limit: RUNS_BEFORE });
      const other = before.find((run) => Date.parse(run.endedAt) - Date.parse(entry.happenedAt) >= MINUTE_MS);
      if (other)
        open.push({
          code: 'overlap',
          otherEntryId: other.entryId,
          otherFrom: other.happenedAt,
          otherUntil: other.endedAt,
        });
    }
    if (entry.kind === 'run' && pump.pump.place === 'retired') open.push({ code: 'retired' });
    if (entry.kind === 'run')
      open.push(...takeOverQuestions(entry, pumpId, sql), ...unfitToRunQuestions(entry, pumpId, sql));
    if (entry.kind === 'change') open.push(...changeQuestions(entry, pumpId, sql));
    if (entry.kind === 'jobStarted') open.push(...jobQuestions(entry, pumpId, sql));
    const hazards = entryHazards(entry, pump, () => stateOf(pumpId, sql));
    if (hazards.unfit) open.push({ code: 'unfitOil', ...hazards.unfit });
    if (hazards.airOnSolvent) open.push({ code: 'airOnSolvent' });
    if (entry.kind === 'meter') open.push(...meterQuestions(entry, pumpId, sql));
    if (isAboutSump(entry)) open.push(...volumeQuestions(entry, pump));
  }
  return open.filter((q, i) => !entry.acknowledged.includes(q.code) && open.findIndex((o) => o.code === q.code) === i);
}
