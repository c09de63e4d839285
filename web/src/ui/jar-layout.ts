import { capacityMl, jarHeightMm, jarVolumeMl, type JarSeen, type JarShape } from '@winter-jar/core';
import { oilTint } from './oil-colour.js';

export type LayerKind = 'sludge' | 'water' | 'cream' | 'hazy' | 'oil';

export interface JarLayer {
  readonly kind: LayerKind;
  readonly ml: number;
  readonly tint: string;
}

export interface PlacedLayer extends JarLayer {
  /** From the jar's inside bottom, in px. */
  readonly bottom: number;
  readonly height: number;
}

const JAR_SIZES_ML = [50, 100, 250, 500, 1000, 2000, 3000, 5000, 10_000, 50_000, 200_000];
/** A jar is filled to at most this share of its inside. */
export const FULL = 0.86;
const MIN_LAYER_PX = 2;

/** The smallest jar of the shelf that holds a volume. */
export const jarSizeMl = (ml: number): number => JAR_SIZES_ML.find((size) => size >= ml) ?? ml;

/** How high a volume stands, as a share of the jar's inside: in a jar of this shape, or in any straight one. */
export function shareOfHeight(ml: number, totalMl: number, shape: JarShape | null): number {
  if (!shape) return (ml / jarSizeMl(totalMl)) * FULL;
  const brim = capacityMl(shape);
  return (jarHeightMm({ shape, ml: Math.min(Math.max(0, ml), brim) }) / jarHeightMm({ shape, ml: brim })) * FULL;
}

/** The volume up to a share of the inside; what {@link shareOfHeight} says the other way round. */
export function volumeAtShare(share: number, shape: JarShape): number {
  const brimMm = jarHeightMm({ shape, ml: capacityMl(shape) });
  return jarVolumeMl({ shape, heightMm: Math.min(1, Math.max(0, share / FULL)) * brimMm });
}

/**
 * Heights of layers, to scale; a layer that exists is at least 2 px high, the largest one giving way.
 * @param insideHeight px from the inside bottom to the neck
 */
export function placeLayers(
  layers: readonly JarLayer[],
  insideHeight: number,
  shape: JarShape | null = null,
): PlacedLayer[] {
  const present = layers.filter((l) => l.ml > 0);
  const total = present.reduce((sum, l) => sum + l.ml, 0);
  if (total === 0) return [];
  const top = (ml: number) => shareOfHeight(ml, total, shape) * insideHeight;
  let below = 0;
  const heights = present.map((l) => {
    const height = top(below + l.ml) - top(below);
    below += l.ml;
    return Math.max(MIN_LAYER_PX, height);
  });
  const surplus = heights.reduce((sum, h) => sum + h, 0) - top(total);
  const largest = heights.indexOf(Math.max(...heights));
  heights[largest] = Math.max(MIN_LAYER_PX, (heights[largest] ?? 0) - surplus);
  let bottom = 0;
  return present.map((layer, i) => {
    const height = heights[i] ?? 0;
    const placed = { ...layer, bottom, height };
    bottom += height;
    return placed;
  });
}

/** What a look or a drain showed, as layers from the bottom. A sight glass shows the whole charge. */
export function layersOf(jar: JarSeen | null, chargeMl: number | null): JarLayer[] {
  if (!jar) return [];
  const [sludgeMl, waterMl, creamMl] = [jar.sludgeUl / 1000, jar.waterUl / 1000, jar.creamUl / 1000];
  const settledMl = sludgeMl + waterMl + creamMl;
  const oilMl = jar.source === 'sightGlass' ? Math.max(0, (chargeMl ?? 1000) - settledMl) : jar.oilUl / 1000;
  const clear = jar.clarity === null || jar.clarity === 'bright';
  const hazyMl = jar.hazyUl > 0 ? Math.min(oilMl, jar.hazyUl / 1000) : clear ? 0 : oilMl;
  return layerStack({ sludgeMl, waterMl, creamMl, hazyMl, oilMl: oilMl - hazyMl }, jar.colour, jar.waterFloats);
}

export interface LayerVolumes {
  readonly sludgeMl: number;
  readonly waterMl: number;
  readonly creamMl: number;
  readonly hazyMl: number;
  readonly oilMl: number;
}

/** Five layers from the bottom; in an oil denser than water they stand the other way round, but for the sludge. */
export function layerStack(volumes: LayerVolumes, colour: number | null, denser = false): JarLayer[] {
  const sludge: JarLayer = { kind: 'sludge', ml: volumes.sludgeMl, tint: 'var(--solids)' };
  const above: JarLayer[] = [
    { kind: 'water', ml: volumes.waterMl, tint: 'var(--water-fill)' },
    { kind: 'cream', ml: volumes.creamMl, tint: 'var(--cream-fill)' },
    { kind: 'hazy', ml: volumes.hazyMl, tint: oilTint(colour) },
    { kind: 'oil', ml: volumes.oilMl, tint: oilTint(colour) },
  ];
  return [sludge, ...(denser ? above.reverse() : above)];
}
