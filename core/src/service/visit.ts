import type { JobState } from '../job/index.js';
import type { PumpModel } from '../set-up/index.js';
import { OWN_STEP, withOwnSteps } from './own-steps.js';
import type { Choice, Procedure, Skill, Step } from './procedure.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';

type Wait = Extract<Step, { kind: 'wait' }>;

/** What is done in the middle of another service, in the order in which it is: the inlet while the exhaust filter cools. */
const RIDERS: readonly ProcedureId[] = ['inlet', 'exhaustFilter'];

/** What may be done in the same visit; nothing that it does itself. */
export function ridersOf(id: ProcedureId): ProcedureId[] {
  const { carries, tasks } = PROCEDURES[id];
  return carries
    ? RIDERS.filter((rider) => rider !== id && !PROCEDURES[rider].tasks.some((task) => tasks.includes(task)))
    : [];
}

const SKILLS: readonly Skill[] = ['operator', 'technician', 'specialist'];

/** A service of one visit: a procedure, with the others in its middle. One that is not known is left out. */
export function procedureOf(
  job: Pick<JobState, 'procedure' | 'with'>,
  { ownSteps }: Pick<PumpModel, 'ownSteps'>,
): Procedure {
  const stepsOf = (id: ProcedureId) => withOwnSteps(id, ownSteps);
  const id = job.procedure as ProcedureId;
  const main = { ...PROCEDURES[id], steps: stepsOf(id) };
  const riders = ridersOf(id).filter((rider) => job.with.includes(rider));
  if (riders.length === 0) return main;
  const all = [main, ...riders.map((rider) => PROCEDURES[rider])];
  return {
    ...main,
    name: [main.name, ...all.slice(1).map(({ name }) => name.toLowerCase())].join(', '),
    tasks: [...new Set(all.flatMap(({ tasks }) => tasks))],
    skill: SKILLS[Math.max(...all.map(({ skill }) => SKILLS.indexOf(skill)))] ?? main.skill,
    atHand: [...new Set(all.flatMap(({ atHand }) => atHand))],
    steps: stepsOfVisit(
      main.steps,
      riders.map((rider) => ({ rider, steps: stepsOf(rider) })),
    ),
  };
}

/** Each step of a rider in its place: as it runs before all, in the first wait that can be filled, after all. */
function stepsOfVisit(
  steps: readonly Step[],
  riders: readonly { readonly rider: ProcedureId; readonly steps: readonly Step[] }[],
): Step[] {
  const isFilled = steps.some(({ oil }) => oil === 'in');
  const ridden = riders.flatMap(({ rider, steps: of }) =>
    besideTheirs(of).map((step) => riding(step, rider, isFilled)),
  );
  const inPlace = (place: Step['inVisit']) => ridden.filter(({ inVisit }) => inVisit === place);
  const meanwhile = inPlace('meanwhile').map((step, i, all) =>
    step.kind === 'wait' ? shortened(step, all.slice(0, i)) : step,
  );
  const around = steps.flatMap((step) => (step.kind === 'wait' && step.filled ? filledWait(step, meanwhile) : [step]));
  // What may end the job comes last of all.
  const after = inPlace('after').sort((a, b) => Number(mayEnd(a)) - Number(mayEnd(b)));
  return [...inPlace('running'), ...around, ...after];
}
const mayEnd = (step: Step): boolean => step.kind === 'choose' && step.choices.some(({ ends }) => ends);

const handsAt = (steps: readonly Step[]): number =>
  steps.reduce((sum, { kind, minutes }) => sum + (kind === 'wait' ? 0 : minutes), 0);
/** A wait that other work fills. */
const shortened = (wait: Wait, work: readonly Step[]): Wait =>
  wait.filled ? { ...wait, minutes: Math.max(1, wait.minutes - handsAt(work)) } : wait;

/** A wait with the work in between. */
function filledWait(wait: Wait, work: readonly Step[]): Step[] {
  const { filled, oil, risks, knows, own, ...rest } = shortened(wait, work);
  if (!filled || work.length === 0) return [wait];
  const left = { ...rest, words: filled.rest };
  const of = {
    ...{ ...(oil ? { oil } : {}), ...(risks ? { risks } : {}) },
    ...{ ...(knows ? { knows } : {}), ...(own ? { own } : {}) },
  };
  if (filled.opens === undefined) return [...work, { ...left, ...of }];
  const { id, when } = wait;
  const open: Step = { id, ...(when ? { when } : {}), ...of, kind: 'do', minutes: 2, words: filled.opens };
  return [open, ...work, { ...left, id: `${id}.rest` }];
}

/** A step of the house's own is done where the one before it is; at the beginning, where the next one is. */
function besideTheirs(steps: readonly Step[]): readonly Step[] {
  return steps.reduce<readonly Step[]>((so, step, i) => {
    if (!step.id.startsWith(OWN_STEP)) return [...so, step];
    const place = so.at(-1)?.inVisit ?? steps.slice(i).find(({ inVisit }) => inVisit)?.inVisit;
    return [...so, { ...step, ...(place ? { inVisit: place } : {}) }];
  }, []);
}

/**
 * A step under the name of its own procedure; what would lead back into the middle of the visit is a service of its own.
 * @param isFilled there is oil in the pump at the end, whatever there was before
 */
function riding(step: Step, rider: ProcedureId, isFilled: boolean): Step {
  const named = (id: string) => `${rider}.${id}`;
  const when = (step.when ?? []).filter(
    (condition) => !(isFilled && step.inVisit === 'after' && condition === '!drained'),
  );
  const own = {
    id: named(step.id),
    when,
    ...(step.onlyAfter ? { onlyAfter: { ...step.onlyAfter, step: named(step.onlyAfter.step) } } : {}),
    ...(step.then ? { then: named(step.then) } : {}),
  };
  if (step.kind !== 'choose') return { ...step, ...own };
  const choices = step.choices.map(({ goTo, ...choice }): Choice =>
    goTo === undefined ? choice : { ...choice, ends: true, follow: rider },
  );
  return { ...step, ...own, choices };
}
