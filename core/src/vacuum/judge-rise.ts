import { waterSaturationPressurePa } from '../water/index.js';
import type { FigureRead, GaugeKind, LogVerdict } from '../journal/index.js';
import { NOTHING, quantiles, tail } from './belief.js';
import { fitPart } from './fit-rise-part.js';
import { amongReadings, fewEnough } from './few-enough.js';
import { cut, type Columns, type GaugeSeries } from './gauge-series.js';
import { riseAt, type RiseWay } from './rise-fit.js';
import { risePart } from './rise-part.js';
import { scatterOf, type Scatter } from './scatter.js';
import { withoutSwing } from './swing.js';

export type RiseVerdict = Extract<LogVerdict, 'tight' | 'leak' | 'moisture' | 'leakAndMoisture' | 'undecided'>;

/** What is worth knowing beside a verdict. */
export const RISE_NOTES = [
  'tooShort',
  'nearAtmosphere',
  'leakOrMoisture',
  'atSaturation',
  'aboveSaturation',
  'gaugeSteps',
  'changedUnderWay',
  'refrigerationCycle',
  'fewReadings',
] as const;
export type RiseNote = (typeof RISE_NOTES)[number];

export interface RiseJudged {
  readonly verdict: RiseVerdict;
  readonly leakPaM3PerS: FigureRead;
  /** What rose and flattened by the end, of water vapour itself; null where nothing did. */
  readonly moisturePa: FigureRead;
  /** Where it would level off, and how fast; null where nothing flattens. */
  readonly levelsOffPa: number | null;
  readonly tauS: number | null;
  readonly startPa: number;
  /** Of the readings about the fit, 0-1 of the pressure. */
  readonly scatterShare: number;
  /** How many times worse a straight line alone would fit. */
  readonly straightTimesWorse: number;
  /** Readings from and to of the part that rises, and those in it that were left out. */
  readonly from: number;
  readonly to: number;
  readonly spikes: readonly number[];
  readonly steps: readonly number[];
  readonly limits: { readonly leakPaM3PerS: number; readonly moisturePa: number };
  readonly notes: readonly RiseNote[];
  /** The likeliest way, to be drawn; null where nothing could be fitted. */
  readonly way: RiseWay | null;
}

/** A leak that lets the pressure rise less than this is none to look for: 0.02 hPa an hour. A set's own target comes before it. */
const LEAK_LIMIT_PA_PER_S = 2 / 3600;
/** What flattens below this, 0.02 hPa, is what every surface gives off. */
const MOISTURE_LIMIT_PA = 2;
/** Beside a leak that lets in ten times as much it is none either. */
const MOISTURE_SHARE = 0.1;
/** A thermal gauge shows water vapour so many times too high, below about 1 hPa (docs/trade.md 6). */
export const THERMAL_IN_VAPOUR = 1.6;
/** What is called tight and dry stays within a part of the limits: a third of them, two times in three. */
const SLIGHT_OF_LIMIT = 3;
const LEAST_READINGS = 12;
/** Sure enough to be said. */
const SURE = 0.8;
/** Above a fifth of the air's pressure a leak no longer lets in as much as into nothing. */
const NEAR_ATMOSPHERE_PA = 20_000;
/** How far a leak that is told by two readings may be off. */
const GROSS = { low: 0.6, high: 2 } as const;

/**
 * What a rise of pressure in a closed chamber says: a leak goes on straight, moisture and outgassing flatten.
 * @param input.points absolute pressures over seconds; the part that rises is found in them
 * @param input.volumeL of what is closed off
 * @param input.volumeKnownTo nine in ten volumes lie within this share of it, 0-1
 * @param input.gauge a thermal gauge shows water vapour 1.6 times too high
 * @param input.tempC of the coldest wetted wall or of the product: what vapour levels off at, at most
 * @param input.leakLimitPaM3PerS from where on a leak is one; without it 0.02 hPa an hour in this volume
 * @param input.moistureLimitPa from where on what flattens is moisture; without it 2 Pa
 * @returns verdict, with `leakPaM3PerS` in Pa·m³/s (1 hPa·L/s = 0.1 Pa·m³/s); `undecided` where the record does not tell
 * @throws RangeError where the volume is not above 0
 */
