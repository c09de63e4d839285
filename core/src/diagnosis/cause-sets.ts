import { CAUSE_IDS } from './causes-in-order.js';

/** So many causes at once are thought of; four at one pump are beyond telling apart. */
const AT_ONCE = 3;

interface CauseSet {
  /** Places of its causes, rising. */
  readonly causes: readonly number[];
  /** The set that it extends by its last cause. */
  readonly parent: number;
}

function setsUpTo(most: number): CauseSet[] {
  const sets: CauseSet[] = [{ causes: [], parent: -1 }];
  for (let parent = 0; parent < sets.length; parent++) {
    const causes = sets[parent]?.causes ?? [];
    if (causes.length === most) break;
    for (let next = (causes.at(-1) ?? -1) + 1; next < CAUSE_IDS.length; next++)
      sets.push({ causes: [...causes, next], parent });
  }
  return sets;
}

const ALL = setsUpTo(AT_ONCE);

/** Every set of up to three causes, the empty one first; each after the set that it extends. */
export const SETS: readonly (readonly number[])[] = ALL.map((set) => set.causes);
/** The same in one flat list, three places per set; where a set has fewer, {@link NO_CAUSE}, one past the last. */
export const NO_CAUSE = CAUSE_IDS.length;
export const MEMBERS = Uint8Array.from(ALL.flatMap(({ causes: [a, b, c] }) => [a, b, c].map((p) => p ?? NO_CAUSE)));
export const PARENT: readonly number[] = ALL.map((set) => set.parent);
/** The cause by which a set extends its parent. */
export const LAST: readonly number[] = ALL.map((set) => set.causes.at(-1) ?? -1);

/** One number per item, by its place. */
export function column(length: number, of: (place: number) => number): Float64Array {
  const numbers = new Float64Array(length);
  for (let i = 0; i < length; i++) numbers[i] = of(i);
  return numbers;
}
