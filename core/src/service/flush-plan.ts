/** What one more fill takes, and washing the housing with all that belongs to it. */
export interface FlushEffort {
  readonly litres: number;
  /** Of hands. */
  readonly minutes: number;
  /** The pump stands, or runs for it. */
  readonly hours: number;
  /** Null where nobody has said what the oil or an hour's work costs. */
  readonly money: number | null;
}

/** Dirt is in an amount that mixing adds up, see dirt-scales.ts. */
export interface FlushInput {
  readonly start: number;
  /** Above 0. */
  readonly target: number;
  /** After each fill that was drained; null where nobody read it. */
  readonly readings: readonly (number | null)[];
  /** Share of a charge that stays behind after a drain, 0 to below 1. */
  readonly holdUp: number;
  /** A reading is so coarse. */
  readonly coarse: number;
  /** On the walls is a film of what was in the oil, and no deposits: an old product. */
  readonly film?: boolean;
  readonly fill: FlushEffort;
  readonly wash: FlushEffort;
}

export type FlushVerdict = 'newCharge' | 'fillOnce' | 'wash';

export interface FlushPlan {
  readonly verdict: FlushVerdict;
  /** Fills before the new charge, from the start, if all mixes and nothing releases. */
  readonly atBest: number;
  /** Fills that are still wanted before the new charge: 10, 50 and 90 %; MOST_FILLS stands for that and more. */
  readonly fills: readonly [low: number, likely: number, high: number];
  /** Of what was there at the start, by the last reading; null before the first. */
  readonly left: number | null;
  /** What the walls give to each fill now, as a share of the start; null before the first reading. */
  readonly release: { readonly low: number; readonly likely: number; readonly high: number } | null;
  /** How sure it is that washing costs less than going on with fills, 0-1. */
  readonly washIsLess: number;
  /** By what the two are held against each other. */
  readonly by: 'money' | 'hours';
  readonly fill: FlushEffort;
  readonly wash: FlushEffort;
}

export const MOST_FILLS = 12;

/** A reading by eye or ruler: so much of it, beside its coarseness. */
const READING_SHARE = 0.12;
/** One reading in a hundred is simply wrong. */
const BLUNDER = 0.01;
/** So sure that the new charge meets the target before it is filled. */
const ENOUGH = 0.7;
/** Before two fills a wash is called for only when it is this sure: one more fill tells much, and costs little. */
const SURE = { early: 0.85, later: 0.5, fills: 2 } as const;

/** What stays behind beside the hold-up, in corners that do not mix. */
const CORNERS = [0, 0.03, 0.07, 0.12, 0.2, 0.3] as const;
/** What sits on the walls, in times of what the oil held, and which part of it each fill takes off. */
const ON_WALLS = [0, 0.05, 0.15, 0.4, 1, 2.5, 6] as const;
const FILM_ON_WALLS = [0, 0.01, 0.03, 0.08] as const;
const TAKEN_OFF = [0.03, 0.07, 0.15, 0.3, 0.5] as const;
/** The first reading was not exact either. */
const TRUE_START = [0.85, 1, 1.15] as const;

/** A housing as it may be, with what its last fill left. */
interface Housing {
  readonly keeps: number;
  readonly off: number;
  readonly inOil: number;
  readonly onWalls: number;
  readonly weight: number;
}

const afterFill = (h: Housing): Housing => ({
  ...h,
  inOil: h.keeps * h.inOil + h.off * h.onWalls,
  onWalls: (1 - h.off) * h.onWalls,
});

function housingsOf({ start, holdUp, film = false }: FlushInput): Housing[] {
  return TRUE_START.flatMap((factor) =>
    CORNERS.flatMap((corner, c) =>
      (film ? FILM_ON_WALLS : ON_WALLS).flatMap((walls) =>
        TAKEN_OFF.map((off) => ({
          keeps: holdUp + (1 - holdUp) * corner,
          off,
          inOil: start * factor,
          onWalls: start * walls,
          // Most mix well.
          weight: 0.6 ** c,
        })),
      ),
    ),
  );
}

