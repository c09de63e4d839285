import { rightOfCorrection, type Entry } from '@winter-jar/core';
import { useWriterId } from '../device/use-door.js';
import { useMayDo } from '../ui/may.js';

/** Whether an entry as it counts may be corrected here, as far as it hangs on who wrote it and what it leaves to be told. */
export function useMayCorrect(): (entry: Pick<Entry, 'kind' | 'body' | 'who'>) => boolean {
  const mayDo = useMayDo();
  const by = useWriterId() ?? '';
  return (entry) => mayDo(rightOfCorrection({ original: entry, counts: entry, by, action: 'replace' }));
}
