import type { Dimension } from '@winter-jar/core';

/** The unit that a bare number means, per dimension: three are picked by the person, the others have one in the trade. */
export const unitsOf = (picked: {
  pressure: string;
  volume: string;
  temperature: string;
}): Readonly<Record<Dimension, string>> => ({
  ...picked,
  duration: 'h',
  flow: 'm³/h',
  mass: 'kg',
  share: 'ppm',
  viscosity: 'mm²/s',
  acidNumber: 'mg KOH/g',
  count: '/mL',
});
