import type { PumpPage } from '@winter-jar/contracts';
import type { EntryBodies, Level, OilFlushed, OilWent, SumpKey } from '@winter-jar/core';
import { chargeMlOf, firstSump } from '../entry/sump-field.js';
import type { When } from '../forms/when-field.js';

/** Work on the oil of a sump, in and out. */
export type SumpWorkKind = 'bleed' | 'change' | 'topUp';
export type Volume = 'drawnMl' | 'waterMl' | 'outMl' | 'inMl' | 'addedMl';

export interface SumpWorkValues extends When, Record<Volume, string> {
  sump: SumpKey;
  productId: string;
  /** Empty until somebody says it. */
  levelAfter: Level | 'notRead' | '';
  /** A draft of before may not have it. */
  oilWent?: OilWent | '';
  /** Volumes that nobody measured. A draft of before may not have it. */
  unmeasured?: readonly Volume[];
  oilFilter: 'yes' | 'no';
  /** A draft of before may not have it. */
  jarKept?: boolean;
  /** Of the oil store. A draft of before may not have them. */
  fromContainerId?: string;
  intoContainerId?: string;
  outTempC?: string;
  /** What the guide wrote; no field asks for it. */
  flushed?: readonly OilFlushed[];
  remark: string;
}

export interface SumpWork {
  readonly title: string;
  readonly saveWords: string;
  readonly savedWords: (pump: string) => string;
  /** How it is done; what can hurt is in the table of cautions. */
  readonly how: string;
  readonly volumes: readonly {
    readonly name: Volume;
    readonly label: string;
    readonly min: number;
    /** It may be left unknown, in these words. */
    readonly unknown?: string;
  }[];
  readonly levelLabel: string;
  /** Oil is filled: which. Where none is, what came out has lowered the level. */
  readonly fills: boolean;
  /** All of it comes out: the filter may have gone with it, and a jar of what came out may stand to be read. */
  readonly drains?: true;
  readonly sump: (page: PumpPage) => SumpKey;
  /** What a volume begins with, mL; nothing where it is left out. */
  readonly begins?: (page: PumpPage, sump: SumpKey) => Partial<Record<Volume, number>>;
}

/** Said in place of a bleed's caution where the water floats. */
export const DENSER_CAUTION =
  'This oil is denser than water: the water floats, there is nothing to bleed at the bottom.';

/** One page with three lists of fields. */
export const SUMP_WORK: Readonly<Record<SumpWorkKind, SumpWork>> = {
  bleed: {
    title: 'Bleed settled water',
    saveWords: 'Save the bleed',
    savedWords: (pump) => `Bleed saved on ${pump}`,
    how: 'Let it stand for 1 to 2 hours if it was stopped hot, else overnight. Crack the valve at the lowest point until clean oil follows.',
    volumes: [
      { name: 'drawnMl', label: 'Drawn in all', min: 0, unknown: 'not measured' },
      { name: 'waterMl', label: 'Of it water', min: 0, unknown: 'not read yet' },
    ],
    levelLabel: 'Level after',
    fills: false,
    sump: firstSump,
  },
  change: {
    title: 'Change oil',
    saveWords: 'Save the oil change',
    savedWords: (pump) => `Oil changed on ${pump}`,
    how: 'Fill plug out first so that it drains smoothly, a little new oil through at the end; fill slowly near the mark. Run a minute with the inlet closed, vent, stop, read the level again.',
    volumes: [
      { name: 'outMl', label: 'Came out', min: 0, unknown: 'not measured' },
      { name: 'inMl', label: 'Filled in', min: 1 },
    ],
    levelLabel: 'Level after a minute’s run and a wait',
    fills: true,
    drains: true,
    sump: firstSump,
    begins: (page, sump) => ({ inMl: chargeMlOf(page, sump) }),
  },
  topUp: {
    title: 'Top up',
    saveWords: 'Save the top-up',
    savedWords: (pump) => `Top-up saved on ${pump}`,
    how: 'Fill slowly near the mark: it rises late, and too much oil is as wrong as too little.',
    volumes: [{ name: 'addedMl', label: 'Filled in', min: 0.1 }],
    levelLabel: 'Level after',
    fills: true,
    sump: (page) => (page.row.kind === 'booster' ? 'sealCup' : firstSump(page)),
  },
};

/** A body as its fields say it. */
export function bodyOf<K extends SumpWorkKind>(
  kind: K,
  v: SumpWorkValues,
  volumesMl: Readonly<Record<string, number | null>>,
): EntryBodies[K] {
  const levelAfter = v.levelAfter === 'notRead' || v.levelAfter === '' ? null : v.levelAfter;
  const filled = SUMP_WORK[kind].fills
    ? { productId: v.productId, levelAfter, ...(v.oilWent ? { oilWent: v.oilWent } : {}) }
    : { levelAfter };
  const kept = kind === 'change' && v.jarKept ? { jarKept: true } : {};
  const from = SUMP_WORK[kind].fills && v.fromContainerId ? { fromContainerId: v.fromContainerId } : {};
  const into = kind !== 'topUp' && v.intoContainerId ? { intoContainerId: v.intoContainerId } : {};
  const flushed = kind === 'change' && v.flushed?.length ? { flushed: v.flushed } : {};
  const remark = v.remark.trim() ? { remark: v.remark.trim() } : {};
  return {
    sump: v.sump,
    ...filled,
    ...volumesMl,
    ...kept,
    ...from,
    ...into,
    ...flushed,
    ...remark,
  } as unknown as EntryBodies[K];
}
