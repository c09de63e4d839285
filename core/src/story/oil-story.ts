import type { Entry, LabResultBody } from '../journal/index.js';
import { ownLimit, trendOf, type Trend } from '../statistics/index.js';
import { classesOf, waterUlOf } from '../oil/index.js';
import type { VerdictLevel } from '../limits/index.js';
import type { PumpSetUp, SetUpBook } from '../set-up/index.js';
import { standingAt } from '../standing/index.js';
import { initialState, type JarSeen, productIn, type PumpState, step, saysWater } from '../fold/index.js';

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
  /** Of its last report that has them. */
  readonly lab: { readonly [M in LabMeasure]?: number };
}

/** What charges are compared by: water and colour per weighted run, iron per 100 h, the others as the last report has them. */
const LAB_MEASURES = [
  'ironPpmPer100h',
  'acidRise',
  'baseLostPercent',
  'thickerPercent',
  'siliconPpm',
  'particleClass',
] as const;
type LabMeasure = (typeof LAB_MEASURES)[number];
export const STORY_MEASURES: readonly StoryMeasure[] = ['waterMl', 'colourRise', ...LAB_MEASURES];
export type StoryMeasure = 'waterMl' | 'colourRise' | LabMeasure;

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
  let lab: ChargeStory['lab'] = {};
  const close = (until: string | null): void => {
    const charge = oilOf(state);
    if (!charge) return;
    const { number, since, productId, startColour } = charge;
    const runs = state.totals.runs - since.counts.runs;
    const weightMilli = state.totals.weightMilli - since.counts.weightMilli;
    if (runs > 0 || points.length > 0 || until === null)
      charges.push({ number, since: since.at, until, productId, runs, weightMilli, startColour, points, lab });
    points = [];
    lab = {};
  };
  for (const entry of input.entries) {
    const setUp = input.book.pumpAt({ pumpId: input.pumpId, instant: entry.happenedAt });
    if (!setUp) continue;
    if (entry.kind === 'change' && entry.body.sump === 'oil') close(entry.happenedAt);
    state = step(state, entry, setUp);
    if (entry.kind === 'labResult') lab = { ...lab, ...labOf(state, entry.body, setUp) };
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

/** A report on the charge that goes on, against its unused oil; of one that is gone nothing is told again. */
function labOf(state: PumpState, body: LabResultBody, setUp: PumpSetUp): ChargeStory['lab'] {
  const sample = state.samples.find((s) => s.entryId === body.sampleId);
  const number = oilOf(state)?.number;
  if (!sample || sample.sump !== 'oil' || sample.chargeNumber !== number) return {};
  const fresh = productIn(state, setUp, 'oil');
  const rate = state.ironRates.find((r) => r.chargeNumber === number);
  const classes = classesOf(body);
  const [acid, thick] = [body.acidMgKohG ?? null, body.viscosity40Mm2s ?? null];
  const [base, freshBase] = [body.baseMgKohG ?? null, fresh?.freshBaseMgKohG ?? null];
  const [freshAcid, freshThick] = [fresh?.freshAcidMgKohG ?? null, fresh?.viscosity40Mm2s ?? null];
  return {
    ...(rate && typeof body.ironPpm === 'number' ? { ironPpmPer100h: rate.milliPpmPer100h / 1000 } : {}),
    ...(acid !== null && freshAcid !== null ? { acidRise: acid - freshAcid } : {}),
    ...(base !== null && freshBase ? { baseLostPercent: (1 - base / freshBase) * 100 } : {}),
    ...(classes === null ? {} : { particleClass: classes[0] }),
    ...(thick !== null && freshThick !== null ? { thickerPercent: (thick / freshThick - 1) * 100 } : {}),
    ...(typeof body.siliconPpm === 'number' ? { siliconPpm: body.siliconPpm } : {}),
  };
}

const isOfLab = (measure: StoryMeasure): measure is LabMeasure =>
  (LAB_MEASURES as readonly StoryMeasure[]).includes(measure);

/** What one ended charge comes to; null where nothing was seen of it, or nothing ran. */
function ofCharge(charge: ChargeStory, measure: StoryMeasure): number | null {
  if (isOfLab(measure)) return charge.lab[measure] ?? null;
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
const READING_STEP: Readonly<Record<StoryMeasure, number>> = {
  ...{ waterMl: 1, colourRise: 0.1 },
  ...{ ironPpmPer100h: 1, acidRise: 0.05, baseLostPercent: 5, thickerPercent: 1, siliconPpm: 2 },
  particleClass: 1,
};

/** Is it getting worse from charge to charge? Answered by a test over the ended charges, oldest first. */
export function chargeTrends(charges: readonly ChargeStory[]): ChargeTrend[] {
  return STORY_MEASURES.map((measure) => {
    const values = charges.flatMap((charge) => {
      const value = charge.until === null ? null : ofCharge(charge, measure);
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
