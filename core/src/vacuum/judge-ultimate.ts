import type { FigureRead, LogVerdict } from '../journal/index.js';
import { senSlope } from '../statistics/index.js';
import { NOTHING } from './belief.js';
import { columnsOf, cut, inStretches, type Columns, type GaugeSeries } from './gauge-series.js';

export type UltimateVerdict = Extract<LogVerdict, 'asGood' | 'wornOrDirty' | 'undecided'>;
export const ULTIMATE_NOTES = ['fewReadings', 'stillFalling', 'swings', 'neverFell'] as const;
export type UltimateNote = (typeof ULTIMATE_NOTES)[number];

export interface UltimateJudged {
  readonly verdict: UltimateVerdict;
  /** Where it stands at the end. */
  readonly ultimatePa: FigureRead;
  readonly limitPa: number;
  readonly from: number;
  readonly to: number;
  readonly notes: readonly UltimateNote[];
}

const STRETCHES = 60;
/** The part at the end that is read. */
const READ_SHARE = 0.2;
const LEAST_READINGS = 10;
/** Falling by a tenth or more over the read part, it has not come to its end. */
const FALLS_BY = 0.1;
/** A gauge or an oil that swings by more than a factor of two says little. */
const SWINGS_TIMES = 2;

const NEVER_FELL_PA = 20_000;
/** Back up by so much from its lowest it was vented. */
const [VENTED_TIMES, VENTED_PA] = [10, 50];

/** Up to where air was let in after its lowest. */
function untilVented(all: Columns): number {
  const { pa, first } = inStretches(all, STRETCHES);
  const low = Math.min(...pa);
  const at = pa.findIndex((p, i) => i > pa.indexOf(low) && p > VENTED_TIMES * low && p > low + VENTED_PA);
  return at < 0 ? all.s.length : (first[at] ?? all.s.length);
}

/**
 * A pump blanked off, gauge at its inlet: where it ends, against what it is held to. Still falling below its limit it is good; still
 * falling above it nothing is decided. What comes after the vent is left out.
 * @param input.points absolute pressures over seconds
 * @param input.limitPa above 0
 * @throws RangeError where the limit is not above 0
 */
export function judgeUltimate(input: { points: GaugeSeries; limitPa: number }): UltimateJudged {
  const { points, limitPa } = input;
  if (!(limitPa > 0)) throw new RangeError(`limitPa: ${limitPa} is not above 0`);
  const all = columnsOf(points);
  const to = untilVented(all);
  const [startS, endS] = [all.s[0] ?? 0, all.s[to - 1] ?? 0];
  const readFrom = all.s.findIndex((t) => t >= endS - READ_SHARE * (endS - startS));
  const from = Math.max(0, Math.min(readFrom, to - LEAST_READINGS));
  const none = { limitPa, from, to };
  if (to < LEAST_READINGS) return { ...none, verdict: 'undecided', ultimatePa: NOTHING, notes: ['fewReadings'] };
  const sorted = all.pa.slice(from, to).sort();
  const nth = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
  const ultimatePa = { p10: nth(0.1), p50: nth(0.5), p90: nth(0.9) };
  const few = inStretches(cut(all, from, to), STRETCHES);
  const slope = senSlope(
    few.s,
    few.pa.map((p) => Math.log(Math.max(p, 1e-9))),
  );
  const fallsBy = slope ? -slope.p50 * ((all.s[to - 1] ?? 0) - (all.s[from] ?? 0)) : 0;
  const isFalling = fallsBy > FALLS_BY && (slope?.p90 ?? 0) < 0;
  const swings = ultimatePa.p90 > SWINGS_TIMES * ultimatePa.p10 && !isFalling;
  const isOver = ultimatePa.p50 > limitPa;
  // No pump that turns, blanked off, stands there: nothing is said of it.
  if (ultimatePa.p50 > NEVER_FELL_PA) return { ...none, verdict: 'undecided', ultimatePa, notes: ['neverFell'] };
  return {
    ...none,
    verdict: !isOver ? 'asGood' : isFalling ? 'undecided' : 'wornOrDirty',
    ultimatePa,
    notes: [...(isFalling ? (['stillFalling'] as const) : []), ...(swings ? (['swings'] as const) : [])],
  };
}