export function judgeRise({ points, ...asked }: RiseAsked & { points: GaugeSeries }): RiseJudged {
  const { all, ...means } = fewEnough(points);
  return amongReadings(judgeColumns(all, asked), means);
}

interface RiseAsked {
  readonly volumeL: number;
  readonly volumeKnownTo?: number;
  readonly gauge?: GaugeKind;
  readonly tempC?: number;
  readonly leakLimitPaM3PerS?: number;
  readonly moistureLimitPa?: number;
}

function judgeColumns(all: Columns, input: RiseAsked): RiseJudged {
  const { volumeL, volumeKnownTo = 0.1, gauge = 'capacitance', tempC = 20 } = input;
  if (!(volumeL > 0)) throw new RangeError(`volumeL: ${volumeL} is not above 0`);
  const volumeM3 = volumeL / 1000;
  const limits = {
    leakPaM3PerS: input.leakLimitPaM3PerS ?? LEAK_LIMIT_PA_PER_S * volumeM3,
    moisturePa: input.moistureLimitPa ?? MOISTURE_LIMIT_PA,
  };
  const shown = gauge === 'thermal' ? THERMAL_IN_VAPOUR : 1;
  const whole = scatterOf(all);
  const [from, rises] = risesIn(all, whole);
  // From there on what flattens is the air's own pressure: no vapour of a room comes so far.
  const near = all.pa.findIndex((pa, i) => i >= from && i < rises && pa > NEAR_ATMOSPHERE_PA);
  const to = near < 0 ? rises : near;
  const part = cut(all, from, to);
  if (near >= 0 && part.s.length < LEAST_READINGS)
    return grossLeak(cut(all, from, Math.min(rises, Math.max(near, from + 1) + 1)), { limits, volumeM3, from });
  if (part.s.length < LEAST_READINGS) return unread(limits, { from, to });
  const slight = {
    leakPaPerS: limits.leakPaM3PerS / volumeM3 / SLIGHT_OF_LIMIT,
    flattensPa: (limits.moisturePa * shown) / SLIGHT_OF_LIMIT,
  };
  const found = fitPart(part, slight);
  const volumeSigma = volumeKnownTo / 1.645;
  const { ways } = found.fit;
  const [best] = ways;
  if (!best) return unread(limits, { from, to });
  const leaks = ways.map((w) => ({ weight: w.weight, mean: w.leakPaPerS * volumeM3, sigma: w.leakSigma * volumeM3 }));
  const leak = quantiles(leaks, volumeSigma);
  const vapour = ways.map((w) => ({ weight: w.weight, mean: w.flattensPa / shown, sigma: w.flattensSigma / shown }));
  const moisture = quantiles(vapour, 0);
  const leaksSure = tail(leaks, limits.leakPaM3PerS, volumeSigma);
  const risen = Math.max(0, riseAt(best, (part.s.at(-1) ?? 0) - (part.s[0] ?? 0)) - best.startPa);
  const wetFrom = Math.max(limits.moisturePa, MOISTURE_SHARE * risen);
  const wetSure = tail(vapour, wetFrom, 0);
  const levelsOffPa = best.terms.reduce((sum, t) => sum + Math.max(0, t.pa), 0) / shown;
  const saturation = waterSaturationPressurePa({ tempC });
  const hasBend = best.terms.length > 0 && moisture.p50 > 0;
  const verdict = verdictOf(leaksSure, wetSure);
  const notes: RiseNote[] = [
    ...(verdict === 'undecided' && found.isShort ? (['tooShort'] as const) : []),
    ...(verdict === 'undecided' && leaksSure > 0.1 && leaksSure < SURE && wetSure > 0.1 && wetSure < SURE
      ? (['leakOrMoisture'] as const)
      : []),
    ...(near >= 0 ? (['nearAtmosphere'] as const) : []),
    ...(hasBend && wetSure >= SURE && levelsOffPa > saturation * 1.15 ? (['aboveSaturation'] as const) : []),
    ...(hasBend && wetSure >= SURE && Math.abs(levelsOffPa / saturation - 1) <= 0.15
      ? (['atSaturation'] as const)
      : []),
    ...(found.steps.length > 0 ? (['gaugeSteps'] as const) : []),
    ...(found.swings ? (['refrigerationCycle'] as const) : []),
    ...(found.cutFrom > 0 || found.cutTo < part.s.length ? (['changedUnderWay'] as const) : []),
  ];
  return {
    verdict,
    leakPaM3PerS: leak,
    moisturePa: moisture,
    levelsOffPa: hasBend ? levelsOffPa : null,
    tauS: hasBend ? (best.terms.reduce((a, b) => (b.pa > a.pa ? b : a)).tauS ?? null) : null,
    startPa: best.startPa,
    scatterShare: found.scatterShare,
    straightTimesWorse: found.fit.chiSquared.both > 0 ? found.fit.chiSquared.straight / found.fit.chiSquared.both : 1,
    from: from + found.cutFrom,
    to: from + found.cutTo,
    spikes: found.spikes.map((i) => from + i),
    steps: found.steps.map((i) => from + i),
    limits,
    notes,
    way: best,
  };
}

