import {
  BAG_LIMIT_PA,
  leakAtPump,
  type Entry,
  type FigureRead,
  type FoundSaid,
  type GaugeKind,
  type JudgedLog,
  type LogOf,
  type LogSettings,
  type LogVerdict,
  type MeasuredPressure,
} from '@winter-jar/core';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { remarkOf } from '../forms/remark-of.js';
import { quantityText } from '../ui/quantity-text.js';
import { typedQuantity } from '../ui/typed-number.js';
import type { AskedOfLog, JudgedBy, LogJudged } from './judge-log.js';

export interface LogValues {
  logId: string;
  name: string;
  of: '' | LogOf;
  /** In litres, or with a unit. */
  volume: string;
  gauge: GaugeKind;
  /** Of a pump blanked off: fresh oil was filled for it, or the oil was as it is. */
  oil: 'fresh' | 'asIs';
  /** Of a bag: what its pressure may rise by in ten minutes. */
  bagLimit: string;
  /** Of cycles: down to which pressure they are timed. */
  setPressure: string;
  said: LogSettings;
  /** Of a test that is corrected: it stays where the log itself says no time. */
  happenedAt: string;
  remark: string;
}

export const noLog = (volumeL: number | null, zone: string, pressureUnit: string): LogValues => ({
  logId: '',
  name: '',
  of: '',
  volume: volumeL === null ? '' : String(volumeL),
  gauge: 'capacitance',
  oil: 'asIs',
  bagLimit: quantityText(BAG_LIMIT_PA, pressureUnit),
  setPressure: '',
  said: { zone },
  happenedAt: '',
  remark: '',
});

type JudgedFully = Extract<LogJudged, { ok: true }>;

const CERTAINTY = 0.9;
/** Five times and more above what it should be, as the finding says. */
const FAR_TIMES = 5;

/** Litres that are typed; null where they are not right. */
export function litresOf(text: string): number | null {
  const read = typedQuantity({ text, dimension: 'volume', defaultUnit: 'L', min: 10, max: 1e10 });
  return read.ok ? read.value / 1000 : null;
}

/** A pressure that is typed, Pa; null where it is not right. */
function pressureOf(text: string, unit: string): number | null {
  const read = typedQuantity({ text, dimension: 'pressure', defaultUnit: unit, min: 1e-3, max: 200_000 });
  return read.ok ? read.value : null;
}

type OfSet = Pick<AskedOfLog, 'pumpingSpeedM3h' | 'ultimatePa' | 'blankOffLimitPa' | 'goodPullDownS' | 'inlet'>;

/** What each kind of log cannot be judged without, and what would be right. */
const NEEDS: Readonly<
  Record<LogOf, { readonly field: 'volume' | 'bagLimit' | 'setPressure'; readonly right: string } | null>
> = {
  rise: { field: 'volume', right: 'Say how many litres are closed off, such as 62.' },
  pumpDown: { field: 'volume', right: 'Say how many litres are pumped out, such as 62.' },
  ultimate: null,
  bagDrop: { field: 'bagLimit', right: 'Say what its pressure may rise by in ten minutes, such as 20 hPa.' },
  cycles: { field: 'setPressure', right: 'Say to which pressure the cycles are timed, such as 5 hPa.' },
};

/** What is missing before a log can be judged; null where nothing is. @param unit of pressures without one */
export function lackOf(v: LogValues, unit: string): (typeof NEEDS)[LogOf] {
  const needs = NEEDS[v.of || 'rise'];
  if (!needs) return null;
  const value = needs.field === 'volume' ? litresOf(v.volume) : pressureOf(v[needs.field], unit);
  return value === null ? needs : null;
}

/** What is asked of the log; null while it cannot be. */
export function askedOf(v: LogValues, ofSet: OfSet, unit: string): AskedOfLog | null {
  if (lackOf(v, unit)) return null;
  return {
    ...{ of: v.of || null, volumeL: litresOf(v.volume), gauge: v.gauge },
    bagLimitPa: pressureOf(v.bagLimit, unit) ?? BAG_LIMIT_PA,
    toPa: pressureOf(v.setPressure, unit),
    ...ofSet,
  };
}

