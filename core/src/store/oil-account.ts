import type { Move } from './ledger.js';

/** Where the oil of a span of time went, µL at 20 °C. */
export interface OilAccount {
  /** Into pumps: new, and used before. */
  readonly newUL: number;
  readonly usedUL: number;
  /** Out of pumps, into containers that are no waste, into waste, and where nobody said. */
  readonly keptUL: number;
  readonly wastedUL: number;
  readonly unsaidUL: number;
  /** Gone with the exhaust while running. */
  readonly exhaustUL: number;
  /** From the shelf to waste, spilled, and gone with a filter's media. */
  readonly toWasteUL: number;
  readonly spiltUL: number;
  readonly mediaUL: number;
  /** Bought in the span. */
  readonly boughtUL: number;
  /** Pours between containers, and fills of pumps. */
  readonly pours: number;
  readonly fills: number;
}

const EMPTY = {
  ...{ newUL: 0, usedUL: 0, keptUL: 0, wastedUL: 0, unsaidUL: 0, exhaustUL: 0 },
  ...{ toWasteUL: 0, spiltUL: 0, mediaUL: 0, boughtUL: 0, pours: 0, fills: 0 },
};
const isSump = (place: string): boolean => place.startsWith('sump:');
const isContainer = (place: string): boolean => place.startsWith('container:');

/**
 * Adds up the movements of a span.
 * @param input.isWaste whether a container is one for waste
 * @param input.pumpId of one pump alone @param input.productId of one product alone
 */
export function oilAccount(input: {
  moves: readonly Move[];
  from: string;
  until: string;
  isWaste: (containerId: string) => boolean;
  pumpId?: string;
  productId?: string;
}): OilAccount {
  const { moves, from, until, isWaste, pumpId, productId } = input;
  const sum: { -readonly [F in keyof OilAccount]: number } = { ...EMPTY };
  const waste = (place: string) => isContainer(place) && isWaste(place.slice('container:'.length));
  const fills = new Set<string>();
  const pours = new Set<string>();
  for (const move of moves) {
    if (move.at < from || move.at >= until || move.from === 'shortage') continue;
    const oil = move.parts.filter((p) => p.phase === 'oil' && (productId === undefined || p.productId === productId));
    if (productId !== undefined && oil.length === 0) continue;
    const uL = oil.reduce((total, p) => total + p.uL, 0);
    const { from: out, to: into, entryId } = move;
    if (pumpId !== undefined && !out.startsWith(`sump:${pumpId}/`) && !into.startsWith(`sump:${pumpId}/`)) continue;
    if (isSump(into)) {
      const used = oil.reduce((total, p) => (p.rounds > 0 ? total + p.uL : total), 0);
      sum.newUL += uL - used;
      sum.usedUL += used;
      fills.add(entryId);
    }
    if (isSump(out)) {
      if (into === 'exhaust') sum.exhaustUL += uL;
      else if (waste(into)) sum.wastedUL += uL;
      else if (isContainer(into)) sum.keptUL += uL;
      else if (into === 'notSaid') sum.unsaidUL += uL;
    }
    if (out === 'bought') sum.boughtUL += uL;
    if (into === 'media') sum.mediaUL += uL;
    if (into === 'spill') sum.spiltUL += uL;
    if (isContainer(out) && waste(into) && !waste(out)) sum.toWasteUL += uL;
    if (isContainer(out) && isContainer(into)) pours.add(entryId);
  }
  return { ...sum, fills: fills.size, pours: pours.size };
}

/** What things cost in this house; null where nobody said. */
export interface StorePrices {
  readonly oilPerL: number | null;
  readonly hour: number | null;
  readonly wastePerL: number | null;
}

/** Hands for one pour, read or filter filled, and for the bottle that is brought. */
export const HANDLING = {
  pourMinutes: 4,
  readMinutes: 5,
  /** Of a drained jar so much goes back: what lies beneath it and its haze is left (docs/trade.md 9). */
  backShare: 0.75,
  /** A way with one jar: read, poured off, filtered, poured back. */
  jarMinutes: 18,
} as const;