/** Less of a log than this rises: it may swing. */
const MOST_OF_IT = 0.8;

/** The part that rises, whatever its trap's refrigeration does. */
function risesIn(all: Columns, scatter: Scatter): readonly [from: number, to: number] {
  const [from, to] = risePart(all, scatter);
  if (to - from >= MOST_OF_IT * all.s.length) return [from, to];
  const calm = withoutSwing(all);
  return calm ? risePart(calm, scatter) : [from, to];
}

/** Up near the air's own pressure within a few readings: a leak by its slope, which falls as it comes near. */
function grossLeak(
  { s, pa }: Columns,
  { limits, volumeM3, from }: { limits: RiseJudged['limits']; volumeM3: number; from: number },
): RiseJudged {
  const last = s.length - 1;
  const seconds = (s[last] ?? 0) - (s[0] ?? 0);
  const leakPaPerS = seconds > 0 ? ((pa[last] ?? 0) - (pa[0] ?? 0)) / seconds : 0;
  const p50 = leakPaPerS * volumeM3;
  return {
    ...unread(limits, { from, to: from + s.length }),
    verdict: p50 > limits.leakPaM3PerS ? 'leak' : 'undecided',
    leakPaM3PerS: { p10: p50 * GROSS.low, p50, p90: p50 * GROSS.high },
    startPa: pa[0] ?? 0,
    notes: ['nearAtmosphere'],
    way: {
      ...{ weight: 1, startPa: pa[0] ?? 0, leakPaPerS, leakSigma: 0, stepsPa: [] },
      ...{ terms: [], flattensPa: 0, flattensSigma: 0 },
    },
  };
}

function verdictOf(leak: number, wet: number): RiseVerdict {
  const [hasLeak, noLeak, isWet, isDry] = [leak >= SURE, leak <= 1 - SURE, wet >= SURE, wet <= 1 - SURE];
  if (hasLeak && isWet) return 'leakAndMoisture';
  if (hasLeak && isDry) return 'leak';
  if (noLeak && isWet) return 'moisture';
  return noLeak && isDry ? 'tight' : 'undecided';
}

const unread = (limits: RiseJudged['limits'], { from, to }: { from: number; to: number }): RiseJudged => ({
  verdict: 'undecided',
  leakPaM3PerS: NOTHING,
  moisturePa: NOTHING,
  levelsOffPa: null,
  tauS: null,
  startPa: 0,
  scatterShare: 0,
  straightTimesWorse: 1,
  from,
  to,
  spikes: [],
  steps: [],
  limits,
  notes: ['fewReadings'],
  way: null,
});
