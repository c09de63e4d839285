/** Readings of one channel for the screen: what was fetched, and what came since. */
export interface Trace {
  readonly atMs: readonly number[];
  readonly value: readonly number[];
}

export const NO_TRACE: Trace = { atMs: [], value: [] };
/** Of a window: beyond so many, a stretch shows its lowest and its highest. */
const MOST_POINTS = 800;
/** What came since stays so long at its full fineness. */
const MOST_KEPT = 20_000;

/** What came, behind what is there; what was sent late is left to the next fetch. */
export function withReadings(trace: Trace, readings: readonly (readonly [number, number])[]): Trace {
  const lastMs = trace.atMs.at(-1) ?? -Infinity;
  const fresh = readings.filter(([ms]) => ms > lastMs);
  if (fresh.length === 0) return trace;
  const cut = Math.max(0, trace.atMs.length + fresh.length - MOST_KEPT);
  return {
    atMs: [...trace.atMs.slice(cut), ...fresh.map(([ms]) => ms)],
    value: [...trace.value.slice(cut), ...fresh.map(([, value]) => value)],
  };
}

/** The first place at or behind a moment. */
export function placeAt(atMs: readonly number[], ms: number): number {
  let [low, high] = [0, atMs.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((atMs[middle] ?? 0) < ms) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A silence longer than this is drawn as a gap. */
const gapMs = (windowMs: number): number => Math.max(5000, windowMs / 60);

/**
 * The points of a window, of each stretch its lowest and its highest. Stretches lie at fixed places of the clock, so that a peak does not
 * flicker while the window moves on.
 * @returns moments and values; null where nothing came
 */
export function pointsIn(
  { atMs, value }: Trace,
  { fromMs, toMs }: { readonly fromMs: number; readonly toMs: number },
): { readonly ms: number; readonly value: number | null }[] {
  const points: { ms: number; value: number | null }[] = [];
  const [from, to] = [placeAt(atMs, fromMs), placeAt(atMs, toMs)];
  const gap = gapMs(toMs - fromMs);
  const stretchMs = to - from <= MOST_POINTS ? 0 : ((toMs - fromMs) * 2) / MOST_POINTS;
  let lastMs: number | null = null;
  const put = (i: number): void => {
    const ms = atMs[i] ?? 0;
    if (lastMs !== null && ms - lastMs > gap) points.push({ ms: (lastMs + ms) / 2, value: null });
    points.push({ ms, value: value[i] ?? null });
    lastMs = ms;
  };
  for (let i = from; i < to;) {
    const stretch = stretchMs === 0 ? 0 : Math.floor((atMs[i] ?? 0) / stretchMs);
    let [low, high, next] = [i, i, i + 1];
    for (; stretchMs > 0 && next < to && Math.floor((atMs[next] ?? 0) / stretchMs) === stretch; next++) {
      if ((value[next] ?? 0) < (value[low] ?? 0)) low = next;
      if ((value[next] ?? 0) > (value[high] ?? 0)) high = next;
    }
    put(Math.min(low, high));
    if (low !== high) put(Math.max(low, high));
    i = next;
  }
  return points;
}
