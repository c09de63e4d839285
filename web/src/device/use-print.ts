import { printDuration, printQuantity } from '@winter-jar/core';
import { useMemo } from 'react';
import { useAppSelector } from './store.js';

export interface Print {
  volume(ml: number): string;
  pressure(pa: number): string;
  temperature(c: number): string;
  flow(m3h: number): string;
  duration(minutes: number): string;
}

/** A number and its unit stay on one line. */
const unbroken = (text: string): string => text.replaceAll(' ', '\u00a0');

/** Prints quantities in the units that this person has picked. */
export function usePrint(): Print {
  const { pressure, volume, temperature, flow } = useAppSelector((s) => s.prefs);
  return useMemo(
    () => ({
      volume: (value) => unbroken(printQuantity({ value, unit: volume })),
      pressure: (value) => unbroken(printQuantity({ value, unit: pressure })),
      temperature: (value) => unbroken(printQuantity({ value, unit: temperature })),
      flow: (value) => unbroken(printQuantity({ value, unit: flow })),
      duration: (minutes) => unbroken(printDuration(minutes)),
    }),
    [pressure, volume, temperature, flow],
  );
}
