import { number } from '../ui/number.js';
import type { PumpEffect, RoundRow } from '@winter-jar/contracts';
import { headline, verdictWords } from './messages.js';
import type { Words } from './words.js';

const stands = (row: RoundRow | null, words: Words): string =>
  row ? `${verdictWords(row.verdict, row.act)} · ${headline(row, words)}` : 'not on the Round';

/** "12 → 13 runs", for each count that moves. */
export function countWords(effect: PumpEffect): string[] {
  const counts: [before: number, after: number, word: string, digits: number][] = [
    [effect.runsBefore, effect.runsAfter, 'runs in all', 0],
    [effect.hoursBefore, effect.hoursAfter, 'h in all', 0],
    [effect.weightBefore, effect.weightAfter, 'weighted runs in all', 1],
    [effect.before?.carriedOverRuns ?? 0, effect.after?.carriedOverRuns ?? 0, 'runs on oil carried over', 0],
  ];
  return counts
    .filter(([before, after, , digits]) => number(before, digits) !== number(after, digits))
    .map(([before, after, word, digits]) => `${number(before, digits)} → ${number(after, digits)} ${word}`);
}

/** How a pump stands before and after; `after` is null when only counts move. */
export function standingWords(effect: PumpEffect, words: Words): { before: string; after: string | null } {
  const [before, after] = [stands(effect.before, words), stands(effect.after, words)];
  return { before, after: before === after ? null : after };
}
