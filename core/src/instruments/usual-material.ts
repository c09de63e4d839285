import { localDay } from '../journal/index.js';

/** What most likely went into a run of which nobody has said it. */
export interface UsualMaterial {
  readonly materialId: string;
  /** It went in on so many of the last such weekdays; both null where only the last run speaks for it. */
  readonly times: number | null;
  readonly ofTimes: number | null;
}

const WEEKS = 12;
const DAYS_OF_WEEK = 7;
/** On one weekday alone it may be chance. */
const FEWEST = 2;

/**
 * By the habit of this equipment on this weekday over the last twelve weeks; else what ran last.
 * @param input.runs of this equipment, in any order; a run without a material says nothing
 * @param input.at of the run that is asked about
 * @returns null where nothing was ever told
 */
export function usualMaterial(input: {
  runs: readonly { readonly at: string; readonly materialId: string | null }[];
  at: string;
  zone: string;
}): UsualMaterial | null {
  const { at, zone } = input;
  const day = localDay({ at, zone });
  const told = input.runs
    .flatMap(({ at: when, materialId }) => (materialId !== null && when < at ? [{ at: when, materialId }] : []))
    .sort((a, b) => (a.at < b.at ? 1 : -1));
  const sameWeekday = told.filter((run) => {
    const ago = day - localDay({ at: run.at, zone });
    return ago % DAYS_OF_WEEK === 0 && ago <= WEEKS * DAYS_OF_WEEK;
  });
  const counts = new Map<string, number>();
  for (const { materialId } of sameWeekday) counts.set(materialId, (counts.get(materialId) ?? 0) + 1);
  // Of two that went in as often the later one.
  const [most] = [...counts].sort(([, a], [, b]) => b - a);
  if (most && most[1] >= FEWEST && most[1] * 2 > sameWeekday.length)
    return { materialId: most[0], times: most[1], ofTimes: sameWeekday.length };
  const [last] = told;
  return last ? { materialId: last.materialId, times: null, ofTimes: null } : null;
}
