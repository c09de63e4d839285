import type { Clarity, ParticleKind, Smell } from './oil-signs.js';

/** What stands in layers in a container, from the bottom; oil denser than water has them turned round. */
export const PHASES = ['sludge', 'water', 'cream', 'oil'] as const;
export type Phase = (typeof PHASES)[number];

/** mL of each phase; missing means none. */
export interface PhaseVolumes {
  /** Clear and hazy oil together. */
  readonly oilMl: number;
  readonly waterMl?: number | null;
  readonly creamMl?: number | null;
  readonly sludgeMl?: number | null;
}

/** Where oil comes from or goes to that is no container and no pump of the house. */
export const OUTSIDES = ['bought', 'notSaid', 'spill', 'carrier'] as const;
export type Outside = (typeof OUTSIDES)[number];

/** Oil from one place to another. Between two containers both are subjects; with one end outside the one container is. */
export interface TransferBody extends PhaseVolumes {
  /** A container; null where it comes from outside. */
  readonly fromId?: string | null;
  readonly toId?: string | null;
  /** The end that is no container; null between two containers. */
  readonly outside?: Outside | null;
  /** Of oil that comes from outside. */
  readonly productId?: string | null;
  /** As it stands on the can. */
  readonly batch?: string | null;
  /** At which it was measured; null counts as 20 °C. */
  readonly tempC?: number | null;
  /** Nobody measured it. */
  readonly estimated?: boolean | null;
  /** Out of a filter: how long it took from the pour until it had run through, where somebody timed it. */
  readonly throughHours?: number | null;
  /** Of a collection: who took it, and the number of its note. */
  readonly carrier?: string | null;
  readonly noteNumber?: string | null;
  readonly remark?: string | null;
}

/** What stands in a container was measured: a difference to the book is written, with its size. */
export interface StocktakeBody extends PhaseVolumes {
  /** Of the oil, what is not clear. */
  readonly hazyMl?: number | null;
  readonly tempC?: number | null;
  readonly clarity?: Clarity | null;
  /** ASTM D1500, 0.5-8.0 in half steps. */
  readonly colour?: number | null;
  readonly smell?: Smell | null;
  readonly particleKinds?: readonly ParticleKind[] | null;
  readonly remark?: string | null;
}

/** A sealed container was opened. */
export interface OpenedBody {
  readonly remark?: string | null;
}

/** A filter got its media: what the old one held goes with it, but for what was caught. */
export interface MediaChangeBody {
  /** Of the library or of the house; null where the filter stands without from now on. */
  readonly mediaId?: string | null;
  /** What the new media soaks up, as its record says it. */
  readonly holdUpMl: number;
  /** Caught from the old one, and the container that it went into. */
  readonly recoveredMl?: number | null;
  readonly recoveredIntoId?: string | null;
  readonly price?: number | null;
  readonly remark?: string | null;
}
