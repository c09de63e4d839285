import type { LayerKind, LayerVolumes } from '../ui/jar-layout.js';

/** The layers that are set; clear oil is what is left of the jar. */
export type SetLayer = Exclude<LayerKind, 'oil'>;
export interface JarLayers {
  readonly sludgeMl: number;
  readonly waterMl: number;
  readonly creamMl: number;
  readonly hazyMl: number;
}
export const NO_LAYERS: JarLayers = { sludgeMl: 0, waterMl: 0, creamMl: 0, hazyMl: 0 };
const KEY = { sludge: 'sludgeMl', water: 'waterMl', cream: 'creamMl', hazy: 'hazyMl' } as const;

/** From the bottom up. Water floats on oil that is denser than it. */
export const stackOf = (denser: boolean): readonly LayerKind[] =>
  denser ? ['sludge', 'oil', 'hazy', 'cream', 'water'] : ['sludge', 'water', 'cream', 'hazy', 'oil'];

export const mlOf = (layers: JarLayers, kind: SetLayer): number => layers[KEY[kind]];
const sumOf = (layers: JarLayers): number => layers.sludgeMl + layers.waterMl + layers.creamMl + layers.hazyMl;

/** All five layers; clear oil is never less than nothing. */
export const withOil = (layers: JarLayers, totalMl: number): LayerVolumes => ({
  ...layers,
  oilMl: Math.max(0, totalMl - sumOf(layers)),
});

/** mL by which the layers are more than what is in the jar. */
export const surplusMl = (layers: JarLayers, totalMl: number): number => Math.max(0, sumOf(layers) - totalMl);

/** Layers from this one towards the oil: what it takes from when it grows, nearest first. */
function towardsOil(kind: SetLayer, denser: boolean): LayerKind[] {
  const stack = stackOf(denser);
  const [own, oil] = [stack.indexOf(kind), stack.indexOf('oil')];
  return own < oil ? stack.slice(own + 1, oil + 1) : stack.slice(oil, own).reverse();
}

/**
 * One layer set to an amount; all together stay what is in the jar. An edge that is moved takes from the layers between it and the
 * clear oil, the nearest first, and gives to the nearest that is there. An amount that is said takes from and gives to the clear
 * oil, as long as there is some: what was said of other layers stays.
 */
export function setLayer(input: {
  layers: JarLayers;
  kind: SetLayer;
  ml: number;
  totalMl: number;
  denser: boolean;
  by: 'edge' | 'amount';
}): JarLayers {
  const { layers, kind, totalMl, denser, by } = input;
  const all: Record<LayerKind, number> = { ...kinds(layers), oil: Math.max(0, totalMl - sumOf(layers)) };
  const nearestFirst = towardsOil(kind, denser);
  const givers = by === 'edge' ? nearestFirst : [...nearestFirst].reverse();
  const most = all[kind] + givers.reduce((sum, g) => sum + all[g], 0);
  const ml = Math.min(Math.max(0, input.ml), most);
  let more = ml - all[kind];
  all[kind] = ml;
  if (more < 0) {
    const taker = givers.find((g) => all[g] > 0) ?? 'oil';
    all[taker] -= more;
  }
  for (const giver of givers) {
    if (more <= 0) break;
    const given = Math.min(more, all[giver]);
    all[giver] -= given;
    more -= given;
  }
  return { sludgeMl: all.sludge, waterMl: all.water, creamMl: all.cream, hazyMl: all.hazy };
}

const kinds = (layers: JarLayers) => ({
  sludge: layers.sludgeMl,
  water: layers.waterMl,
  cream: layers.creamMl,
  hazy: layers.hazyMl,
});

/** How high the edge of a layer that faces the clear oil stands, as mL from the bottom. */
export function edgeMl(layers: JarLayers, kind: SetLayer, totalMl: number, denser: boolean): number {
  const stack = stackOf(denser);
  const all: Record<LayerKind, number> = { ...kinds(layers), oil: Math.max(0, totalMl - sumOf(layers)) };
  const own = stack.indexOf(kind);
  const upTo = own < stack.indexOf('oil') ? own + 1 : own;
  return stack.slice(0, upTo).reduce((sum, k) => sum + all[k], 0);
}

/** The amount of a layer whose edge is moved to so many mL from the bottom. */
export function mlAtEdge(layers: JarLayers, kind: SetLayer, edge: number, totalMl: number, denser: boolean): number {
  const now = edgeMl(layers, kind, totalMl, denser);
  const below = stackOf(denser).indexOf(kind) < stackOf(denser).indexOf('oil');
  return Math.max(0, mlOf(layers, kind) + (below ? edge - now : now - edge));
}

/** What a jar is read to: half a mL in a small one, ten in a bucket. */
export function readingStepMl(totalMl: number): number {
  if (totalMl <= 60) return 0.5;
  if (totalMl <= 600) return 1;
  return totalMl <= 3000 ? 5 : 10;
}

/** Ticks on the wall, about a dozen to the jar. */
export function scaleStepMl(brimMl: number): number {
  const rough = brimMl / 12;
  const size = 10 ** Math.floor(Math.log10(rough));
  return [1, 2, 5, 10].map((f) => f * size).find((step) => step >= rough) ?? rough;
}

/** Places wanted on a line, at least `gap` apart and between `min` and `max`, each as near to its place as that allows. From low to high. */
export function spread(wanted: readonly number[], gap: number, min: number, max: number): number[] {
  const placed: number[] = [];
  for (const w of wanted) placed.push(Math.max(w, min, (placed.at(-1) ?? -Infinity) + gap));
  let limit = max;
  for (let i = placed.length - 1; i >= 0; i--) {
    placed[i] = Math.min(placed[i] ?? 0, limit);
    limit = (placed[i] ?? 0) - gap;
  }
  return placed;
}
