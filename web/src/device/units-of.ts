import type { Dimension } from '@winter-jar/core';

/** In what a small volume is typed where large ones are read in litres or quarts: a bare 40 is never 40 litres of water in a jar. */
const TYPED_VOLUME: Readonly<Record<string, string>> = { L: 'mL', qt: 'fl oz' };

/** The unit that a bare number means, per dimension: four are picked by the person, the others have one in the trade. */
export const unitsOf = (picked: {
  pressure: string;
  volume: string;
  temperature: string;
  flow: string;
}): Readonly<Record<Dimension, string>> => ({
  ...picked,
  volume: TYPED_VOLUME[picked.volume] ?? picked.volume,
  duration: 'h',
  mass: 'kg',
  share: 'ppm',
  viscosity: 'mm²/s',
  acidNumber: 'mg KOH/g',
  count: '/mL',
});
