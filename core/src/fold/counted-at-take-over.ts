import type { PumpState } from './state.js';

/**
 * How many runs were counted when a pump was taken over, where a run that began then may be one of them; null where it cannot be:
 * it began later, or on oil that is gone, or nobody counted.
 */
export function countedAtTakeOver(
  { takenOver, sumps }: Pick<PumpState, 'takenOver' | 'sumps'>,
  startedAt: string,
): number | null {
  if (takenOver === null || startedAt >= takenOver.at) return null;
  const since = sumps.find((s) => s.key === 'oil')?.charge.since.at;
  return since !== undefined && startedAt >= since ? takenOver.runs || null : null;
}
