import { useState } from 'react';

/** A value that is made anew only when its key is another one: for what is dear to make of many things that a few words tell apart. */
export function useKept<T>(key: string, make: () => T): T {
  const [kept, setKept] = useState<{ readonly key: string; readonly value: T } | null>(null);
  if (kept?.key === key) return kept.value;
  const value = make();
  // Set while rendering: React begins this component anew at once, with the value in place.
  setKept({ key, value });
  return value;
}
