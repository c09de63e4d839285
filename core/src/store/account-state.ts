import type { Clarity, ParticleKind, Smell } from '../journal/index.js';
import type { Folded, SubjectRef } from '../fold/index.js';
import type { ServiceClass } from '../set-up/index.js';
import type { Part } from './part.js';

/** Raised whenever the meaning of a stored state changes. */
export const STORE_FOLD_VERSION = 2;

/** What was seen in a container that stood; it is gone when something is poured in. */
export interface StoodReading {
  readonly entryId: string;
  readonly at: string;
  readonly hazyUL: number;
  readonly clarity: Clarity | null;
  readonly colour: number | null;
}

/** A time that this oil spent in a pump: what ran then is in it. */
export interface Stay {
  readonly pumpId: string;
  /** Null where nobody has said when it was filled. */
  readonly from: string | null;
  readonly until: string;
  /** The bleed or change that let it out. */
  readonly outId: string;
  readonly by: 'bleed' | 'change' | 'labSample';
}

/** What stays with an oil, however it is poured. */
export interface Marks {
  /** Services that it did. */
  readonly services: readonly ServiceClass[];
  readonly smells: readonly Smell[];
  readonly particleKinds: readonly ParticleKind[];
  /** The latest stays in pumps, oldest first. */
  readonly stays: readonly Stay[];
  /** Lots that are in it as traces without a name. */
  readonly older: readonly string[];
}

/** A pour into a filter that somebody timed, as the media stood then. */
export interface TimedPass extends FilterPass {
  readonly hours: number;
  readonly productId: string | null;
}

/** What was poured into a filter since it was empty, and what its media held and had strained before. */
export interface FilterPass {
  readonly pouredUL: number;
  readonly heldUL: number;
  readonly sludgeUL: number;
}

/** The paper, cartridge or bed of a filter. */
export interface MediaState {
  readonly mediaId: string;
  readonly since: string;
  readonly holdUpUL: number;
  /** Soaked up; it comes back only in part when the media is changed. */
  readonly held: readonly Part[];
  /** Oil that went through. */
  readonly passedUL: number;
  readonly sludgeUL: number;
  readonly waterUL: number;
  /** What runs through now. */
  readonly pass: FilterPass | null;
  /** The latest that were timed, with this media or one like it before. */
  readonly timed: readonly TimedPass[];
}

/** What a container or a sump holds. */
export interface AccountState extends Folded {
  readonly subject: SubjectRef;
  readonly parts: readonly Part[];
  readonly marks: Marks;
  readonly reading: StoodReading | null;
  /** When something was poured in last, and when oil was first in it since it was empty. */
  readonly filledAt: string | null;
  readonly heldSince: string | null;
  readonly openedAt: string | null;
  /** Something in it was not measured. */
  readonly estimated: boolean;
  /** Taken out beyond what was in the book: the book is short of so much that nobody said. */
  readonly shortUL: number;
  readonly media: MediaState | null;
}

export const NO_MARKS: Marks = { services: [], smells: [], particleKinds: [], stays: [], older: [] };
/** Of all the stays that met in a jar so many are kept, the latest. */
export const MOST_STAYS = 24;
const MOST_OLDER = 200;

const both = <T>(a: readonly T[], b: readonly T[]): T[] => [...new Set([...a, ...b])].sort();
const stayKey = (s: Stay): string => `${s.until}|${s.pumpId}|${s.from ?? ''}`;

/** Of two oils that were poured together. */
export function marksOfBoth(a: Marks, b: Marks): Marks {
  if (a === NO_MARKS) return b;
  if (b === NO_MARKS) return a;
  const stays = new Map([...a.stays, ...b.stays].map((s) => [stayKey(s), s]));
  return {
    services: both(a.services, b.services),
    smells: both(a.smells, b.smells),
    particleKinds: both(a.particleKinds, b.particleKinds),
    stays: [...stays]
      .sort(([x], [y]) => (x < y ? -1 : 1))
      .map(([, s]) => s)
      .slice(-MOST_STAYS),
    older: both(a.older, b.older).slice(0, MOST_OLDER),
  };
}

export const firstAccount = (subject: SubjectRef): AccountState => ({
  foldVersion: STORE_FOLD_VERSION,
  subject,
  entries: 0,
  last: null,
  parts: [],
  marks: NO_MARKS,
  reading: null,
  filledAt: null,
  heldSince: null,
  openedAt: null,
  estimated: false,
  shortUL: 0,
  media: null,
});
