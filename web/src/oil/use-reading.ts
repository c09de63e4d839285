import type { PumpPage } from '@winter-jar/contracts';
import {
  confidenceOf,
  lookInContext,
  nextLook,
  readOil,
  whatWouldChange,
  type Confidence,
  type LookBody,
  type NextLook,
  type OilReading,
  type VerdictChange,
} from '@winter-jar/core';
import { useMemo } from 'react';
import type { Pending } from '../entry/use-entry-form.js';

export interface LookReading {
  readonly look: LookBody;
  readonly reading: OilReading;
  readonly confidence: Confidence;
  readonly next: NextLook;
  readonly changes: readonly VerdictChange[];
}

/** What the look on the screen says by itself; null while its fields are not right, and for a correction of an old one. */
export function useReading(page: PumpPage, pending: Pending | null): LookReading | null {
  return useMemo(() => {
    const entry = pending?.entry;
    if (!entry || entry.kind !== 'look' || pending.correcting) return null;
    const sump = page.state.sumps.find((s) => s.key === entry.body.sump);
    if (!sump) return null;
    const look = entry.body;
    const origin = { entryId: entry.id, at: entry.happenedAt };
    const context = lookInContext({ state: page.state, sump, look, setUp: page.setUp, origin });
    const reading = readOil(context);
    return {
      look,
      reading,
      confidence: confidenceOf(context, reading),
      next: nextLook({ look, reading }),
      changes: whatWouldChange(context),
    };
  }, [page, pending]);
}
