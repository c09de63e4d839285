import type { TakenOver } from './state.js';

/**
 * How many runs were counted when a pump was taken over, where a run that began then may be one of them; null where it cannot be:
 * it began later, or on the oil before, or nobody counted.
 */
export function countedAtTakeOver(
  takenOver: Pick<TakenOver, 'at' | 'changedAt' | 'runs'> | null,
  startedAt: string,
): number | null {
  if (takenOver === null || startedAt >= takenOver.at) return null;
  if (takenOver.changedAt !== null && startedAt < takenOver.changedAt) return null;
  return takenOver.runs || null;
}
