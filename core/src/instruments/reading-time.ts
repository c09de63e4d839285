/** A reading with its time by the instrument’s own clock, null where it has none, and by the server’s when it came. */
export interface Stamped<T> {
  readonly saidMs: number | null;
  readonly cameMs: number;
  readonly of: T;
}

/** What is known of an instrument’s own clock. */
export interface OwnClock<T> {
  /** The last that was put in its place by its own stamp. */
  readonly lastSaidMs: number;
  /** The last that came with a right stamp, and how long after the one before. */
  readonly onTimeMs: number;
  readonly usualMs: number;
  /** Readings with stamps that lie back: sent late, or by a clock that was set back. */
  readonly held: readonly Stamped<T>[];
  /** How far the clock is off, where it is known to be wrong. */
  readonly wrongByMs: number | null;
  /** Readings in a row that were off by the same. */
  readonly sameOff: { readonly byMs: number; readonly times: number } | null;
}

export interface Placed<T> {
  readonly clock: OwnClock<T> | null;
  readonly placed: readonly { readonly atMs: number; readonly of: T }[];
  /** How far its clock is off; null where it is right. */
  readonly wrongByMs: number | null;
}

const OFF_MS = 30_000;
const OLDEST_MS = 7 * 86_400_000;
const AHEAD_MS = 120_000;
/** So many that are off by the same, as fast as time goes, and its clock is wrong. */
const SURE = 10;
/** What lies back is sent late if readings of now still come beside it. */
const FEWEST_HELD = 3;
const MISSED = 3;

/**
 * The moment at which a reading counts. What an instrument kept while nobody listened and sends late counts at its own time. A clock
 * that is wrong or was set back does not: its readings come at the pace of time, and none of now beside them; they count when they came.
 * @returns the readings that have found their place, this one and others that waited for it; none while nobody can tell yet
 */
export function readingTimes<T>(clock: OwnClock<T> | null, reading: Stamped<T>): Placed<T> {
  const { saidMs, cameMs, of } = reading;
  if (saidMs === null) return { clock, placed: [{ atMs: cameMs, of }], wrongByMs: null };
  const offMs = saidMs - cameMs;
  const known: OwnClock<T> = clock ?? {
    ...{ lastSaidMs: -Infinity, onTimeMs: cameMs, usualMs: 0, held: [], wrongByMs: null, sameOff: null },
  };
  if (Math.abs(offMs) <= OFF_MS) return onTime(known, reading, saidMs);
  if (offMs > AHEAD_MS || offMs < -OLDEST_MS) return { clock: known, placed: [{ atMs: cameMs, of }], wrongByMs: offMs };
  if (known.wrongByMs !== null && Math.abs(offMs - known.wrongByMs) <= OFF_MS)
    return { clock: known, placed: [{ atMs: cameMs, of }], wrongByMs: offMs };
  const isSame = known.sameOff !== null && Math.abs(offMs - known.sameOff.byMs) <= OFF_MS / 10;
  const sameOff = { byMs: isSame ? known.sameOff.byMs : offMs, times: isSame ? known.sameOff.times + 1 : 1 };
  // What was set back shows no reading of now any more; what is sent late shows them beside it.
  const held = saidMs < known.lastSaidMs ? [...known.held, reading] : known.held;
  const silentOfNow = cameMs - known.onTimeMs > MISSED * Math.max(1000, known.usualMs);
  if (sameOff.times >= SURE || (held.length > FEWEST_HELD && silentOfNow)) {
    const all = held.at(-1) === reading ? held : [...held, reading];
    return {
      clock: { ...known, held: [], wrongByMs: offMs, sameOff: null },
      placed: all.map((h) => ({ atMs: h.cameMs, of: h.of })),
      wrongByMs: offMs,
    };
  }
  if (held.length > known.held.length) return { clock: { ...known, held, sameOff }, placed: [], wrongByMs: null };
  return {
    clock: { ...known, lastSaidMs: saidMs, wrongByMs: null, sameOff },
    placed: [{ atMs: saidMs, of }],
    wrongByMs: null,
  };
}

/** What waited was sent late. */
function onTime<T>(known: OwnClock<T>, { cameMs, of }: Stamped<T>, saidMs: number): Placed<T> {
  const placed = known.held.map((h) => ({ atMs: h.saidMs ?? h.cameMs, of: h.of }));
  placed.push({ atMs: saidMs, of });
  const clock = {
    lastSaidMs: Math.max(saidMs, known.lastSaidMs),
    onTimeMs: cameMs,
    usualMs: cameMs - known.onTimeMs,
    held: [],
    wrongByMs: null,
    sameOff: null,
  };
  return { clock, placed, wrongByMs: null };
}
