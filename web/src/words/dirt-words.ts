import type { DirtScaleId, FlushPlan, FlushVerdict } from '@winter-jar/core';
import { MOST_FILLS } from '@winter-jar/core';
import { countOf, number, percent } from '../ui/number.js';

/** What the dirt of an oil is read by. */
export const DIRT_SCALE_WORDS: Readonly<Record<DirtScaleId, { readonly name: string; readonly hint: string }>> = {
  sludge: { name: 'sludge in the jar', hint: 'percent of what stands in it' },
  colour: { name: 'colour', hint: 'ASTM D1500, 0.5–8' },
  particles: { name: 'particles', hint: 'ISO 4406, the middle number (6 µm)' },
  share: { name: 'old product left', hint: 'percent of the oil' },
};

/** "0.8 % sludge in the jar", "colour 3.5". */
export function dirtWords(id: DirtScaleId, reading: number): string {
  const { name } = DIRT_SCALE_WORDS[id];
  return id === 'sludge' || id === 'share' ? `${number(reading, 2)}\u00a0% ${name}` : `${name} ${number(reading, 1)}`;
}

const fills = (n: number): string => (n >= MOST_FILLS ? `${MOST_FILLS} fills or more` : countOf(n, 'fill'));

/** "2 fills, perhaps 1 to 4": before the new charge. */
export function fillsWords([low, likely, high]: FlushPlan['fills']): string {
  if (high === 0) return 'none: the new charge takes care of what is left';
  return low === high
    ? fills(likely)
    : `${fills(likely)}, perhaps ${low} to ${high >= MOST_FILLS ? `${MOST_FILLS} or more` : high}`;
}

export const FLUSH_VERDICT_WORDS: Readonly<Record<FlushVerdict, string>> = {
  newCharge: 'Clean enough: fill the new charge.',
  fillOnce: 'Fill, run and drain it, then read it again.',
  wash: 'Wash the housing: that takes less than going on with fills.',
};

/** How sure a share of 0 to 1 is. */
const sureWords = (share: number): string =>
  share >= 0.9 ? 'almost surely' : share >= 0.7 ? 'probably' : share >= 0.3 ? 'perhaps' : 'hardly';

/** What the walls release, and which way costs less. */
export function releaseWords({ release, washIsLess, by }: FlushPlan): string[] {
  const walls = release
    ? release.high < 0.005
      ? 'The walls release next to nothing.'
      : `The walls release about ${percent(release.likely)} of what was there to each fill (${percent(release.low)} to ${percent(release.high)}).`
    : null;
  const less = `Washing first ${sureWords(washIsLess)} ${by === 'money' ? 'costs less' : 'takes less time'} than going on with fills.`;
  return [walls, less].filter((said) => said !== null);
}