/** How well a reading agrees with what a housing would have shown. */
function agrees(reading: number, shown: number, coarse: number): number {
  const spread = Math.hypot(READING_SHARE * shown, coarse);
  return Math.exp(-(((reading - shown) / spread) ** 2) / 2) / spread + BLUNDER / (shown + reading + coarse);
}

/** Fills before the new charge until that, as the last fill, meets the target. */
function fillsWanted(housing: Housing, target: number): number {
  let next = afterFill(housing);
  for (let fills = 0; fills < MOST_FILLS; fills += 1) {
    if (next.inOil <= target) return fills;
    next = afterFill(next);
  }
  return MOST_FILLS;
}

interface Weighed {
  readonly value: number;
  readonly weight: number;
}
/** The least value that such a share of the weights does not exceed. */
function quantileOf(values: readonly Weighed[], share: number): number {
  const sorted = [...values].sort((a, b) => a.value - b.value);
  const total = sorted.reduce((sum, { weight }) => sum + weight, 0);
  let below = 0;
  return sorted.find(({ weight }) => (below += weight) >= share * total)?.value ?? 0;
}

/**
 * How a flush goes on, from its readings. Each fill leaves C = k C + r W in the oil and (1 - r) W on the walls: k the hold-up and what
 * corners keep, W what sits on the walls, r the part of it that a fill takes off. Which housing it is nobody knows: all of a grid are
 * weighed by the readings (Bayes), and each says how many fills it wants still.
 * Source: perfect mixing, docs/trade.md 8-D; the rest is ours, held against simulated housings (scripts/bench-flush.mjs).
 * @throws RangeError where start, target or hold-up cannot be
 */
export function flushPlan(input: FlushInput): FlushPlan {
  const { start, target, readings, holdUp, coarse, fill, wash } = input;
  if (!(start >= 0)) throw new RangeError(`start: ${start} is no amount of dirt`);
  if (!(target > 0)) throw new RangeError(`target: ${target} is not above 0`);
  if (!(holdUp >= 0 && holdUp < 1)) throw new RangeError(`holdUp: ${holdUp} is no share from 0 to below 1`);
  let housings = housingsOf(input);
  for (const reading of readings)
    housings = housings.map((housing) => {
      const then = afterFill(housing);
      return reading === null ? then : { ...then, weight: then.weight * agrees(reading, then.inOil, coarse) };
    });
  const wanted: readonly Weighed[] = housings.map((housing) => ({
    value: fillsWanted(housing, target),
    weight: housing.weight,
  }));
  const total = wanted.reduce((sum, { weight }) => sum + weight, 0);
  const shareOf = (is: (fills: number) => boolean): number =>
    wanted.reduce((sum, { value, weight }) => sum + (is(value) ? weight / total : 0), 0);
  const by = fill.money !== null && wash.money !== null ? 'money' : 'hours';
  const washIsLess = shareOf((fills) => fills * (fill[by] ?? 0) > (wash[by] ?? 0));
  const isSure = washIsLess > (readings.length < SURE.fills ? SURE.early : SURE.later);
  const isEnough = shareOf((fills) => fills === 0) >= ENOUGH;
  const last = start > 0 ? readings.findLast((reading) => reading !== null) : undefined;
  const releases = housings.map(({ off, onWalls, weight }) => ({ value: (off * onWalls) / start, weight }));
  return {
    verdict: isEnough ? 'newCharge' : isSure ? 'wash' : 'fillOnce',
    atBest: fillsWanted({ keeps: holdUp, off: 0, inOil: start, onWalls: 0, weight: 1 }, target),
    fills: [quantileOf(wanted, 0.1), quantileOf(wanted, 0.5), quantileOf(wanted, 0.9)],
    left: last === undefined || last === null ? null : last / start,
    release:
      last === undefined
        ? null
        : { low: quantileOf(releases, 0.1), likely: quantileOf(releases, 0.5), high: quantileOf(releases, 0.9) },
    washIsLess,
    by,
    fill,
    wash,
  };
}
