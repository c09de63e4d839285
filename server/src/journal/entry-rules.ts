import type { FieldIssue, Question } from '@winter-jar/contracts';
import {
  capacityMl,
  countedAtTakeOver,
  entryHazards,
  equipmentIdOf,
  equipmentOfRun,
  fitsAsItStands,
  isProcedure,
  jarShapeOf,
  jobIdOf,
  needsOilIn,
  pumpIdsOf,
  runMinutes,
  TASKS,
  tasksOf,
  unusualReadings,
  type Entry,
  type EntryKind,
  type LookBody,
  type PumpSetUp,
  type PumpState,
  type SetUpBook,
} from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';
import { knowledgeIssues } from './case-rules.js';
import { procedureIssues } from './job-rules.js';
import { containerIssues, isOfStore, storeQuestions } from './store-rules.js';

const unknownId = (field: string, value: unknown, what: string, where = 'in the set-up'): FieldIssue => ({
  field,
  value,
  code: 'unknownId',
  right: `the id of ${what} that is ${where}`,
});

/** What may be about an equipment alone, without a pump. */
const ABOUT_EQUIPMENT: readonly EntryKind[] = ['note', 'meter'];

/** Hard rules that need the set-up: ids that exist, sumps and tasks that the pump has, volumes that fit the housing. */
export function setUpIssues(entry: Entry, book: SetUpBook): FieldIssue[] {
  const pumps: PumpSetUp[] = [];
  const issues: FieldIssue[] = [];
  const house = book.at(entry.happenedAt);
  entry.subjects.forEach((subject, i) => {
    const field = `subjects.${i}.id`;
    if (subject.type === 'equipment' && !house.equipment[subject.id])
      issues.push(unknownId(field, subject.id, 'an equipment'));
    if (subject.type !== 'pump') return;
    const pump = book.pumpAt({ pumpId: subject.id, instant: entry.happenedAt });
    if (pump) pumps.push(pump);
    else issues.push(unknownId(field, subject.id, 'a pump'));
  });
  issues.push(...containerIssues(entry, house));
  if (isOfStore(entry)) return issues;
  const pump = pumps[0];
  if (!pump) {
    const alone = ABOUT_EQUIPMENT.includes(entry.kind) && equipmentIdOf(entry) !== null;
    if (issues.length > 0 || alone) return issues;
    return [{ field: 'subjects', value: entry.subjects, code: 'missing', right: 'at least one pump' }];
  }
  if (new Set(pumpIdsOf(entry)).size !== pumpIdsOf(entry).length) {
    issues.push({ field: 'subjects', value: entry.subjects, code: 'twice', right: 'each pump once' });
  }
  return [...issues, ...bodyIssues(entry, pump)];
}

function bodyIssues(entry: Entry, pump: PumpSetUp): FieldIssue[] {
  const { house, model } = pump;
  switch (entry.kind) {
    case 'run': {
      const { materialId = null, cycles, minutes } = entry.body;
      if (equipmentIdOf(entry) === null)
        return [
          {
            field: 'subjects',
            value: entry.subjects,
            code: 'missing',
            right: 'the equipment that it ran on, beside the pump',
          },
        ];
      const { equipment } = equipmentOfRun(entry, pump);
      const known = materialId === null || house.material[materialId];
      const issues = known ? [] : [unknownId('body.materialId', materialId, 'a material')];
      if (cycles && !minutes && !equipment.cycleTimeS) {
        issues.push({
          field: 'body.minutes',
          value: null,
          code: 'missing',
          right: `the hours, since ${equipment.name} has no cycle time to work them out from`,
        });
      }
      return issues;
    }
    case 'look':
      return [...jarIssues(pump, entry.body), ...sumpIssues(pump, entry)];
    case 'bleed':
    case 'labSample':
      return sumpIssues(pump, entry);
    case 'topUp':
    case 'change':
      return [...productIssues(pump, entry.body.productId), ...sumpIssues(pump, entry)];
    case 'done': {
      const task = TASKS.find((t) => t.id === entry.body.task);
      const has = tasksOf(model).some((t) => t.id === task?.id);
      return has
        ? []
        : [
            {
              field: 'body.task',
              value: entry.body.task,
              code: 'notOnThisPump',
              right: `a task that ${model.name} has`,
            },
          ];
    }
    case 'jobMoved': {
      const { to } = entry.body;
      return !to || house.person[to] ? [] : [unknownId('body.to', to, 'a person')];
    }
    case 'jobStarted':
      return procedureIssues(entry, pump);
    case 'test':
    case 'caseClosed':
      return knowledgeIssues(entry);
    default:
      // Nothing in it names the set-up.
      return [];
  }
}