/** What a school costs over a span, and for each run. */
export interface OilCost {
  readonly newL: number;
  readonly wasteL: number;
  readonly minutes: number;
  /** Null where the set-up does not say what oil or an hour's work costs. */
  readonly money: number | null;
  readonly perRun: number | null;
}

export interface CostOfSchools {
  /** As it was. */
  readonly actual: OilCost;
  /** The same drains and fills by the other school: new oil only for a house that reuses, reuse for one that does not. */
  readonly other: OilCost;
  readonly otherSchool: 'newOnly' | 'reuse';
}

/**
 * Cost of the oil = new oil + media + hands + disposal, as it was and as the other school would have had it on the same fills and
 * drains. What was recovered is oil that need not be bought.
 * @param input.reads readings of what stood on the shelf @param input.mediaMoney spent on media in the span
 * @param input.reuses what the house does; missing: as its fills show
 * @param input.mediaPerL what media costs for a litre that goes through, for the school that does not filter yet
 */
export function costOfSchools(input: {
  account: OilAccount;
  reads: number;
  mediaMoney: number;
  mediaPerL: number;
  runs: number;
  prices: StorePrices;
  newPercent: number;
  reuses?: boolean;
}): CostOfSchools {
  const { account, reads, mediaMoney, mediaPerL, runs, prices, newPercent } = input;
  const L = (uL: number) => uL / 1e6;
  const filledL = L(account.newUL + account.usedUL);
  const drainedL = L(account.keptUL + account.wastedUL + account.unsaidUL);
  const wasteL = L(account.wastedUL + account.unsaidUL + account.toWasteUL + account.mediaUL);
  const reused = input.reuses ?? account.usedUL > 0;
  const cost = (c: { newL: number; wasteL: number; minutes: number; media: number }): OilCost => {
    const known = prices.oilPerL !== null && prices.hour !== null;
    const money = known
      ? c.newL * (prices.oilPerL ?? 0) +
        c.media +
        (c.minutes / 60) * (prices.hour ?? 0) +
        c.wasteL * (prices.wastePerL ?? 0)
      : null;
    return {
      newL: c.newL,
      wasteL: c.wasteL,
      minutes: c.minutes,
      money,
      perRun: money !== null && runs > 0 ? money / runs : null,
    };
  };
  const minutes = account.pours * HANDLING.pourMinutes + reads * HANDLING.readMinutes;
  const actual = cost({ newL: L(account.newUL), wasteL, minutes, media: mediaMoney });
  if (reused)
    return {
      actual,
      other: cost({ newL: filledL, wasteL: drainedL, minutes: 0, media: 0 }),
      otherSchool: 'newOnly',
    };
  const backL = Math.min(drainedL * HANDLING.backShare, filledL * (1 - newPercent / 100));
  return {
    actual,
    other: cost({
      newL: filledL - backL,
      wasteL: Math.max(0, drainedL - backL),
      minutes: account.fills * HANDLING.jarMinutes,
      media: backL * mediaPerL,
    }),
    otherSchool: 'reuse',
  };
}

/**
 * What one pump or product costs: its own oil, and of the work on the shelf (pours, readings, media, what went to waste there) the
 * share that it gave of all that was kept. The shares of all make up the whole.
 * @param input.of its own account @param input.whole of the house in the same span
 */
export function costOfShare(
  input: Omit<Parameters<typeof costOfSchools>[0], 'account'> & { of: OilAccount; whole: OilAccount },
): CostOfSchools {
  const { of, whole, reads, mediaMoney } = input;
  const share = whole.keptUL > 0 ? of.keptUL / whole.keptUL : whole.fills > 0 ? of.fills / whole.fills : 0;
  return costOfSchools({
    ...input,
    account: { ...of, pours: whole.pours * share, toWasteUL: whole.toWasteUL * share, mediaUL: whole.mediaUL * share },
    reads: reads * share,
    mediaMoney: mediaMoney * share,
    reuses: whole.usedUL > 0,
  });
}
