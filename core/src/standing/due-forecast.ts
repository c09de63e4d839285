import { gammaQuantile } from '../statistics/index.js';
import type { Measure } from '../limits/index.js';
import type { PumpState } from '../fold/index.js';
import { daysToRun, isIdle, runStream, type DaysBand, type RunStream } from './run-stream.js';

/** With fewer observed intervals the scatter is taken as that of a Poisson stream (docs/trade.md 4). */
export const FEW_INTERVALS = 5;
const DAY_MS = 86_400_000;

/**
 * Days until the n-th run from now, at 10, 50 and 90 %.
 * Source: docs/trade.md 4 (renewal stream): Gamma with shape n / CV² and mean n / rate. Runs left and CV have no unit.
 * Valid for runsLeft > 0, runsPerDay > 0, cv > 0. Example: 5 runs at 0.5 a day, CV 1 → 4.87, 9.34, 15.99 days.
 * @param minDaysPerRun a run's own length: no quantile is faster than runsLeft x that
 * @throws RangeError outside that range
 */
export function dueForecastDays(input: {
  runsLeft: number;
  runsPerDay: number;
  cv?: number;
  minDaysPerRun?: number;
}): DaysBand {
  const { runsLeft, runsPerDay, cv = 1, minDaysPerRun = 0 } = input;
  for (const [key, value] of Object.entries({ runsLeft, runsPerDay, cv })) {
    if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${key}: ${value} is not above 0`);
  }
  const shape = runsLeft / cv ** 2;
  const scaleDays = runsLeft / runsPerDay / shape;
  const fastest = runsLeft * minDaysPerRun;
  const at = (p: 0.1 | 0.5 | 0.9) => Math.max(fastest, gammaQuantile({ shape, p }) * scaleDays);
  return [at(0.1), at(0.5), at(0.9)];
}

/** How a pump is used, from its last runs. */
export interface Usage {
  /** Null with fewer than two runs, and for an idle pump. */
  readonly runsPerDay: number | null;
  /** When its runs began; null with too few to see a pattern in. */
  readonly stream: RunStream | null;
  /** Days since the last run began, where that is so long that nobody knows when the next one will be; null for a pump in use. */
  readonly idleDays: number | null;
  /** Runs that are going on now. */
  readonly running: number;
  readonly meanWeight: number;
  readonly weightCv: number;
  readonly meanHours: number;
  readonly hoursCv: number;
  /** By its hour meter; null where it was not read twice some days apart. */
  readonly meterHoursPerDay: number | null;
}

function meanAndCv(values: readonly number[]): { mean: number; cv: number } {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  if (values.length < 2 || mean === 0) return { mean, cv: 0 };
  const variance = values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1);
  return { mean, cv: Math.sqrt(variance) / mean };
}

/** Between two readings of a meter that tell of a rate. */
const LEAST_METER_DAYS = 3;

function meterRate(meter: PumpState['meter']): number | null {
  if (meter === null) return null;
  const days = (Date.parse(meter.at) - Date.parse(meter.first.at)) / DAY_MS;
  const hours = (meter.minutes - meter.first.minutes) / 60;
  return days >= LEAST_METER_DAYS && hours > 0 ? hours / days : null;
}

/** Runs that began in the same minute are told apart by that much. */
const LEAST_GAP_DAYS = 1 / 1440;

/** @param fallback one planned run where the pump has none of its own yet */
export function usageOf(
  {
    recentRuns: runs,
    running,
    meter = null,
  }: {
    readonly recentRuns: readonly Pick<PumpState['recentRuns'][number], 'at' | 'weightMilli' | 'minutes'>[];
    readonly running: PumpState['running'];
    readonly meter?: PumpState['meter'];
  },
  fallback: { weight: number; hours: number },
  now: string,
): Usage {
  const starts = [...runs, ...running].map((r) => Date.parse(r.at) / DAY_MS).sort((a, b) => a - b);
  const gaps = starts.slice(1).map((day, i) => Math.max(LEAST_GAP_DAYS, day - (starts[i] ?? day)));
  const sinceDays = Math.max(0, Date.parse(now) / DAY_MS - (starts.at(-1) ?? 0));
  const idle = running.length === 0 && gaps.length > 0 && isIdle(gaps, sinceDays);
  const stream = gaps.length < FEW_INTERVALS ? null : runStream(gaps, sinceDays);
  const meanGap = stream?.mean ?? meanAndCv(gaps).mean;
  const weight = runs.length > 0 ? meanAndCv(runs.map((r) => r.weightMilli / 1000)) : { mean: fallback.weight, cv: 0 };
  const hours = runs.length > 0 ? meanAndCv(runs.map((r) => r.minutes / 60)) : { mean: fallback.hours, cv: 0 };
  return {
    runsPerDay: gaps.length > 0 && !idle ? 1 / meanGap : null,
    stream,
    idleDays: idle ? sinceDays : null,
    running: running.length,
    meanWeight: weight.mean,
    weightCv: weight.cv,
    meanHours: hours.mean,
    hoursCv: hours.cv,
    meterHoursPerDay: meterRate(meter),
  };
}

export interface DueForecast {
  readonly measure: Measure;
  readonly p10Days: number;
  readonly p50Days: number;
  readonly p90Days: number;
  /** `date`: a calendar limit; `use`: this pump's own use; `fewRuns`: own use, with too few runs to know their scatter; `meter`: hours by its meter alone. */
  readonly basis: 'date' | 'use' | 'fewRuns' | 'meter';
  /** Runs until the limit; null for a date on a pump without a known rate. */
  readonly runsLeft: number | null;
}

/**
 * Runs that a limit still allows, from this pump's own use per run; null where runs do not use it up.
 * The limit is reached at the end of the run that passes it, so a part of a run counts as one.
 */
export function runsLeftOf(input: {
  measure: Measure;
  left: number;
  usage: Usage;
}): { runs: number; useCv: number } | null {
  const { measure, left, usage } = input;
  if (measure === 'runs') return { runs: left, useCv: 0 };
  if (measure === 'weight' && usage.meanWeight > 0)
    return { runs: Math.ceil(left / usage.meanWeight), useCv: usage.weightCv };
  if (measure === 'hours' && usage.meanHours > 0)
    return { runs: Math.ceil(left / usage.meanHours), useCv: usage.hoursCv };
  return null;
}

/** Hours that a meter counts in a week vary by so much, 8 in 10: of work in shifts, where nobody logs single runs. */
const METER_BAND = [0.75, 1.5] as const;

/** Forecast of one limit that is not reached yet; null when the pump's runs say nothing about it. */
export function forecastLimit(input: { measure: Measure; left: number; usage: Usage }): DueForecast | null {
  const { measure, left, usage } = input;
  if (measure === 'days') {
    const runsLeft = usage.runsPerDay === null ? null : left * usage.runsPerDay;
    return { measure, p10Days: left, p50Days: left, p90Days: left, basis: 'date', runsLeft };
  }
  const need = runsLeftOf(input);
  if (usage.runsPerDay === null && measure === 'hours' && usage.meterHoursPerDay !== null) {
    const days = left / usage.meterHoursPerDay;
    const [p10Days, p90Days] = [days * METER_BAND[0], days * METER_BAND[1]];
    return { measure, p10Days, p50Days: days, p90Days, basis: 'meter', runsLeft: need?.runs ?? null };
  }
  if (!need || usage.runsPerDay === null) return null;
  const [p10Days, p50Days, p90Days] = daysOfRuns(need, usage, usage.runsPerDay);
  return { measure, p10Days, p50Days, p90Days, basis: usage.stream ? 'use' : 'fewRuns', runsLeft: need.runs };
}

/** Days until the n-th run from now begins, most likely; null where nobody can say. */
export function likelyDaysToRun({ stream, runsPerDay }: Usage, runs: number): number | null {
  if (runsPerDay === null) return null;
  return stream ? daysToRun(stream, { runs })[1] : runs / runsPerDay;
}

/** Days until so many runs are over, those that are going on now among them. */
function daysOfRuns(need: { runs: number; useCv: number }, usage: Usage, runsPerDay: number): DaysBand {
  const { stream } = usage;
  const minDaysPerRun = usage.meanHours / 24;
  const fastest = need.runs * minDaysPerRun;
  if (!stream)
    return dueForecastDays({ runsLeft: need.runs, runsPerDay, cv: Math.hypot(1, need.useCv), minDaysPerRun });
  const toCome = need.runs - usage.running;
  const begins = toCome > 0 ? daysToRun(stream, { runs: toCome, useCv: need.useCv }) : ([0, 0, 0] as const);
  const going = usage.running > 0 ? stream.sinceDays : 0;
  const [p10, p50, p90] = begins.map((days) => Math.max(0, fastest - going, days));
  return [p10 ?? 0, p50 ?? 0, p90 ?? 0];
}
