import type { JobState } from '../job/index.js';
import type { Choice } from './procedure.js';
import type { GuideStep, Service, ServiceStep } from './service-at.js';

/** Where a job stands. */
export interface Guide {
  /** All that was answered, in the order in which it was come to. */
  readonly done: readonly GuideStep[];
  /** What is to be done now; null at the end. */
  readonly current: GuideStep | null;
  /** What follows, as far as nothing else is chosen. */
  readonly ahead: readonly ServiceStep[];
  /** The choice that ended it before its last step. */
  readonly ended: Choice | null;
}

/** What was chosen at a step; null where it is no choice, or nothing was chosen. */
export const chosenAt = ({ shown: { step }, said }: GuideStep): Choice | null =>
  step.kind === 'choose' ? (step.choices.find(({ id }) => id === said?.choice) ?? null) : null;

const chosenBefore = (chosen: string | null, wanted: string | undefined): boolean =>
  wanted === undefined ? chosen !== null : chosen === wanted;

/**
 * Walks a service by what a job has answered. Pure: the same answers give the same place on every device. A step that is come to again
 * is a visit of its own, with an answer of its own; the walk ends at the first visit without one, so it ends.
 */
export function guideOf({ steps }: Pick<Service, 'steps'>, job: Pick<JobState, 'said' | 'begun'>): Guide {
  const done: GuideStep[] = [];
  const visits = new Map<string, number>();
  const lastChoice = new Map<string, string | null>();
  const applies = ({ step: { onlyAfter } }: ServiceStep): boolean =>
    !onlyAfter || chosenBefore(lastChoice.get(onlyAfter.step) ?? null, onlyAfter.choice);
  const indexOf = (id: string): number => {
    const found = steps.findIndex(({ step }) => step.id === id);
    return found < 0 ? steps.length : found;
  };
  for (let i = 0; i < steps.length; i += 1) {
    const shown = steps[i] as ServiceStep;
    if (!applies(shown)) continue;
    const { id } = shown.step;
    const visit = (visits.get(id) ?? 0) + 1;
    const isIt = (one: { readonly step: string; readonly visit: number }) => one.step === id && one.visit === visit;
    const said = job.said.find(isIt) ?? null;
    const at: GuideStep = { shown, visit, said, begun: job.begun.find(isIt) ?? null };
    if (!said)
      return { done, current: at, ahead: steps.slice(i + 1).filter(({ step }) => !step.onlyAfter), ended: null };
    visits.set(id, visit);
    lastChoice.set(id, said.choice);
    done.push(at);
    const chosen = chosenAt(at);
    if (chosen?.ends) return { done, current: null, ahead: [], ended: chosen };
    const next = chosen?.goTo ?? shown.step.then;
    if (next !== undefined) i = indexOf(next) - 1;
  }
  return { done, current: null, ahead: [], ended: null };
}
