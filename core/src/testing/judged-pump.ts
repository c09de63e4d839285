import { rebuild, type PumpState } from '../fold/index.js';
import { standingAt, type Reason, type Standing } from '../standing/index.js';
import type { Entry } from '../journal/index.js';
import { at, bookOf, type YardOptions } from './small-yard.js';

/** No limit that could come due: only what the entries show speaks. */
export const QUIET: YardOptions = {
  limits: { oilChange: { runs: null, weight: null }, look: { runs: null, days: null }, bleed: { runs: null } },
};
const STANDING_AT = 900;

/** The test pump after these entries: its verdict, why, and what is kept of it. */
export function judged(
  entries: Entry[],
  options: YardOptions = {},
): Pick<Standing, 'verdict' | 'act'> & {
  codes: Reason['code'][];
  reasons: readonly Reason[];
  /** Whether the level is to be read because of what was drawn. */
  asksForLevel: boolean;
  state: PumpState;
} {
  const book = bookOf({ ...QUIET, ...options });
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(STANDING_AT) });
  if (!setUp) throw new Error('the pump is missing');
  const state = rebuild({ pumpId: 'p1', entries, book });
  const standing = standingAt({ state, setUp, now: at(STANDING_AT) });
  const { verdict, act } = standing;
  // Every jar and bottle lowers the level: fold/oil-use.test.ts is about that alone.
  const reasons = standing.reasons.filter((r) => r.code !== 'readLevel');
  const asksForLevel = reasons.length < standing.reasons.length;
  return { verdict, act, codes: reasons.map((r) => r.code), reasons, asksForLevel, state };
}
