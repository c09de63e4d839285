/** What happened at one pump, as far as suspects are concerned, in the order in which it happened. */
export type SuspectEvent =
  /** Null where nobody said what went in. */
  | { readonly kind: 'run'; readonly materialId: string | null }
  | {
      readonly kind: 'look';
      /** ASTM D1500. */
      readonly colour: number | null;
      /** Free water and half the cream that stand in the oil; null where nobody looked for water. */
      readonly waterMl: number | null;
    }
  /** Null where nobody read its water. */
  | { readonly kind: 'bleed'; readonly waterMl: number | null }
  | { readonly kind: 'change'; readonly freshColour: number };

/** Runs between two readings, and whether what was asked for had come about by the second. */
export interface Stretch {
  readonly runs: Readonly<Record<string, number>>;
  readonly came: boolean;
}

export type SuspectSign = 'dark' | 'water';

/** Steps of D1500 from one reading to the next that are darker, and mL of water that are found. */
const DARKER_STEPS = 1;
const FOUND_ML = 5;

/** Null where nobody said what went in on one of them: such a stretch speaks for no material. */
function countOf(materialIds: readonly (string | null)[]): Record<string, number> | null {
  const runs: Record<string, number> = {};
  for (const id of materialIds) {
    if (id === null) return null;
    runs[id] = (runs[id] ?? 0) + 1;
  }
  return runs;
}

function stretchOf(materialIds: readonly (string | null)[], came: boolean): Stretch[] {
  const runs = countOf(materialIds);
  return runs ? [{ runs, came }] : [];
}

/** Cuts what happened at a pump into stretches between readings of a sign. Runs before the first reading tell nothing. */
export function stretchesOf(events: readonly SuspectEvent[], sign: SuspectSign): Stretch[] {
  return sign === 'dark' ? byColour(events) : byWater(events);
}

function byColour(events: readonly SuspectEvent[]): Stretch[] {
  const stretches: Stretch[] = [];
  let last: number | null = null;
  let runs: (string | null)[] = [];
  for (const event of events) {
    if (event.kind === 'run') runs.push(event.materialId);
    const reads = event.kind === 'change' ? event.freshColour : event.kind === 'look' ? event.colour : null;
    if (reads === null) continue;
    // A change begins anew; what the oil before it had become, its own look said.
    if (event.kind === 'look' && last !== null && runs.length > 0)
      stretches.push(...stretchOf(runs, reads - last >= DARKER_STEPS));
    last = reads;
    runs = [];
  }
  return stretches;
}

function byWater(events: readonly SuspectEvent[]): Stretch[] {
  const stretches: Stretch[] = [];
  let standingMl: number | null = null;
  let runs: (string | null)[] = [];
  for (const event of events) {
    if (event.kind === 'run') runs.push(event.materialId);
    if (event.kind === 'run' || (event.kind === 'look' && event.waterMl === null)) continue;
    const foundMl = event.kind === 'change' ? 0 : (event.waterMl ?? 0) - (standingMl ?? 0);
    const unread = event.kind === 'bleed' && event.waterMl === null;
    if (event.kind !== 'change' && !unread && standingMl !== null && runs.length > 0)
      stretches.push(...stretchOf(runs, foundMl >= FOUND_ML));
    // Bled or changed, none of it stands in the oil any more.
    standingMl = event.kind === 'look' ? event.waterMl : 0;
    runs = [];
  }
  return stretches;
}
