import type { RoundRow } from '@winter-jar/contracts';
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

/** A layer by its name; oil that nobody has looked at is not clear oil. */
export const layerWords = (kind: LayerKind, jar: Pick<JarSeen, 'clarity'> | null): string =>
  kind === 'oil' && (jar?.clarity ?? null) === null ? 'oil' : LAYER_WORDS[kind];

/** The last jar of the oil that is in the pump now: one of the oil before says nothing of it. */
export function jarNow({ jars, oilChangedAt }: Pick<RoundRow, 'jars' | 'oilChangedAt'>): JarSeen | null {
  const jar = jars.at(-1) ?? null;
  return jar && oilChangedAt !== null && jar.at < oilChangedAt ? null : jar;
}

export const NOT_LOOKED_AT = 'This oil has not been looked at yet';

/** The jar as a screen reader says it: "free water 31 mL, hazy oil 292 mL". */
export function jarWords(jar: JarSeen | null, chargeMl: number | null, print: Print): string {
  const layers = layersOf(jar, chargeMl).filter((l) => l.ml > 0);
  if (layers.length === 0) return NOT_LOOKED_AT;
  const said = layers.map((l) => `${layerWords(l.kind, jar)} ${print.volume(l.ml)}`).join(', ');
  return jar?.source === 'change' ? `drained, not looked at yet: ${said}` : said;
}

/** What was found of water in a jar; where nobody looked for it, none is not no water. */
export const waterWords = ({ waterUl, waterRead }: JarSeen, print: Print): string =>
  waterUl > 0 ? print.volume(waterUl / 1000) : waterRead ? 'no water' : 'not read';
