import type { Dimension } from '@winter-jar/core';
import { useMemo } from 'react';
import { useAppSelector } from './store.js';
import { unitsOf } from './units-of.js';

/** The unit that a bare number means for this person, per dimension. */
export function useUnits(): Readonly<Record<Dimension, string>> {
  const { pressure, volume, temperature, flow } = useAppSelector((s) => s.prefs);
  return useMemo(() => unitsOf({ pressure, volume, temperature, flow }), [pressure, volume, temperature, flow]);
}