/** Whether a leak was found that is not why this set pumps badly. */
export function isSmallLeak(
  { of, judged }: JudgedBy,
  set: { readonly pumpingSpeedM3h: number; readonly targetPa: number },
): boolean {
  if (of !== 'rise' || (judged.verdict !== 'leak' && judged.verdict !== 'leakAndMoisture')) return false;
  return !leakAtPump({ leakPaM3PerS: judged.leakPaM3PerS.p90, ...set }).matters;
}

const RISE_STATES: Readonly<Partial<Record<LogVerdict, string>>> = {
  tight: 'small',
  leak: 'straight',
  leakAndMoisture: 'straight',
  moisture: 'flattens',
};

/** Where the leak is no matter, what is left of it. */
const WITHOUT_LEAK: Readonly<Partial<Record<LogVerdict, LogVerdict>>> = { leak: 'tight', leakAndMoisture: 'moisture' };

const said = (id: string, state: string): FoundSaid => ({ id, state, certainty: CERTAINTY });

/** What a log says of the pump and its set, as findings. @param v how it was done */
export function findingsOf({ by }: Pick<JudgedFully, 'by'>, v: Pick<LogValues, 'oil'>, smallLeak = false): FoundSaid[] {
  const { verdict } = by.judged;
  if (verdict === 'undecided') return [];
  switch (by.of) {
    case 'rise': {
      const state = RISE_STATES[(smallLeak ? WITHOUT_LEAK[verdict] : undefined) ?? verdict];
      return state ? [said('rateOfRise', state)] : [];
    }
    case 'pumpDown':
      return ofPumpDown(by.judged);
    case 'ultimate':
      return [said(v.oil === 'fresh' ? 'pumpPressure' : 'pumpPressureAsIs', verdict === 'asGood' ? 'good' : 'poor')];
    case 'bagDrop':
      // Resin that boils raises a bag's pressure as well: that is no sign of a leak.
      if (by.judged.notes.includes('nearResinVapour')) return [];
      return [said('rateOfRise', verdict === 'holds' ? 'small' : 'straight')];
    case 'cycles':
      return [said('pumpDown', verdict === 'asGood' ? 'usual' : 'slow')];
  }
}

function ofPumpDown({ verdict, ultimatePa, against }: Extract<JudgedBy, { of: 'pumpDown' }>['judged']): FoundSaid[] {
  const high = ultimatePa.p50 >= FAR_TIMES * against.ultimatePa ? 'farAbove' : 'poor';
  switch (verdict) {
    case 'asGood':
      // It answers what an earlier one said of its end as well.
      return [said('pumpDown', 'usual'), said('chamberPressure', 'good')];
    case 'leak':
      return [said('pumpDown', 'usual'), said('chamberPressure', high)];
    case 'wornOrDirty':
      return [said('pumpDown', 'slow'), said('chamberPressure', high)];
    case 'restriction':
    case 'moisture':
      return [said('pumpDown', 'slow')];
    case 'undecided':
      return [];
  }
}

const WELL: readonly LogVerdict[] = ['tight', 'asGood', 'holds', 'undecided'];
/** Nothing is wrong: no case is opened for it. */
export const isWell = (verdict: LogVerdict, smallLeak = false): boolean =>
  WELL.includes(verdict) || (smallLeak && verdict === 'leak');

/** Whether it opens a case: a bag that drops is sealed anew, which is no matter of the pump. */
export const opensCase = ({ of, verdict }: Pick<JudgedLog, 'of' | 'verdict'>, smallLeak: boolean): boolean =>
  of !== 'bagDrop' && !isWell(verdict, smallLeak);

