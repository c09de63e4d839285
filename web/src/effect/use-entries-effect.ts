import type { PumpEffect } from '@winter-jar/contracts';
import type { JournalEntry } from '@winter-jar/core';
import { useEffect, useRef, useState } from 'react';
import { usePreviewEntriesMutation } from '../api/house-api.js';

/** Long enough not to ask at every key, short enough to feel live. */
const PAUSE_MS = 350;

/**
 * What entries would change, asked of the server after a pause in typing. Null while it is not known.
 * @param makeEntries called when the pause is over; null asks nothing
 * @param key says when the entries are other ones
 */
export function useEntriesEffect(
  makeEntries: (() => readonly JournalEntry[]) | null,
  key: string,
): readonly PumpEffect[] | null {
  const [ask] = usePreviewEntriesMutation();
  const [known, setKnown] = useState<{ key: string; effects: readonly PumpEffect[] } | null>(null);
  const asks = makeEntries !== null;
  // The entries carry the time of asking; only the key says that they are others.
  const latest = useRef(makeEntries);
  useEffect(() => {
    latest.current = makeEntries;
  });
  useEffect(() => {
    if (!asks) return;
    const timer = setTimeout(() => {
      void ask({ entries: latest.current?.() ?? [] }).then((answer) => {
        if (answer.data) setKnown({ key, effects: answer.data.effects });
      });
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [asks, key, ask]);
  return known?.key === key ? known.effects : null;
}
