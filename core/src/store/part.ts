import type { Phase } from '../journal/index.js';

/** So much of one lot in one phase. All counts are whole, so that a rebuild equals the increments. */
export interface Part {
  readonly phase: Phase;
  /** The entry that brought it into the house; null: nobody said where it came from. */
  readonly lot: string | null;
  readonly productId: string | null;
  /** How often it has come out of a pump: 0 for new oil. */
  readonly rounds: number;
  /** How often it went through a filter since. */
  readonly passes: number;
  readonly uL: number;
}

/** What was less than this in a place and less than {@link POOL_SHARE} of it loses its name there. */
export const POOL_UL = 1000;
export const POOL_SHARE = 0.001;
/** The lot of what lost its name. */
export const OLDER = 'older';

export const totalUL = (parts: readonly Part[], phase?: Phase): number =>
  parts.reduce((sum, p) => (phase === undefined || p.phase === phase ? sum + p.uL : sum), 0);

const keyOf = (p: Part): string => `${p.phase}|${p.lot ?? ''}|${p.productId ?? ''}|${p.rounds}|${p.passes}`;

/** Parts of one kind are one; the order follows from the kinds, not from how they came. */
export function merged(parts: readonly Part[]): Part[] {
  const byKey = new Map<string, Part>();
  for (const part of parts) {
    if (part.uL === 0) continue;
    const key = keyOf(part);
    const known = byKey.get(key);
    byKey.set(key, known ? { ...known, uL: known.uL + part.uL } : part);
  }
  return [...byKey].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, part]) => part);
}

/**
 * Takes a volume out of one phase, each lot by its share, in whole µL by the largest remainder.
 * @returns what was taken and what is left; `taken` is less than asked where there is not so much
 */
export function draw(input: { parts: readonly Part[]; phase: Phase; uL: number }): { taken: Part[]; left: Part[] } {
  const own = input.parts.filter((p) => p.phase === input.phase);
  const others = input.parts.filter((p) => p.phase !== input.phase);
  const there = totalUL(own);
  const asked = Math.min(input.uL, there);
  if (asked <= 0) return { taken: [], left: [...input.parts] };
  const shares = own.map((part, at) => {
    const whole = (part.uL * asked) / there;
    return { part, at, uL: Math.floor(whole), rest: whole - Math.floor(whole) };
  });
  let missing = asked - shares.reduce((sum, s) => sum + s.uL, 0);
  for (const share of shares.toSorted((a, b) => b.rest - a.rest || a.at - b.at)) {
    if (missing === 0) break;
    if (share.uL < share.part.uL) {
      share.uL += 1;
      missing -= 1;
    }
  }
  return {
    taken: shares.filter((s) => s.uL > 0).map(({ part, uL }) => ({ ...part, uL })),
    left: [...others, ...shares.map(({ part, uL }) => ({ ...part, uL: part.uL - uL })).filter((p) => p.uL > 0)],
  };
}

/** Traces of lots lose their names, so that a place that is filled again and again does not keep all of them. */
export function pooled(parts: readonly Part[]): { parts: Part[]; pooledLots: string[] } {
  const least = totalUL(parts) * POOL_SHARE;
  const isTrace = (p: Part) => p.lot !== null && p.lot !== OLDER && p.uL < POOL_UL && p.uL < least;
  const traces = parts.filter(isTrace);
  if (traces.length === 0) return { parts: [...parts], pooledLots: [] };
  return {
    parts: merged(parts.map((p) => (isTrace(p) ? { ...p, lot: OLDER } : p))),
    pooledLots: [...new Set(traces.flatMap((p) => p.lot ?? []))],
  };
}
