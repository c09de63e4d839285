import type { Print } from '../device/use-print.js';

/** What the words need to know besides the data. */
export interface Words {
  readonly print: Print;
  readonly zone: string;
  readonly now: string;
}

export interface Sentence {
  /** The heart of it, for a row of the Round. */
  readonly short: string;
  readonly full: string;
}
