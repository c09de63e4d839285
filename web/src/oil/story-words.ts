import { countOf, number } from '../ui/number.js';
import type { ChargeTrend, StoryMeasure } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';

const MEASURE_WORDS: Readonly<Record<StoryMeasure, string>> = {
  waterMl: 'Water per weighted run',
  colourRise: 'Darkening per weighted run',
  ironPpmPer100h: 'Iron per 100\u00a0h',
  acidRise: 'Acid number above new',
  baseLostPercent: 'Base number used up',
  particleClass: 'Particle class at 6\u00a0µm',
  thickerPercent: 'Viscosity above new',
  siliconPpm: 'Silicon',
};

const UNITS: Readonly<Record<Exclude<StoryMeasure, 'waterMl'>, string>> = {
  colourRise: 'steps',
  ironPpmPer100h: 'ppm',
  acidRise: 'mg\u00a0KOH/g',
  baseLostPercent: '%',
  particleClass: 'classes',
  thickerPercent: '%',
  siliconPpm: 'ppm',
};

const amountWords = (measure: StoryMeasure, value: number, print: Print): string =>
  measure === 'waterMl' ? print.volume(Math.round(value * 10) / 10) : `${number(value, 2)}\u00a0${UNITS[measure]}`;

/** "1 in 40": how often chance alone makes such a row. */
function chanceWords(p: number): string {
  if (p >= 0.995) return 'always';
  if (p > 0.1) return `${Math.max(1, Math.round(p * 10))} times in 10`;
  return p < 0.001 ? 'less than once in 1,000' : `once in ${number(1 / p)}`;
}

/** Whether charges get worse, as the test says it and on how many charges it stands. */
export function trendWords({ measure, trend, own }: ChargeTrend, print: Print): string {
  const what = MEASURE_WORDS[measure];
  if (trend.verdict === 'tooFew')
    return `${what}: ${countOf(trend.n, 'ended charge')} with a reading. Too few to say; five are needed.`;
  const usual = own ? ` Usual here: ${amountWords(measure, own.usual, print)}.` : '';
  const chance = `${trend.n} charges; by chance ${chanceWords(trend.p)}`;
  if (trend.verdict === 'none') return `${what}: no trend from charge to charge (${chance}).${usual}`;
  const by = amountWords(measure, Math.abs(trend.slope), print);
  return trend.verdict === 'rising'
    ? `${what}: getting worse, ${by} more from charge to charge (${chance}).${usual}`
    : `${what}: getting better, ${by} less from charge to charge (${chance}).${usual}`;
}
