import type { JarShape } from '@winter-jar/core';
import { FULL } from './jar-layout.js';

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The wall of a jar as a path: a straight one has round corners, another its own width at each height. */
export function jarOutline(box: Box, radius: number, shape: JarShape | null): string {
  const { x, y, width, height } = box;
  const right = x + width;
  const floor = y + height;
  if (!shape || shape.points.length === 2) {
    const r = Math.min(radius, height / 2);
    return `M${x + r} ${y}H${right - r}Q${right} ${y} ${right} ${y + r}V${floor - r}Q${right} ${floor} ${right - r} ${floor}H${x + r}Q${x} ${floor} ${x} ${floor - r}V${y + r}Q${x} ${y} ${x + r} ${y}Z`;
  }
  const middle = x + width / 2;
  const walls = wallOf(shape);
  const at = (wall: Wall | undefined, side: 1 | -1) =>
    `${middle + (side * (wall?.half ?? 1) * width) / 2} ${floor - (wall?.share ?? 0) * height}`;
  return `M${[...walls.map((w) => at(w, 1)), ...[...walls].reverse().map((w) => at(w, -1))].join('L')}Z`;
}

interface Wall {
  /** Of the inside's height. */
  readonly share: number;
  /** Of the jar's greatest half width. */
  readonly half: number;
}

/** The wall from the bottom up; above what the jar holds it goes straight on to the neck. */
function wallOf(shape: JarShape): Wall[] {
  const halves = halfWidths(shape);
  const brimMm = shape.points.at(-1)?.heightMm ?? 1;
  const walls = shape.points.map((p, i) => ({ share: (p.heightMm / brimMm) * FULL, half: halves[i] ?? 1 }));
  return [...walls, { share: 1, half: walls.at(-1)?.half ?? 1 }];
}

/** Half width of the jar at a share of its inside's height, 1 where it is widest. */
export function halfWidthAt(share: number, shape: JarShape): number {
  const walls = wallOf(shape);
  const above = walls.findIndex((w) => w.share >= share);
  const [low, high] = [walls[above - 1], walls[above]];
  if (!high) return walls.at(-1)?.half ?? 1;
  if (!low) return high.half;
  return low.half + ((share - low.share) / (high.share - low.share)) * (high.half - low.half);
}

/** Half widths at the points of a round jar, the widest being 1: the radius follows from mL per mm. */
export function halfWidths({ points }: JarShape): number[] {
  const radii = points.slice(1).map((p, i) => {
    const below = points[i] ?? p;
    return Math.sqrt((p.ml - below.ml) / (p.heightMm - below.heightMm));
  });
  const atPoints = points.map((_, i) => {
    const [under, over] = [radii[i - 1], radii[i]];
    return under !== undefined && over !== undefined ? (under + over) / 2 : (under ?? over ?? 1);
  });
  const widest = Math.max(...atPoints);
  return atPoints.map((r) => r / widest);
}
