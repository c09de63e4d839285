import type { OilReading } from './read-oil.js';
import type { LookBody } from '../journal/index.js';
import type { FindingCode } from './finding.js';

/** What to look at next, and when. */
export type NextLook =
  /** The same jar, once it has stood its time. */
  | { readonly when: 'onceSettled'; readonly inHours: number; readonly at: readonly FindingCode[] }
  /** The oil, after what the verdict calls for was done. */
  | { readonly when: 'afterTheAct'; readonly at: readonly FindingCode[] }
  /** The oil, after the next run instead of at its usual time. */
  | { readonly when: 'afterNextRun'; readonly at: readonly FindingCode[] }
  | { readonly when: 'asUsual'; readonly at: readonly FindingCode[] };

export function nextLook({ look, reading }: { look: LookBody; reading: OilReading }): NextLook {
  const { settling, level, findings } = reading;
  const at = [...new Set(findings.map((f) => f.code))];
  const inJar = look.source !== 'sightGlass';
  if (inJar && !settling.settled)
    return { when: 'onceSettled', inHours: settling.neededHours - look.hoursStood, at: ['water', 'cream', 'clarity'] };
  if (level === 'beforeNextRun' || level === 'stop') return { when: 'afterTheAct', at };
  return level === 'lookSooner' ? { when: 'afterNextRun', at } : { when: 'asUsual', at };
}
