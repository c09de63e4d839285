import { median, shiftBetween, type Shift } from '../statistics/index.js';
import type { ChargeStory, ChargeTrend, StoryMeasure } from './oil-story.js';

/** What dust and crumbs would show in: the sooner the oil is through, the fewer runs to a charge. */
export const BROUGHT_MEASURES = ['runs', 'colourRise', 'ironPpmPer100h', 'siliconPpm', 'particleClass'] as const;
export type BroughtMeasure = (typeof BROUGHT_MEASURES)[number];

export interface BroughtLine {
  readonly measure: BroughtMeasure;
  /** Medians of the charges that have one, and how many they are. */
  readonly before: number;
  readonly after: number;
  readonly charges: readonly [before: number, after: number];
  /** By how much it is more since then. */
  readonly shift: Shift;
}

/**
 * What has changed in the oil since a filter was fitted between chamber and pump, out of what was logged of the charges that ended
 * before and of those that began since; the one in between says nothing. Other things may have changed at the same time.
 * @param input.fittedAt an instant
 * @returns a line for each measure that three charges on either side have
 */
export function filterBrought(input: {
  charges: readonly ChargeStory[];
  trends: readonly Pick<ChargeTrend, 'measure' | 'values'>[];
  fittedAt: string;
}): BroughtLine[] {
  const { charges, trends, fittedAt } = input;
  const ended = charges.flatMap((c) => (c.until === null ? [] : [{ ...c, until: c.until }]));
  const sides = [ended.filter((c) => c.until <= fittedAt), ended.filter((c) => c.since >= fittedAt)];
  return BROUGHT_MEASURES.flatMap((measure): BroughtLine[] => {
    const valueOf = valuesOf(measure, charges, trends);
    const [before = [], after = []] = sides.map((side) => side.flatMap((c) => valueOf.get(c.number) ?? []));
    const shift = shiftBetween({ before, after });
    if (!shift) return [];
    return [{ measure, shift, before: median(before), after: median(after), charges: [before.length, after.length] }];
  });
}

/** By the charge's number. */
function valuesOf(
  measure: BroughtMeasure,
  charges: readonly ChargeStory[],
  trends: readonly Pick<ChargeTrend, 'measure' | 'values'>[],
): ReadonlyMap<number, number> {
  if (measure === 'runs') return new Map(charges.map((c) => [c.number, c.weightMilli / 1000]));
  const trend = trends.find((t) => t.measure === (measure satisfies StoryMeasure));
  return new Map((trend?.values ?? []).map(({ number, value }) => [number, value]));
}
