import { median } from '../statistics/index.js';
import type { GuideStep } from './service-at.js';

const MINUTE_MS = 60_000;
/** Longer than that between two steps somebody was elsewhere: the step counts as it usually takes. */
const AWAY = { times: 4, leastMinutes: 30 } as const;

/**
 * How long hands were at it: from each answer to the next, waits left out.
 * @param done in the order in which it was answered
 * @returns whole minutes
 */
export function workedMinutes(done: readonly GuideStep[], startedAt: string): number {
  let before = Date.parse(startedAt);
  let sum = 0;
  for (const { shown, said } of done) {
    if (!said) continue;
    const { kind, minutes } = shown.step;
    const took = (Date.parse(said.at) - before) / MINUTE_MS;
    before = Date.parse(said.at);
    if (kind === 'wait') continue;
    sum += took > Math.max(AWAY.leastMinutes, AWAY.times * minutes) ? minutes : took;
  }
  return Math.round(sum);
}

/** So many services of a kind make a house's own minutes; before them those of the procedure's list stand. */
export const OWN_TIMES = 5;

/** The house's own minutes; null while there are too few of them. */
export const ownMinutes = (worked: readonly number[]): number | null =>
  worked.length < OWN_TIMES ? null : Math.round(median(worked) ?? 0);
