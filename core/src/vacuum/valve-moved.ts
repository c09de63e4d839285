import { median } from '../statistics/index.js';

/** A reading of a gauge that is watched. */
export interface WatchedReading {
  readonly atMs: number;
  readonly pa: number;
}

export type ValveWatched =
  | {
      readonly ok: true;
      readonly moved: boolean;
      /** What it would have shown without the valve, and what it showed furthest from that. */
      readonly expectedPa: number;
      readonly furthestPa: number;
    }
  | { readonly ok: false; readonly code: 'tooFew' | 'restless' };

const FEWEST = 8;
/** Below it nobody sees a needle move. */
const LEAST_SHARE = 0.02;
const SCATTERS = 5;
/** A flicker, not a lone spike of the line. */
const LASTS_MS = 250;
/** A gauge that swings so much tells of no valve. */
const RESTLESS_SHARE = 0.15;
const MAD_TO_SIGMA = 1.4826;

/**
 * Whether a gauge moved when a valve was turned: its readings leave the line on which they went before, by five times their scatter and
 * 2 % at least, for a quarter of a second and two readings at least. The line is Theil and Sen's (Sen 1968), so that a spike before does
 * not tilt it; the scatter is the median deviation from it. Our own rule.
 * @param input.turnedMs when the valve was turned
 * @param input.readings some ten seconds before and after
 */
export function valveMoved(input: { readings: readonly WatchedReading[]; turnedMs: number }): ValveWatched {
  const { readings, turnedMs } = input;
  const before = readings.filter((r) => r.atMs < turnedMs);
  const after = readings.filter((r) => r.atMs >= turnedMs);
  if (before.length < FEWEST || after.length < FEWEST) return { ok: false, code: 'tooFew' };
  const slopes = before.flatMap((a, i) =>
    before.slice(i + 1).flatMap((b) => (b.atMs > a.atMs ? [(b.pa - a.pa) / (b.atMs - a.atMs)] : [])),
  );
  const slope = median(slopes);
  const level = median(before.map((r) => r.pa - slope * (r.atMs - turnedMs)));
  const lineAt = (atMs: number): number => level + slope * (atMs - turnedMs);
  const scatter = MAD_TO_SIGMA * median(before.map((r) => Math.abs(r.pa - lineAt(r.atMs))));
  if (scatter > RESTLESS_SHARE * level) return { ok: false, code: 'restless' };
  const threshold = Math.max(SCATTERS * scatter, LEAST_SHARE * level);
  const offs = after.map((r) => r.pa - lineAt(r.atMs));
  const everyMs = median(after.slice(1).map((r, i) => r.atMs - (after[i]?.atMs ?? 0)));
  const needed = Math.max(2, Math.ceil(LASTS_MS / Math.max(1, everyMs)));
  let row = 0;
  let longest = 0;
  for (const [i, off] of offs.entries()) {
    const isOff = Math.abs(off) > threshold;
    const sameSide = Math.sign(off) === Math.sign(offs[i - 1] ?? off);
    row = !isOff ? 0 : row > 0 && sameSide ? row + 1 : 1;
    longest = Math.max(longest, row);
  }
  const furthest = offs.reduce((far, off, i) => (Math.abs(off) > Math.abs(offs[far] ?? 0) ? i : far), 0);
  return {
    ok: true,
    moved: longest >= needed,
    expectedPa: lineAt(after[furthest]?.atMs ?? turnedMs),
    furthestPa: after[furthest]?.pa ?? level,
  };
}
