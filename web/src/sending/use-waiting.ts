import { pumpIdsOf } from '@winter-jar/core';
import { useMemo, useSyncExternalStore } from 'react';
import type { Waiting } from '../held/device-store.js';
import { outbox } from '../held/outbox.js';

/** What was written on this device and has not reached the server, as it stands now. */
export function useWaiting(): readonly Waiting[] {
  const all = useSyncExternalStore(outbox.subscribe, outbox.all);
  return useMemo(() => all.filter(({ state }) => state !== 'sending'), [all]);
}

/** How many of them each pump has. */
export function useWaitingByPump(): ReadonlyMap<string, number> {
  const waiting = useWaiting();
  return useMemo(() => {
    const counts = new Map<string, number>();
    for (const { entries } of waiting)
      for (const pumpId of new Set(entries.flatMap(pumpIdsOf))) counts.set(pumpId, (counts.get(pumpId) ?? 0) + 1);
    return counts;
  }, [waiting]);
}

/** Entries that wait, by their ids. */
export function useWaitingEntries(): ReadonlySet<string> {
  const waiting = useWaiting();
  return useMemo(() => new Set(waiting.flatMap(({ entries }) => entries.map(({ id }) => id))), [waiting]);
}
