/** A jar as heights and what it holds up to them, from the inside bottom (0 mm, 0 mL) upwards. */
export interface JarShape {
  readonly name: string;
  readonly points: readonly { readonly heightMm: number; readonly ml: number }[];
}

const straight = (name: string, insideMm: number, ml: number): JarShape => ({
  name,
  points: [
    { heightMm: 0, ml: 0 },
    { heightMm: Math.round((ml * 1000) / ((Math.PI * insideMm ** 2) / 4)), ml },
  ],
});

/** Jars that lie about in a workshop; a person's own are records of the set-up. */
export const JAR_SHAPES = {
  'straight-100': straight('100 mL straight', 46, 100),
  'straight-250': straight('250 mL straight', 62, 250),
  'straight-500': straight('500 mL straight', 76, 500),
  'straight-1000': straight('1 L straight', 96, 1000),
  'straight-2000': straight('2 L straight', 120, 2000),
  'straight-5000': straight('5 L straight', 165, 5000),
  'straight-20000': straight('20 L straight', 270, 20_000),
  'tapered-400': {
    name: '400 mL tapered, wide at the top',
    points: [
      { heightMm: 0, ml: 0 },
      { heightMm: 20, ml: 52 },
      { heightMm: 60, ml: 184 },
      { heightMm: 115, ml: 400 },
    ],
  },
  'cone-1000': {
    name: '1 L settling cone',
    points: [
      { heightMm: 0, ml: 0 },
      { heightMm: 40, ml: 2 },
      { heightMm: 100, ml: 20 },
      { heightMm: 200, ml: 135 },
      { heightMm: 300, ml: 430 },
      { heightMm: 400, ml: 1000 },
    ],
  },
} as const satisfies Record<string, JarShape>;

export type JarShapeId = keyof typeof JAR_SHAPES;

/** A jar by its id: one's own first, then the library. Null when there is none. */
export function jarShapeOf(input: {
  id: string | null | undefined;
  own: Readonly<Record<string, JarShape>>;
}): JarShape | null {
  const id = input.id ?? '';
  if (Object.hasOwn(input.own, id)) return input.own[id] ?? null;
  return Object.hasOwn(JAR_SHAPES, id) ? JAR_SHAPES[id as JarShapeId] : null;
}

export const capacityMl = ({ points }: JarShape): number => points.at(-1)?.ml ?? 0;

/** The smallest straight jar of the library that holds a volume; above 20 L one of its own, as wide as it is high. */
export function shelfJar(ml: number): JarShape {
  const jars = Object.values<JarShape>(JAR_SHAPES).filter((s) => s.points.length === 2);
  return jars.find((s) => capacityMl(s) >= ml) ?? straight('vessel', Math.cbrt((ml * 4000) / Math.PI), ml);
}

/** Null when the points make a jar; else what is wrong with them. */
export function jarShapeIssue(points: JarShape['points']): 'tooFew' | 'notFromBottom' | 'notRising' | null {
  if (points.length < 2) return 'tooFew';
  if (points[0]?.heightMm !== 0 || points[0].ml !== 0) return 'notFromBottom';
  const rising = points.every((p, i) => {
    const below = points[i - 1];
    return !below || (p.heightMm > below.heightMm && p.ml > below.ml);
  });
  return rising ? null : 'notRising';
}

/**
 * Height of a volume in a jar, straight between two points.
 * @returns mm from the inside bottom
 * @throws RangeError below 0 or above what the jar holds. Example: 250 mL in a straight 500 mL jar of 76 mm → 55 mm.
 */
export function jarHeightMm({ shape, ml }: { shape: JarShape; ml: number }): number {
  return between(shape, ml, 'ml', 'heightMm');
}

/**
 * Volume up to a height in a jar, straight between two points.
 * @returns mL
 * @throws RangeError below 0 or above the jar's height. Example: 55 mm in a straight 500 mL jar of 76 mm → 250 mL.
 */
export function jarVolumeMl({ shape, heightMm }: { shape: JarShape; heightMm: number }): number {
  return between(shape, heightMm, 'heightMm', 'ml');
}

function between({ points, name }: JarShape, value: number, from: 'ml' | 'heightMm', to: 'ml' | 'heightMm'): number {
  const upper = points.findIndex((p) => p[from] >= value);
  const high = points[upper];
  if (!(value >= 0) || !high) throw new RangeError(`${from}: ${value} is not within the jar "${name}"`);
  const low = points[upper - 1] ?? high;
  const part = high[from] === low[from] ? 0 : (value - low[from]) / (high[from] - low[from]);
  return low[to] + part * (high[to] - low[to]);
}
