import type { Dimension } from '@winter-jar/core';
import { useAppSelector } from './store.js';

/** The unit that a bare number means, per dimension. */
export function useUnits(): Readonly<Record<Dimension, string>> {
  const { pressure, volume, temperature } = useAppSelector((s) => s.prefs);
  return { pressure, volume, temperature, duration: 'h', flow: 'm³/h' };
}
