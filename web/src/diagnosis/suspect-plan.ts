import type { MaterialRate, Suspects } from '@winter-jar/core';

export interface PlannedSuspect {
  readonly materialId: string;
  /** Clean runs in a row of it alone that would clear it. */
  readonly runsToClear: number;
}

/** More at once takes weeks; the next ones come when these are cleared. */
const MOST = 3;
/** What needs more clean runs than this is not worth clearing. */
const MOST_RUNS = 12;

/** Those that stand out, dark oil before water; where none does, the most suspect of each. */
export function suspectPlan({ dark, water }: { dark: Suspects; water: Suspects }): PlannedSuspect[] {
  const lists = [dark.materials, water.materials];
  const outstanding = lists.flatMap((list) => list.filter((m) => m.standsOut));
  const first = lists.flatMap((list) => list.slice(0, 1));
  const chosen = outstanding.length > 0 ? outstanding : first;
  const worst = new Map<string, MaterialRate>();
  for (const one of chosen) {
    const known = worst.get(one.materialId);
    if (!known || known.runsToClear < one.runsToClear) worst.set(one.materialId, one);
  }
  return [...worst.values()]
    .filter((one) => one.runsToClear <= MOST_RUNS)
    .slice(0, MOST)
    .map(({ materialId, runsToClear }) => ({ materialId, runsToClear }));
}
