import type { Person } from '../set-up/index.js';
import { median } from '../statistics/index.js';
import type { GuideStep } from './service-at.js';

const MINUTE_MS = 60_000;
/** Longer than that between two steps somebody was elsewhere: the step counts as it usually takes. */
const AWAY = { times: 4, leastMinutes: 30 } as const;

/**
 * How long hands were at each step: from the answer before it to its own, waits left out.
 * @param done in the order in which it was answered
 */
export function minutesByStep(
  done: readonly GuideStep[],
  startedAt: string,
): { readonly step: string; readonly minutes: number }[] {
  let before = Date.parse(startedAt);
  return done.flatMap(({ shown, said }) => {
    if (!said) return [];
    const { id, kind, minutes } = shown.step;
    const took = (Date.parse(said.at) - before) / MINUTE_MS;
    before = Date.parse(said.at);
    if (kind === 'wait') return [];
    return [{ step: id, minutes: took > Math.max(AWAY.leastMinutes, AWAY.times * minutes) ? minutes : took }];
  });
}

/** How long hands were at it in all. @returns whole minutes */
export const workedMinutes = (done: readonly GuideStep[], startedAt: string): number =>
  Math.round(minutesByStep(done, startedAt).reduce((sum, { minutes }) => sum + minutes, 0));

/** So many services of a kind make a house's own minutes; before them those of the procedure's list stand. */
export const OWN_TIMES = 5;

/** The house's own minutes; null while there are too few of them. */
export const ownMinutes = (worked: readonly number[]): number | null =>
  worked.length < OWN_TIMES ? null : Math.round(median(worked) ?? 0);

/** People by what their record allows: a specialist is not as long at it. */
export type PersonKind = 'specialist' | 'technician';
export const personKind = (person: Pick<Person, 'maySpecialist'> | undefined): PersonKind =>
  person?.maySpecialist ? 'specialist' : 'technician';

/** How long a service took here at a model, in minutes, the newest first. */
export interface ServiceTime {
  readonly procedure: string;
  readonly modelId: string;
  readonly kind: PersonKind;
  readonly minutes: readonly number[];
}

/** Those of the same kind of people, once there are enough of them; else those of everybody. */
export function timesFor(
  times: readonly ServiceTime[],
  of: Pick<ServiceTime, 'procedure' | 'modelId' | 'kind'>,
): readonly number[] {
  const here = times.filter((t) => t.procedure === of.procedure && t.modelId === of.modelId);
  const same = here.filter(({ kind }) => kind === of.kind).flatMap(({ minutes }) => minutes);
  return same.length >= OWN_TIMES ? same : here.flatMap(({ minutes }) => minutes);
}
