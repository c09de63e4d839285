import type { Move } from './ledger.js';

/** Where a traced oil was, or is, and how much of it. */
export interface TracedPlace {
  /** `container:id`, `sump:pump/oil`, `media:id`, or an end outside. */
  readonly place: string;
  readonly uL: number;
}

/** One way that it took. */
export interface TracedMove {
  readonly entryId: string;
  readonly at: string;
  readonly from: string;
  readonly to: string;
  /** Of the traced oil. */
  readonly uL: number;
}

export interface Trace {
  readonly moves: readonly TracedMove[];
  /** Backwards: where it once came from. Forwards: where it is now. Largest first. */
  readonly ends: readonly TracedPlace[];
}

/** Less than this is none. */
const LEAST_UL = 1;
const volume = (move: Move): number => move.parts.reduce((sum, p) => sum + p.uL, 0);
const phaseOf = (move: Move): string => move.parts[0]?.phase ?? 'oil';
const INSIDE = /^(container|sump|media):/;
const isInside = (place: string): boolean => INSIDE.test(place);

/** Traced µL by place and phase. Water that stood under an oil is not a part of it. */
class Traced {
  private readonly held = new Map<string, number>();
  get(place: string, phase: string): number {
    return this.held.get(`${place}|${phase}`) ?? 0;
  }
  add(place: string, phase: string, uL: number): void {
    const now = this.get(place, phase) + uL;
    if (now <= 1e-9) this.held.delete(`${place}|${phase}`);
    else this.held.set(`${place}|${phase}`, now);
  }
  ends(): TracedPlace[] {
    const byPlace = new Map<string, number>();
    for (const [key, uL] of this.held) {
      const place = key.slice(0, key.lastIndexOf('|'));
      byPlace.set(place, (byPlace.get(place) ?? 0) + uL);
    }
    return [...byPlace]
      .map(([place, uL]) => ({ place, uL: Math.round(uL) }))
      .filter(({ uL }) => uL >= LEAST_UL)
      .sort((a, b) => b.uL - a.uL || (a.place < b.place ? -1 : 1));
  }
}

/**
 * Where what a place holds now once came from: of each movement into it the share that it was of what then stood there, from the
 * last one back. Oils in one place are mixed.
 * @param moves all of the house, in the journal's order
 * @param held what the place holds now, by phase, µL
 */
export function traceBack(input: {
  moves: readonly Move[];
  place: string;
  held: Readonly<Record<string, number>>;
}): Trace {
  const { moves, place, held } = input;
  const traced = new Traced();
  for (const [phase, uL] of Object.entries(held)) traced.add(place, phase, uL);
  const way: TracedMove[] = [];
  for (let i = moves.length - 1; i >= 0; i -= 1) {
    const move = moves[i] as Move;
    const phase = phaseOf(move);
    const wanted = traced.get(move.to, phase);
    if (wanted <= 0 || !isInside(move.to) || move.heldAfterUL <= 0) continue;
    const uL = wanted * Math.min(1, volume(move) / move.heldAfterUL);
    traced.add(move.to, phase, -uL);
    traced.add(move.from, phase, uL);
    if (uL >= LEAST_UL) way.push(told(move, uL));
  }
  return { moves: way, ends: traced.ends() };
}

/**
 * Where a lot is now, or what once stood in a place at a time.
 * @param start a lot from the entry that brought it, or all that a place held after an entry
 */
export function traceOn(input: {
  moves: readonly Move[];
  start: { readonly lot: string } | { readonly place: string; readonly from: string };
}): Trace {
  const { moves, start } = input;
  const traced = new Traced();
  /** What each place holds, so that a share can be taken. */
  const holds = new Map<string, number>();
  const holdKey = (place: string, phase: string) => `${place}|${phase}`;
  const way: TracedMove[] = [];
  let begun = false;
  for (const move of moves) {
    const uL = volume(move);
    const phase = phaseOf(move);
    if (!begun && 'place' in start && move.at > start.from) {
      begun = true;
      for (const [key, held] of holds)
        if (key.startsWith(`${start.place}|`)) traced.add(start.place, key.split('|')[1] ?? '', held);
    }
    const there = holds.get(holdKey(move.from, phase)) ?? 0;
    const mine = traced.get(move.from, phase);
    const starts = 'lot' in start && move.entryId === start.lot && move.from === 'bought';
    const going = starts ? uL : there > 0 ? (mine * Math.min(uL, there)) / there : 0;
    if (isInside(move.from)) holds.set(holdKey(move.from, phase), Math.max(0, there - uL));
    if (isInside(move.to)) holds.set(holdKey(move.to, phase), move.heldAfterUL);
    if (going <= 0) continue;
    if (!starts) traced.add(move.from, phase, -going);
    traced.add(move.to, phase, going);
    if (going >= LEAST_UL) way.push(told(move, going));
  }
  if (!begun && 'place' in start)
    for (const [key, held] of holds)
      if (key.startsWith(`${start.place}|`)) traced.add(start.place, key.split('|')[1] ?? '', held);
  return { moves: way, ends: traced.ends() };
}

const told = ({ entryId, at, from, to }: Move, uL: number): TracedMove => ({
  entryId,
  at,
  from,
  to,
  uL: Math.round(uL),
});
