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
): Pick<Standing, 'verdict' | 'act'> & { codes: Reason['code'][]; reasons: readonly Reason[]; state: PumpState } {
  const book = bookOf({ ...QUIET, ...options });
  const setUp = book.pumpAt({ pumpId: 'p1', instant: at(STANDING_AT) });
  if (!setUp) throw new Error('the pump is missing');
  const state = rebuild({ pumpId: 'p1', entries, book });
  const { verdict, act, reasons } = standingAt({ state, setUp, now: at(STANDING_AT) });
  return { verdict, act, codes: reasons.map((r) => r.code), reasons, state };
}
