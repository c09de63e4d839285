import { cautionsOf, placeOf, type CautionId } from '../cautions/index.js';
import { holdsDenserOil, type PumpState } from '../fold/index.js';
import type { JobState, StepSaid, WaitBegun } from '../job/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { AS_FOUND } from './condition-words.js';
import { flushFills, type FlushFill } from './flush.js';
import { PROCEDURES } from './procedures/index.js';
import type { ProcedureId } from './procedures/procedure-names.js';
import type { Condition, Procedure, ServicePlace, Step } from './procedure.js';
import { purgePlan, type PurgePlan } from './purge-plan.js';
import { procedureOf, ridersOf } from './visit.js';

/** A step as it is done at one pump. */
export interface ServiceStep {
  readonly step: Step;
  /** Of its `{amount}`; null where the model does not say. */
  readonly amountMl: number | null;
  /** What fills leave at best; empty where it is no flush. */
  readonly flushes: readonly FlushFill[];
  /** Of a purge: how long, and for what. */
  readonly purge: PurgePlan | null;
  /** To be read before it, the gravest first; what the step just before it said is not said again. */
  readonly cautions: readonly CautionId[];
}

/** A step as the guide comes to it. */
export interface GuideStep {
  readonly shown: ServiceStep;
  /** The how manieth time, from 1. */
  readonly visit: number;
  readonly said: StepSaid | null;
  /** Of a wait that goes on, or went. */
  readonly begun: WaitBegun | null;
}

/** A procedure as it is done at one pump as it stands now. */
export interface Service {
  readonly id: ProcedureId;
  readonly procedure: Procedure;
  readonly steps: readonly ServiceStep[];
  /** Work, and waiting with free hands, as it usually takes. */
  readonly handsMinutes: number;
  readonly waitMinutes: number;
}

// What it lets out, opens or caps itself it goes on with.
function foundAt({ job, drained, notWhole }: PumpState): Pick<ServicePlace, 'drained' | 'open' | 'capped'> {
  const stands = job ? job.foundNotWhole : (notWhole?.how ?? null);
  return { drained: job ? job.foundDrained : drained !== null, open: stands === 'open', capped: stands === 'capped' };
}

const servicePlaceOf = (state: PumpState, setUp: PumpSetUp): ServicePlace => ({
  ...placeOf(state, setUp),
  denser: holdsDenserOil(state, setUp, 'oil'),
  coldTrap: setUp.equipment.coldTrap,
  oil: setUp.model.sumps.length > 0,
  ...foundAt(state),
});

/** Whether all of it holds. */
const holds = (conditions: readonly Condition[] | undefined, place: ServicePlace): boolean =>
  (conditions ?? []).every((condition) =>
    condition.startsWith('!')
      ? !place[condition.slice(1) as keyof ServicePlace]
      : place[condition as keyof ServicePlace],
  );

/** A rinse is a tenth of the charge, a litre at most: it is to carry out what lies on the bottom. */
const RINSE = { share: 0.1, mostMl: 1000 } as const;

/** The volume of a step at a model, in mL; null where it has none, or the model does not say it. */
export function amountAt({ amount }: Pick<Step, 'amount'>, { model }: Pick<PumpSetUp, 'model'>): number | null {
  const sump = model.sumps[0];
  if (!amount || !sump) return null;
  switch (amount) {
    case 'charge':
      return sump.chargeMl;
    case 'rinse':
      return Math.min(RINSE.mostMl, Math.round(sump.chargeMl * RINSE.share));
    case 'filterHoldUp':
      return model.oilFilterHoldUpMl ?? null;
  }
}

const isWait = ({ kind }: Step): boolean => kind === 'wait';
// What is done only where something was found is not usual.
const minutesOf = (steps: readonly Step[]): number =>
  steps.reduce((sum, { minutes, onlyAfter }) => sum + (onlyAfter ? 0 : minutes), 0);

/** Work of hands, as it usually takes; waits are left out. */
export const handsMinutesOf = (steps: readonly Step[]): number => minutesOf(steps.filter((step) => !isWait(step)));

/** What stands open or capped is not worked on before it is closed, but by what closes it or goes on with it. */
export function fitsAsItStands(id: ProcedureId, { job, notWhole }: Pick<PumpState, 'job' | 'notWhole'>): boolean {
  if (job || !notWhole) return true;
  const { when, steps } = PROCEDURES[id];
  const goesOn = id === notWhole.procedure && steps.some(({ pump }) => pump === 'closed');
  return goesOn || (when ?? []).includes(notWhole.how);
}

/** Without oil in it a pump is filled before it is run, bled or looked at. */
export const needsOilIn = (id: ProcedureId): boolean => (PROCEDURES[id].when ?? []).includes('!drained');

