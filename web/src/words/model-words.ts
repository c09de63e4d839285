import type { LevelMark, ModelFact } from '@winter-jar/core';

export const LEVEL_MARK_WORDS: Readonly<Record<LevelMark, string>> = {
  twoLines: 'two lines, MIN and MAX',
  windowHalf: 'a window, filled to a half',
  windowThreeQuarters: 'a window, filled to three quarters',
  upperCircle: 'two circles, filled to the upper one',
};

/** What was fitted. */
const PART_WORDS: Readonly<Record<string, string>> = {
  seals: 'Seals',
  oilFilter: 'Oil filter',
  exhaustFilter: 'Exhaust filter',
};
/** A place that is not known here by its id. */
export const partWords = (place: string): string => PART_WORDS[place] ?? place;

/** What a service wants to know of a model, and what an answer looks like. */
export const MODEL_FACT_WORDS: Readonly<Record<ModelFact, { readonly name: string; readonly hint: string }>> = {
  drain: { name: 'Where it drains', hint: 'low on the left, tap' },
  tilt: { name: 'How it is tilted', hint: 'to the right, 15°; never over 25 kg alone' },
  keys: { name: 'Keys for its plugs', hint: 'drain 8 mm hex, fill 17 mm' },
  tightening: { name: 'How tight', hint: 'hand-tight and an eighth, or 12 N·m' },
  seals: { name: 'Seals by place', hint: 'drain plug O-ring 18 × 2.5, housing gasket set 2' },
  oilFilter: { name: 'Its oil filter', hint: 'the part’s name or number' },
  exhaustFilter: { name: 'Its exhaust filter', hint: 'the part’s name or number, and how many' },
};