/** A reading of a pump blanked off, as one that is written by hand. */
const readingOf = ({ by }: JudgedFully, { oil }: Pick<LogValues, 'oil'>): MeasuredPressure[] =>
  by.of === 'ultimate' && by.judged.verdict !== 'undecided'
    ? [{ pa: by.judged.ultimatePa.p50, where: 'pump', ballast: 'closed', oil }]
    : [];

/** An end that nobody can tell is open upwards. */
const bounded = (figure: FigureRead): FigureRead => ({ ...figure, p90: Math.min(1e9, figure.p90) });

/** What was judged, as the entry keeps it. */
function keptOf(v: LogValues, { by }: JudgedFully): JudgedLog {
  const common = {
    logId: v.logId,
    ...(v.name ? { name: v.name } : {}),
    ...{ said: v.said, gauge: v.gauge, verdict: by.judged.verdict },
  };
  const volumeL = litresOf(v.volume);
  const volume = volumeL === null ? {} : { volumeL };
  switch (by.of) {
    case 'rise': {
      const { leakPaM3PerS, moisturePa } = by.judged;
      return { ...common, ...volume, of: by.of, leakPaM3PerS, moisturePa };
    }
    case 'pumpDown': {
      const { leakPaM3PerS, speedM3h, ultimatePa } = by.judged;
      return { ...common, ...volume, of: by.of, leakPaM3PerS, speedM3h, ultimatePa: bounded(ultimatePa) };
    }
    case 'ultimate':
      return { ...common, of: by.of, ultimatePa: by.judged.ultimatePa, limitPa: by.judged.limitPa };
    case 'bagDrop':
      return { ...common, of: by.of, rise10MinPa: by.judged.rise10MinPa, limitPa: by.judged.limitPa };
    case 'cycles':
      return { ...common, ...volume, of: by.of, pullDownS: by.judged.pullDownS, toPa: by.judged.toPa };
  }
}

/** @param judged of exactly these values; null while it is not there */
export function readLog(
  v: LogValues,
  judged: LogJudged | null,
  { nowMs, unit, smallLeak = false }: { nowMs: number; unit: string; smallLeak?: boolean },
): FormAnswer<'test'> {
  const lack = lackOf(v, unit);
  const issues = {
    ...(v.logId ? {} : { logId: 'Choose the log of a gauge.' }),
    ...(lack ? { [lack.field]: lack.right } : {}),
    ...(v.logId && !lack && !judged?.ok ? { logId: 'Nothing could be read from it yet.' } : {}),
  };
  if (!judged?.ok || Object.keys(issues).length > 0) return { ok: false, issues };
  const unsaid = v.happenedAt ? Date.parse(v.happenedAt) : nowMs;
  const started = judged.startedAt === null ? unsaid : Date.parse(judged.startedAt) + judged.fromS * 1000;
  const at = new Date(Math.min(nowMs, started)).toISOString();
  const measured = readingOf(judged, v);
  return exactly('test', at, {
    findings: findingsOf(judged, v, smallLeak),
    ...(measured.length > 0 ? { measured } : {}),
    log: keptOf(v, judged),
    ...remarkOf(v),
  });
}

const withoutNulls = (said: LogSettings | null | undefined): LogSettings =>
  Object.fromEntries(Object.entries(said ?? {}).filter(([, value]) => value !== null));

/** The fields of a test that is corrected. @param unit of the pressures that are shown */
export function logFieldsOf({ body, happenedAt }: Extract<Entry, { kind: 'test' }>, unit: string): LogValues {
  const { log } = body;
  return {
    logId: log?.logId ?? '',
    name: log?.name ?? '',
    of: log?.of ?? '',
    volume: log?.volumeL ? String(log.volumeL) : '',
    gauge: log?.gauge ?? 'capacitance',
    oil: body.measured?.[0]?.oil ?? 'asIs',
    bagLimit: quantityText(log?.of === 'bagDrop' ? (log.limitPa ?? BAG_LIMIT_PA) : BAG_LIMIT_PA, unit),
    setPressure: quantityText(log?.toPa, unit),
    said: withoutNulls(log?.said),
    happenedAt,
    remark: body.remark ?? '',
  };
}