/** The procedures that a pump has as it stands now, in the order of docs/trade.md 8. */
export function proceduresAt(state: PumpState, setUp: PumpSetUp): ProcedureId[] {
  const place = servicePlaceOf(state, setUp);
  return (Object.keys(PROCEDURES) as ProcedureId[]).filter((id) => {
    const { kinds, when } = PROCEDURES[id];
    return kinds.includes(setUp.model.kind) && holds(when, place) && fitsAsItStands(id, state);
  });
}

/**
 * The steps of a procedure that apply. In the middle of a job what was answered stays, and a step that has come to apply since, behind
 * one that was answered, leads nobody back: with the oil out it is no use to let it cool.
 */
function stepsThatApply({ steps }: Procedure, place: ServicePlace, said: readonly StepSaid[]): readonly Step[] {
  const answered = new Set(said.map(({ step }) => step));
  const last = steps.findLastIndex((step) => answered.has(step.id));
  return steps.filter((step, i) => {
    if (answered.has(step.id)) return true;
    const mayChange = step.own !== undefined || (step.when ?? []).some((condition) => !AS_FOUND.includes(condition));
    return holds(step.when, place) && !(mayChange && i < last);
  });
}

/**
 * A procedure as it is done at a pump: the steps that apply, with their volumes and cautions. Conditions decide what is shown, never
 * whether a caution is: it follows from what the step does and where.
 * @param others done in the same visit, of those that ridersAt names
 */
export function serviceAt(
  id: ProcedureId,
  state: PumpState,
  setUp: PumpSetUp,
  others: readonly ProcedureId[] = [],
): Service {
  return asDone({ procedure: id, with: others, said: [] }, state, setUp);
}

/** Its warmth is the last that was read. */
function purgeAt(
  step: Step,
  { said, solvent }: { readonly said: readonly StepSaid[]; readonly solvent: boolean },
  state: PumpState,
  setUp: PumpSetUp,
): PurgePlan | null {
  if (step.kind !== 'wait' || !step.purgesAt) return null;
  const oilTempC = said.findLast((one) => one.step === step.purgesAt)?.value ?? null;
  return purgePlan(state, setUp, { oilTempC, solvent });
}

/** The service that a job is, at its pump as it stands now. */
export const serviceOfJob = (job: JobState, state: PumpState, setUp: PumpSetUp): Service => asDone(job, state, setUp);

function asDone(job: Pick<JobState, 'procedure' | 'with' | 'said'>, state: PumpState, setUp: PumpSetUp): Service {
  const place = servicePlaceOf(state, setUp);
  const procedure = procedureOf(job, setUp.model);
  let before: readonly CautionId[] = [];
  const steps = stepsThatApply(procedure, place, job.said).map((applies): ServiceStep => {
    const purge = purgeAt(applies, { said: job.said, solvent: place.solvent }, state, setUp);
    const step = purge ? { ...applies, minutes: purge.minutes } : applies;
    const all = [...new Set([...cautionsOf(step.risks ?? [], place), ...(step.cautions ?? [])])];
    const cautions = all.filter((caution) => !before.includes(caution));
    before = all;
    const flushes = step.flushes ? flushFills(setUp.model, step.flushes === 'newFilter') : [];
    return { step, amountMl: amountAt(step, setUp), flushes, purge, cautions };
  });
  const done = steps.map(({ step }) => step);
  const id = job.procedure as ProcedureId;
  return { id, procedure, steps, handsMinutes: handsMinutesOf(done), waitMinutes: minutesOf(done.filter(isWait)) };
}

/** What may be done in the same visit, in the order in which it is done. */
export function ridersAt(id: ProcedureId, state: PumpState, setUp: PumpSetUp): ProcedureId[] {
  const has = proceduresAt(state, setUp);
  return ridersOf(id).filter((rider) => has.includes(rider));
}

/** The steps that a job has answered, in their order, whatever the place is like now; one that its procedure has no more is left out. */
export function stepsAnswered(
  job: Pick<JobState, 'procedure' | 'with' | 'said' | 'begun'>,
  setUp: PumpSetUp,
): GuideStep[] {
  const { steps } = procedureOf(job, setUp.model);
  return job.said.flatMap((said): GuideStep[] => {
    const step = steps.find(({ id }) => id === said.step);
    if (!step) return [];
    const shown = { step, amountMl: amountAt(step, setUp), flushes: [], purge: null, cautions: [] };
    const begun = job.begun.find((one) => one.step === said.step && one.visit === said.visit) ?? null;
    return [{ shown, visit: said.visit, said, begun }];
  });
}
