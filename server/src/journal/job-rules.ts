import type { FieldIssue } from '@winter-jar/contracts';
import {
  boundsAtStep,
  DIRT_SCALE_IDS,
  isProcedure,
  jobIdOf,
  mayNot,
  procedureOf,
  PROCEDURES,
  pumpIdsOf,
  ridersOf,
  type Entry,
  type MayNot,
  type ProcedureId,
  type PumpSetUp,
  type Step,
} from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';

const unknown = (field: string, value: unknown, right: string): FieldIssue => ({
  field,
  value,
  code: 'unknownId',
  right,
});

const NONE = 'left out: this procedure is done by itself';

const ALLOWED: Readonly<Record<MayNot, string>> = {
  house: 'a procedure that the house’s rules allow: pump modules are not opened here, they are exchanged',
  person: 'started by somebody whose record allows a specialist’s work',
};

/** Procedures are those of core/service, and each is for some kinds of pump. */
export function procedureIssues(
  entry: Extract<Entry, { kind: 'jobStarted' }>,
  { model, house }: PumpSetUp,
): FieldIssue[] {
  const { procedure } = entry.body;
  const others = entry.body.with ?? [];
  const known = isProcedure(procedure) ? PROCEDURES[procedure] : null;
  if (!known?.kinds.includes(model.kind))
    return [unknown('body.procedure', procedure, `the id of a procedure that ${model.name} has`)];
  const riders: readonly string[] = ridersOf(procedure as ProcedureId);
  const strange = others.findIndex((id) => !riders.includes(id));
  if (strange >= 0)
    return [unknown(`body.with.${strange}`, others[strange], riders.length > 0 ? `one of ${riders.join(', ')}` : NONE)];
  const why = mayNot(known, house, entry.who ?? null);
  return why ? [{ field: 'body.procedure', value: procedure, code: 'notAllowed', right: ALLOWED[why] }] : [];
}

/** A job is started once; what is said of it names one of this pump that was started before, and a step of its procedure. */
export function jobIssues(entry: Entry, sql: Pick<WritingStatements, 'jobsStarted'>): FieldIssue[] {
  const jobId = jobIdOf(entry);
  if (jobId === null) return [];
  const field = `subjects.${entry.subjects.findIndex((s) => s.type === 'job')}.id`;
  const [pumpId = ''] = pumpIdsOf(entry);
  const started = sql.jobsStarted.all(jobId).map((row) => JSON.parse(row.content) as Entry);
  // Its own start is there already when it is corrected.
  if (entry.kind === 'jobStarted')
    return started.every((s) => s.id === entry.id)
      ? []
      : [{ field, value: jobId, code: 'twice', right: 'the id of a new job' }];
  const own = started.find((s) => pumpIdsOf(s).includes(pumpId));
  if (own?.kind !== 'jobStarted')
    return [unknown(field, jobId, 'the id of a job of this pump that was started before')];
  return entry.kind === 'jobStep' ? stepIssues(entry.body, own.body) : [];
}

const OWN_STEP = /^(\w+\.)?own\./;

function stepIssues(
  { step, phase, choice, value: said }: Extract<Entry, { kind: 'jobStep' }>['body'],
  started: Extract<Entry, { kind: 'jobStarted' }>['body'],
): FieldIssue[] {
  const { steps } = procedureOf({ ...started, with: started.with ?? [] }, {});
  // A house's own steps come and go with its set-up, and are only done.
  if (OWN_STEP.test(step)) return [];
  const known = steps.find(({ id }) => id === step);
  if (!known) return [unknown('body.step', step, `one of ${steps.map(({ id }) => id).join(', ')}`)];
  const isDone = phase === 'done';
  const value = said ?? null;
  const wrong = isDone && known.kind === 'measure' ? notRightAt(known, value) : null;
  if (wrong) return [{ field: 'body.value', value, code: 'notRight', right: `${known.words} ${wrong}` }];
  const right = choicesOf(known);
  const isMissing = isDone && known.kind === 'choose' && !choice;
  return right && (choice ? !right.includes(choice) : isMissing)
    ? [unknown('body.choice', choice ?? null, `one of ${right.join(', ')}`)]
    : [];
}

/** What a value at a step would have to be; null where it is right. */
function notRightAt(step: Extract<Step, { kind: 'measure' }>, value: number | null): string | null {
  const { min = -Infinity, max = Infinity, wanted } = boundsAtStep(step);
  if (value === null) return wanted ? `A number, ${min} or more.` : null;
  if (value < min) return `${min} or more.`;
  return value > max ? `At most ${max}.` : null;
}

/** What may be chosen at a step; null where it is another one's affair, such as which oil was filled. */
function choicesOf(step: Step): readonly string[] | null {
  if (step.kind === 'choose') return step.choices.map(({ id }) => id);
  return step.kind === 'dirt' ? DIRT_SCALE_IDS : null;
}
