import type { PumpEffect, PumpPage } from '@winter-jar/contracts';
import { runRuler, standingAt, step, type Entry, type PumpState, type RunRuler, type Standing } from '@winter-jar/core';
import { useMemo } from 'react';
import { isLate, unsettledIn } from '../held/fold-on.js';
import { useEntriesEffect } from '../effect/use-entries-effect.js';
import type { Pending } from './use-entry-form.js';

export type Preview =
  | { readonly kind: 'none' }
  /** A correction, or an entry from before the last one: the server says what it changes; null until it has. */
  | { readonly kind: 'effects'; readonly effects: readonly PumpEffect[] | null }
  | {
      readonly kind: 'shown';
      readonly state: PumpState;
      readonly before: Standing;
      readonly after: Standing;
      readonly ruler: RunRuler;
    };

/** What the schedule would be with one more entry at the end, by the same functions as on the server. */
export function previewOfLast(page: PumpPage, entry: Entry, now: string): Preview {
  const { state, setUp, standing: before } = page;
  try {
    const after = step(state, entry, setUp);
    const unsettled = unsettledIn(page);
    const standing = standingAt({ state: after, setUp, now, unsettled });
    return { kind: 'shown', state: after, before, after: standing, ruler: runRuler({ state: after, standing }) };
  } catch {
    return { kind: 'none' };
  }
}

/** What would change with what is typed now. */
export function usePreview(page: PumpPage, pending: Pending | null, now: string): Preview {
  const late = pending !== null && (pending.correcting || isLate(page.state, pending.entry));
  const effects = useEntriesEffect(late && pending ? pending.makeEntries : null, pending?.key ?? '');
  return useMemo((): Preview => {
    if (!pending) return { kind: 'none' };
    return late ? { kind: 'effects', effects } : previewOfLast(page, pending.entry, now);
  }, [page, pending, late, effects, now]);
}
