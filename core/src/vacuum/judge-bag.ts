import type { FigureRead, LogVerdict } from '../journal/index.js';
import { median, senSlope } from '../statistics/index.js';
import { NOTHING } from './belief.js';
import { columnsOf, inStretches, type GaugeSeries } from './gauge-series.js';

export type BagVerdict = Extract<LogVerdict, 'holds' | 'drops' | 'undecided'>;
export const BAG_NOTES = ['fewReadings', 'tooShort', 'settles', 'nearResinVapour', 'airCameIn'] as const;
export type BagNote = (typeof BAG_NOTES)[number];

export interface BagJudged {
  readonly verdict: BagVerdict;
  /** What its pressure rises by in ten minutes, Pa. */
  readonly rise10MinPa: FigureRead;
  readonly limitPa: number;
  readonly startPa: number;
  /** A point of the straight line that was found. */
  readonly line: { readonly s: number; readonly pa: number };
  readonly from: number;
  readonly to: number;
  readonly notes: readonly BagNote[];
}

/** Of ten minutes, where a house says no other (docs/trade.md 6a). */
export const BAG_LIMIT_PA = 2000;
const TEN_MIN_S = 600;
const STRETCHES = 80;
const LEAST_STRETCHES = 6;
/** A test takes ten minutes; half of it tells, less only where it is far off. */
const LEAST_S = 300;
const FAR_TIMES = 3;
/** A rise that slows to less than this settles: film, breather and resin give way; then its later half counts. */
const SETTLES_BELOW = 0.6;
/** Air that comes in at once: a stretch that rises by so much more than others do. */
const VENTED_TIMES = 10;
const VENTED_PA = 5000;
/** Risen by so much it is lost, and later it flattens at the air's own pressure; how far off two readings may be then. */
const LOST_PA = 30_000;
const GROSS = { low: 0.6, high: 2 } as const;
/** Within this of its vapour pressure styrene boils in the bag. */
const NEAR_TIMES = 2;

/**
 * Vapour pressure of styrene, Pa: log10(p/bar) = 4.0593 - 1459.9 / (T - 59.55 K), a fit to 303-417 K that is drawn out to a shop's
 * 15-30 °C (about 6.5 hPa at 20 °C).
 */
export const styreneVapourPa = (tempC: number): number => 1e5 * 10 ** (4.0593 - 1459.909 / (tempC + 273.15 - 59.551));

/**
 * A bag closed off from its pump, gauge at the far end: what its pressure rises by in ten minutes, against a limit. No leak in Pa·m³/s is
 * claimed, since the bag gives way.
 * @param input.points absolute pressures over seconds; what comes before the lowest and after the air is let in is left out
 * @param input.limitPa above 0; of ten minutes
 * @param input.tempC of the resin: near styrene's vapour pressure boiling looks like a leak
 * @throws RangeError where the limit is not above 0
 */
export function judgeBag(input: { points: GaugeSeries; limitPa?: number; tempC?: number }): BagJudged {
  const { points, limitPa = BAG_LIMIT_PA, tempC = 20 } = input;
  if (!(limitPa > 0)) throw new RangeError(`limitPa: ${limitPa} is not above 0`);
  const all = columnsOf(points);
  const { s, pa, first } = inStretches(all, STRETCHES);
  const lowest = pa.indexOf(Math.min(...pa));
  const rises = pa.map((p, i) => p - (pa[i - 1] ?? p));
  const usual = median(rises.slice(lowest + 1).filter((r) => r > 0));
  const atOnce = rises.findIndex((r, i) => i > lowest && r > VENTED_PA && r > VENTED_TIMES * usual);
  // From the start on it is a leak, however large; later it is the end of the test, or the bag that gave way.
  const vented = atOnce - lowest < LEAST_STRETCHES ? -1 : atOnce;
  const end = vented < 0 ? pa.length : vented;
  const [from, to] = [first[lowest] ?? 0, first[end] ?? all.s.length];
  const slopeOf = (a: number, b: number) => senSlope(s.slice(a, b), pa.slice(a, b));
  const whole = slopeOf(lowest, end);
  const none = { limitPa, startPa: pa[lowest] ?? 0, line: { s: s[lowest] ?? 0, pa: pa[lowest] ?? 0 }, from, to };
  const lost = pa.findIndex((p, i) => i > lowest && i < end && p - (pa[lowest] ?? 0) > LOST_PA);
  if (lost >= 0) {
    const per10Min = (((pa[lost] ?? 0) - (pa[lowest] ?? 0)) * TEN_MIN_S) / ((s[lost] ?? 0) - (s[lowest] ?? 0));
    return {
      ...none,
      to: first[lost + 1] ?? all.s.length,
      verdict: 'drops',
      rise10MinPa: { p10: per10Min * GROSS.low, p50: per10Min, p90: per10Min * GROSS.high },
      notes: [],
    };
  }
  if (!whole || end - lowest < LEAST_STRETCHES)
    return { ...none, verdict: 'undecided', rise10MinPa: NOTHING, notes: ['fewReadings'] };
  const middle = (lowest + end) >> 1;
  const [early, late] = [slopeOf(lowest, middle), slopeOf(middle, end)];
  const settles = early !== null && late !== null && late.p50 < SETTLES_BELOW * early.p50 && late.p90 < early.p10;
  const { p10, p50, p90 } = settles ? late : whole;
  const per10Min = (perS: number) => Math.max(0, perS * TEN_MIN_S);
  const rise10MinPa = { p10: per10Min(p10), p50: per10Min(p50), p90: per10Min(p90) };
  const isShort = (s[end - 1] ?? 0) - (s[lowest] ?? 0) < LEAST_S;
  const isNear = (pa[lowest] ?? 0) < NEAR_TIMES * styreneVapourPa(tempC);
  const drops = rise10MinPa.p10 > limitPa * (isShort ? FAR_TIMES : 1);
  // Before its ten minutes are over nobody knows which: then it has not held.
  const isEarly = vented >= 0 && (s[vented] ?? 0) - (s[lowest] ?? 0) < TEN_MIN_S;
  const holds = !isShort && !isEarly && rise10MinPa.p90 <= limitPa;
  const verdict = drops ? 'drops' : holds ? 'holds' : 'undecided';
  const part = settles ? middle : lowest;
  return {
    ...none,
    verdict,
    rise10MinPa,
    line: { s: median(s.slice(part, end)), pa: median(pa.slice(part, end)) },
    notes: [
      ...(isShort ? (['tooShort'] as const) : []),
      ...(isEarly ? (['airCameIn'] as const) : []),
      ...(settles ? (['settles'] as const) : []),
      ...(isNear && verdict !== 'holds' ? (['nearResinVapour'] as const) : []),
    ],
  };
}
