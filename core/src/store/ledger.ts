import { subjectKey, type States, type SubjectRef } from '../fold/index.js';
import type { Phase } from '../journal/index.js';
import { firstAccount, marksOfBoth, NO_MARKS, type AccountState, type Marks } from './account-state.js';
import { draw, merged, pooled, totalUL, type Part } from './part.js';

/**
 * Ends of a movement that hold nothing of ours. `process`: water and solids that the pumped load brought; `exhaust`: gone while
 * running; `shortage`: it was there, though no entry had said so; `reading` and `stocktake`: what a measurement differed from the book; `media`: thrown away with a filter's paper.
 */
export type OutsideAccount =
  | 'bought'
  | 'notSaid'
  | 'shortage'
  | 'process'
  | 'exhaust'
  | 'reading'
  | 'stocktake'
  | 'sample'
  | 'spill'
  | 'carrier'
  | 'media';

export type End = SubjectRef | OutsideAccount;
export const endKey = (end: End): string => (typeof end === 'string' ? end : subjectKey(end));

/** What stays in a filter when the oil has gone through. */
const STRAINED: readonly Phase[] = ['sludge', 'water', 'cream'];

/** What a filter's media holds is a place of its own. */
const mediaKey = ({ id }: SubjectRef): string => `media:${id}`;

/** One movement: what it was, and what the place then held that it went to. */
export interface Move {
  readonly entryId: string;
  readonly at: string;
  readonly from: string;
  readonly to: string;
  readonly parts: readonly Part[];
  /** In the same phases, after it; 0 outside. */
  readonly heldAfterUL: number;
}

/** Oil that changes hands, with what stays with it. */
export interface InHand {
  readonly parts: readonly Part[];
  readonly marks: Marks;
  readonly estimated: boolean;
}

/** The accounts that one entry ties, while it is booked. Whatever leaves one place comes to another. */
export class Ledger {
  readonly states: Map<string, AccountState>;
  readonly moves: Move[] = [];

  constructor(
    states: States<AccountState>,
    private readonly entry: { readonly id: string; readonly happenedAt: string },
  ) {
    this.states = new Map(states);
  }

  of(subject: SubjectRef): AccountState {
    return this.states.get(subjectKey(subject)) ?? firstAccount(subject);
  }

  /** Sets fields of an account; subjects that this refold does not follow stay as they are. */
  set(subject: SubjectRef, change: Partial<AccountState>): void {
    const state = this.states.get(subjectKey(subject));
    if (state) this.states.set(subjectKey(subject), { ...state, ...change });
  }

  /**
   * Moves a volume of one phase. A place that holds less gives what it has; the rest is the book's shortage, and nobody said where
   * it came from.
   */
  move(input: {
    from: End;
    to: End;
    phase: Phase;
    uL: number;
    /** What comes from outside. */
    lot?: string | null;
    productId?: string | null;
    /** What passing changes: a round more out of a pump, a pass more out of a filter. */
    becomes?: (part: Part) => Part;
    marks?: Marks;
    estimated?: boolean;
  }): void {
    const { from, to, phase, uL, becomes = (p) => p } = input;
    if (uL <= 0) return;
    let marks = input.marks ?? NO_MARKS;
    let estimated = input.estimated ?? false;
    const isOutside = typeof from === 'string';
    const held = isOutside ? null : this.of(from);
    const { taken, left } = held ? draw({ parts: held.parts, phase, uL }) : { taken: [], left: [] };
    const missing = uL - totalUL(taken);
    const unnamed: Part = {
      phase,
      lot: input.lot ?? null,
      productId: input.productId ?? (held ? mostOf(held.parts) : null),
      rounds: 0,
      passes: 0,
      uL: missing,
    };
    if (held && !isOutside) {
      marks = marksOfBoth(held.marks, marks);
      estimated ||= held.estimated;
      const empty = left.length === 0;
      this.set(from, {
        parts: left,
        shortUL: held.shortUL + missing,
        ...(empty ? { marks: NO_MARKS, reading: null, estimated: false, heldSince: null, openedAt: null } : {}),
      });
    }
    if (taken.length > 0) this.put(endKey(from), to, { parts: taken.map(becomes), marks, estimated });
    if (missing <= 0) return;
    // It was there, though nobody had said so.
    if (!isOutside) this.note('shortage', endKey(from), [unnamed], missing);
    this.put(endKey(from), to, { parts: [becomes(unnamed)], marks, estimated });
  }

  /** The media of a filter drinks of the oil that was poured in, until it is full, and counts what was strained. */
  soak(filter: SubjectRef): void {
    const { parts, media } = this.of(filter);
    if (!media) return;
    const room = Math.max(0, media.holdUpUL - totalUL(media.held));
    const { taken, left } = draw({ parts, phase: 'oil', uL: room });
    const held = merged([...media.held, ...taken]);
    const { sludgeUL, waterUL } = media;
    const strained = {
      sludgeUL: Math.max(sludgeUL, totalUL(parts, 'sludge')),
      waterUL: Math.max(waterUL, totalUL(parts, 'water')),
    };
    this.set(filter, { parts: left, media: { ...media, ...strained, held } });
    if (taken.length > 0) this.note(endKey(filter), mediaKey(filter), taken, totalUL(held));
  }

  /** Wrings the media out: so much is caught, the rest goes with it. */
  wring(filter: SubjectRef, caughtUL: number, into: End): void {
    const { media, marks, estimated } = this.of(filter);
    if (!media) return;
    const { taken, left } = draw({ parts: media.held, phase: 'oil', uL: caughtUL });
    const caught = taken.map((p) => ({ ...p, passes: p.passes + 1 }));
    if (caught.length > 0) this.put(mediaKey(filter), into, { parts: caught, marks, estimated });
    if (left.length > 0) this.note(mediaKey(filter), 'media', left, 0);
    this.set(filter, { media: null });
    // What it strained goes with it.
    for (const phase of STRAINED)
      this.move({ from: filter, to: 'media', phase, uL: totalUL(this.of(filter).parts, phase) });
  }

  private note(from: string, to: string, parts: readonly Part[], heldAfterUL: number): void {
    const { id: entryId, happenedAt: at } = this.entry;
    this.moves.push({ entryId, at, from, to, parts, heldAfterUL });
  }

  private put(from: string, to: End, { parts, marks, estimated }: InHand): void {
    let heldAfterUL = 0;
    if (typeof to !== 'string') {
      const held = this.of(to);
      const { parts: kept, pooledLots } = pooled(merged([...held.parts, ...parts]));
      const all = held.parts.length === 0 ? marks : marksOfBoth(held.marks, marks);
      this.set(to, {
        parts: kept,
        marks: pooledLots.length > 0 ? marksOfBoth(all, { ...NO_MARKS, older: pooledLots }) : all,
        filledAt: this.entry.happenedAt,
        heldSince: held.parts.length === 0 ? this.entry.happenedAt : held.heldSince,
        estimated: held.estimated || estimated,
        reading: null,
      });
      const phases = new Set(parts.map((p) => p.phase));
      heldAfterUL = kept.reduce((sum, p) => (phases.has(p.phase) ? sum + p.uL : sum), 0);
    }
    this.note(from, endKey(to), parts, heldAfterUL);
  }
}

/** The product of which most is there; null for none. */
export function mostOf(parts: readonly Part[]): string | null {
  const byProduct = new Map<string, number>();
  for (const { productId, uL } of parts)
    if (productId !== null) byProduct.set(productId, (byProduct.get(productId) ?? 0) + uL);
  return [...byProduct].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))[0]?.[0] ?? null;
}
