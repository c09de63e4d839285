import type { FieldIssue } from '@winter-jar/contracts';
import {
  capacityMl,
  equipmentIdOf,
  equipmentOfRun,
  jarShapeOf,
  pumpIdsOf,
  TASKS,
  tasksOf,
  type Entry,
  type EntryKind,
  type LookBody,
  type PumpSetUp,
  type SetUpBook,
} from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';
import { knowledgeIssues } from './case-rules.js';
import { procedureIssues } from './job-rules.js';
import { containerIssues, isOfStore } from './store-rules.js';

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

export type AboutSump = Extract<Entry, { kind: 'look' | 'bleed' | 'topUp' | 'change' | 'labSample' }>;

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
export const isAboutSump = (entry: Entry): entry is AboutSump => HAS_VOLUMES.includes(entry.kind);

/** What was more than the housing holds; `isAssumed` where that is a stand-in of ours, which refuses nothing. */
export function aboveHousing({ model }: PumpSetUp, entry: AboutSump) {
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
