import { countOf, weightNumber } from '../ui/number.js';
import type { RunRuler } from '@winter-jar/core';
import { momentWords } from './dates.js';
import { limitWords } from './messages.js';
import type { Words } from './words.js';

type Bar = RunRuler['bars'][number];

/** A run as the ruler names it. */
export function barWords(
  bar: Bar,
  materialNames: Readonly<Record<string, string>>,
  { zone, now, print }: Words,
): string {
  const marks = [bar.looked && 'looked at', bar.bled && 'bled', bar.carriedOver && 'on oil carried over'].filter(
    Boolean,
  );
  if (bar.load === 'unlogged')
    return `Not logged, on the meter by ${momentWords(bar.at, zone, now)} · ${print.duration(bar.minutes)} · weight ${weightNumber(bar.weight)}`;
  const what = bar.materialId === null ? 'Not told what went in' : (materialNames[bar.materialId] ?? bar.materialId);
  return [
    `${what}, ${momentWords(bar.at, zone, now)}`,
    print.duration(bar.minutes),
    `weight ${weightNumber(bar.weight)}`,
    ...marks,
  ].join(' · ');
}

/** The ruler as a screen reader says it. */
export function rulerWords(name: string, ruler: RunRuler): string {
  const runs = ruler.bars.filter((b) => b.load !== 'unlogged').length + (ruler.collapsed?.runs ?? 0);
  const carried = ruler.bars.filter((b) => b.carriedOver).length;
  const parts = [`${name}: ${countOf(runs, 'run')} since the oil change, weight ${weightNumber(ruler.usedWeight)}`];
  if (carried > 0) parts.push(`${carried} on oil carried over`);
  if (ruler.flag)
    parts.push(`${limitWords(ruler.flag.measure, ruler.flag.limit)} ${ruler.flag.reached ? 'reached' : 'comes first'}`);
  return parts.join(', ');
}

/** The flag says its unit when the limit is not one of weighted runs. */
export const flagWords = (ruler: RunRuler): string | null =>
  ruler.flag && ruler.flag.measure !== 'weight' ? limitWords(ruler.flag.measure, ruler.flag.limit) : null;
