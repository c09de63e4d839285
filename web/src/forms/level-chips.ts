import type { Level } from '@winter-jar/core';

/** Too low, right, too high; and nothing in the glass, which stops the pump. */
export const LEVEL_CHIPS: readonly { readonly value: Level; readonly words: string }[] = [
  { value: 'low', words: 'too low' },
  { value: 'hair', words: 'a hair off' },
  { value: 'right', words: 'right' },
  { value: 'high', words: 'too high' },
  { value: 'none', words: 'no oil in the glass' },
];
/** After filling, an empty glass is not an answer. */
export const LEVEL_AFTER_CHIPS: readonly { readonly value: Level | 'notRead'; readonly words: string }[] = [
  ...LEVEL_CHIPS.filter((c) => c.value !== 'none' && c.value !== 'hair'),
  { value: 'notRead', words: 'not read yet' },
];
export const LEVEL_NOT_SAID = 'Say how the level stood, or that it was not read yet.';