/** A report cites a sample of the same pump that was drawn before it came. */
export function sampleIssues(entry: Entry, sql: Pick<WritingStatements, 'entryById'>): FieldIssue[] {
  if (entry.kind !== 'labResult') return [];
  const { sampleId } = entry.body;
  const row = sql.entryById.get(sampleId);
  const sample = row ? (JSON.parse(row.content) as Entry) : null;
  const [pumpId = ''] = pumpIdsOf(entry);
  if (sample?.kind !== 'labSample' || !pumpIdsOf(sample).includes(pumpId))
    return [unknownId('body.sampleId', sampleId, 'a lab sample of this pump', 'logged before its report')];
  if (row && row.happenedAt > entry.happenedAt)
    return [
      {
        field: 'happenedAt',
        value: entry.happenedAt,
        code: 'beforeItsSample',
        right: `a time after the sample was drawn, ${row.happenedAt}`,
      },
    ];
  return [];
}

/** A jar that is known, and holds what is in it. */
function jarIssues({ house }: PumpSetUp, { jarShapeId, lookedAtMl }: LookBody): FieldIssue[] {
  if (!jarShapeId) return [];
  const shape = jarShapeOf({ id: jarShapeId, own: house.jarShape });
  if (!shape) return [unknownId('body.jarShapeId', jarShapeId, 'a jar of the library or one of your own')];
  const holds = capacityMl(shape);
  return (lookedAtMl ?? 0) <= holds
    ? []
    : [
        {
          field: 'body.lookedAtMl',
          value: lookedAtMl,
          code: 'aboveJar',
          right: `at most ${holds} mL, what ${shape.name} holds`,
        },
      ];
}

const productIssues = ({ house }: PumpSetUp, id: string): FieldIssue[] =>
  house.oilProduct[id] ? [] : [unknownId('body.productId', id, 'an oil product')];

type AboutSump = Extract<Entry, { kind: 'look' | 'bleed' | 'topUp' | 'change' | 'labSample' }>;

/** Volumes that were in a sump at once, by their field. */
function volumesMl(entry: AboutSump): Readonly<Record<string, number | null | undefined>> {
  switch (entry.kind) {
    case 'look':
      return { 'body.lookedAtMl': entry.body.lookedAtMl };
    case 'bleed':
    case 'labSample':
      return { 'body.drawnMl': entry.body.drawnMl };
    case 'topUp':
      return { 'body.addedMl': entry.body.addedMl };
    case 'change':
      return { 'body.inMl': entry.body.inMl, 'body.outMl': entry.body.outMl };
  }
}

const HAS_VOLUMES: readonly EntryKind[] = ['look', 'bleed', 'topUp', 'change', 'labSample'];
const isAboutSump = (entry: Entry): entry is AboutSump => HAS_VOLUMES.includes(entry.kind);

/** What was more than the housing holds; `isAssumed` where that is a stand-in of ours, which refuses nothing. */
function aboveHousing({ model }: PumpSetUp, entry: AboutSump) {
  const place = model.sumps.findIndex(({ key }) => key === entry.body.sump);
  const holdsMl = model.sumps[place]?.housingMl ?? Infinity;
  const over = Object.entries(volumesMl(entry)).flatMap(([field, ml]) => ((ml ?? 0) > holdsMl ? [{ field, ml }] : []));
  return { over, holdsMl, isAssumed: model.assumed?.includes(`sumps.${place}.housingMl`) ?? false };
}

function sumpIssues(pump: PumpSetUp, entry: AboutSump): FieldIssue[] {
  const { model } = pump;
  if (!model.sumps.some(({ key }) => key === entry.body.sump)) {
    const right =
      model.sumps.length > 0
        ? `a sump of this pump: ${model.sumps.map((s) => s.key).join(', ')}`
        : `nothing: ${model.name} holds no oil`;
    return [{ field: 'body.sump', value: entry.body.sump, code: 'noSuchSump', right }];
  }
  const { over, holdsMl, isAssumed } = aboveHousing(pump, entry);
  if (isAssumed) return [];
  const right = `at most ${holdsMl} mL, what the housing of ${model.name} holds`;
  return over.map(({ field, ml }) => ({ field, value: ml, code: 'aboveHousing', right }));
}

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
    if (entry.kind === 'jobStarted') open.push(...jobQuestions(entry, pumpId, sql));
    const hazards = entryHazards(entry, pump, () => stateOf(pumpId, sql));
    if (hazards.unfit) open.push({ code: 'unfitOil', ...hazards.unfit });
    if (hazards.airOnSolvent) open.push({ code: 'airOnSolvent' });
    if (entry.kind === 'meter') open.push(...meterQuestions(entry, pumpId, sql));
    if (isAboutSump(entry)) open.push(...volumeQuestions(entry, pump));
  }
  return open.filter((q, i) => !entry.acknowledged.includes(q.code) && open.findIndex((o) => o.code === q.code) === i);
}
