import type { Entry } from '../journal/index.js';
import { ownLimit, trendOf, type Trend } from '../statistics/index.js';
import { waterUlOf } from '../oil/index.js';
import type { VerdictLevel } from '../limits/index.js';
import type { SetUpBook } from '../set-up/index.js';
import { standingAt } from '../standing/index.js';
import { initialState, type JarSeen, type PumpState, step, saysWater } from '../fold/index.js';

/** One look or bleed on a charge, with what had run by then. */
export interface StoryPoint {
  readonly entryId: string;
  readonly at: string;
  readonly runs: number;
  readonly weightMilli: number;
  readonly colour: number | null;
  /** Water found on this charge so far; null when the look said nothing about water. */
  readonly waterUl: number | null;
  /** The verdict right after it. */
  readonly verdict: VerdictLevel;
  readonly jar: JarSeen;
}

export interface ChargeStory {
  readonly number: number;
  readonly since: string;
  /** Null for the charge that goes on. */
  readonly until: string | null;
  readonly productId: string | null;
  readonly runs: number;
  readonly weightMilli: number;
  readonly startColour: number | null;
  readonly points: readonly StoryPoint[];
}

/** What charges are compared by, each per weighted run. */
export const STORY_MEASURES = ['waterMl', 'colourRise'] as const;
export type StoryMeasure = (typeof STORY_MEASURES)[number];

export interface ChargeTrend {
  readonly measure: StoryMeasure;
  /** One value per ended charge that has one, oldest first. */
  readonly values: readonly { readonly number: number; readonly value: number }[];
  readonly trend: Trend;
  /** From this pump's own ended charges; null while there are too few. */
  readonly own: { readonly usual: number; readonly limit: number } | null;
}

const oilOf = (state: PumpState) => state.sumps.find((s) => s.key === 'oil')?.charge ?? null;

/** Found on the charge so far: all taken out, and what this look shows standing. */
function waterSeen(state: PumpState, entry: Entry): number | null {
  const charge = oilOf(state);
  if (!charge) return null;
  const takenOut = charge.bledWaterUl + charge.sampledWaterUl;
  if (entry.kind === 'bleed') return takenOut;
  if (entry.kind !== 'look' || !saysWater(entry.body)) return null;
  return entry.body.source === 'sightGlass' ? takenOut + waterUlOf(entry.body) : takenOut;
}

/**
 * The charges of a pump as its looks tell them, oldest first, from the entries of those charges in the journal's order.
 * @param from the state before the first of these entries
 */
export function oilStory(input: {
  from?: PumpState;
  pumpId: string;
  entries: Iterable<Entry>;
  book: SetUpBook;
}): ChargeStory[] {
  let state = input.from ?? initialState(input.pumpId);
  const charges: ChargeStory[] = [];
  let points: StoryPoint[] = [];
  const close = (until: string | null): void => {
    const charge = oilOf(state);
    if (!charge) return;
    const { number, since, productId, startColour } = charge;
    const runs = state.totals.runs - since.counts.runs;
    const weightMilli = state.totals.weightMilli - since.counts.weightMilli;
    if (runs > 0 || points.length > 0 || until === null)
      charges.push({ number, since: since.at, until, productId, runs, weightMilli, startColour, points });
    points = [];
  };
  for (const entry of input.entries) {
    const setUp = input.book.pumpAt({ pumpId: input.pumpId, instant: entry.happenedAt });
    if (!setUp) continue;
    if (entry.kind === 'change' && entry.body.sump === 'oil') close(entry.happenedAt);
    state = step(state, entry, setUp);
    const isPoint = (entry.kind === 'look' || entry.kind === 'bleed') && entry.body.sump === 'oil';
    const charge = oilOf(state);
    const jar = state.jars.at(-1);
    if (!isPoint || !charge || !jar) continue;
    points.push({
      entryId: entry.id,
      at: entry.happenedAt,
      runs: state.totals.runs - charge.since.counts.runs,
      weightMilli: state.totals.weightMilli - charge.since.counts.weightMilli,
      colour: jar.colour,
      waterUl: waterSeen(state, entry),
      verdict: standingAt({ state, setUp, now: entry.happenedAt }).verdict,
      jar,
    });
  }
  close(null);
  return charges;
}

/** What one ended charge comes to per weighted run; null where nothing was seen of it, or nothing ran. */
function perWeightedRun(charge: ChargeStory, measure: StoryMeasure): number | null {
  const weight = charge.weightMilli / 1000;
  if (weight <= 0) return null;
  if (measure === 'waterMl') {
    const seen = charge.points.map((p) => p.waterUl).filter((w) => w !== null);
    return seen.length > 0 ? Math.max(...seen) / 1000 / weight : null;
  }
  const last = charge.points.findLast((p) => p.colour !== null);
  return last?.colour === null || !last || charge.startColour === null || last.weightMilli <= 0
    ? null
    : (last.colour - charge.startColour) / (last.weightMilli / 1000);
}

/** The step in which a reading is taken: the least scatter that charges all alike are given. */
const READING_STEP = { waterMl: 1, colourRise: 0.1 } as const;

/** Is it getting worse from charge to charge? Answered by a test over the ended charges, oldest first. */
export function chargeTrends(charges: readonly ChargeStory[]): ChargeTrend[] {
  return STORY_MEASURES.map((measure) => {
    const values = charges.flatMap((charge) => {
      const value = charge.until === null ? null : perWeightedRun(charge, measure);
      return value === null ? [] : [{ number: charge.number, value }];
    });
    const numbers = values.map((v) => v.value);
    return {
      measure,
      values,
      trend: trendOf({ values: numbers }),
      own: ownLimit({ values: numbers, leastSpread: READING_STEP[measure] }),
    };
  });
}
