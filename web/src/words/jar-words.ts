import type { JarSeen } from '@winter-jar/core';
import type { Print } from '../device/use-print.js';
import { layersOf, type LayerKind } from '../ui/jar-layout.js';

export const LAYER_WORDS: Readonly<Record<LayerKind, string>> = {
  sludge: 'sludge',
  water: 'free water',
  cream: 'cream',
  hazy: 'hazy oil',
  oil: 'clear oil',
};

/** The jar as a screen reader says it: "free water 31 mL, hazy oil 292 mL". */
export function jarWords(jar: JarSeen | null, chargeMl: number | null, print: Print): string {
  const layers = layersOf(jar, chargeMl).filter((l) => l.ml > 0);
  if (layers.length === 0) return 'No oil has been looked at yet';
  return layers.map((l) => `${LAYER_WORDS[l.kind]} ${print.volume(l.ml)}`).join(', ');
}
