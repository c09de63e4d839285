import {
  leakAtPump,
  type Entry,
  type FoundSaid,
  type GaugeKind,
  type JudgedLog,
  type LogOf,
  type LogSettings,
  type LogVerdict,
} from '@winter-jar/core';
import { exactly, type FormAnswer } from '../entry/deed.js';
import { remarkOf } from '../forms/remark-of.js';
import { typedQuantity } from '../ui/typed-number.js';
import type { AskedOfLog, JudgedBy, LogJudged } from './judge-log.js';

export interface LogValues {
  logId: string;
  name: string;
  of: '' | LogOf;
  /** In litres, or with a unit. */
  volume: string;
  gauge: GaugeKind;
  said: LogSettings;
  /** Of a test that is corrected: it stays where the log itself says no time. */
  happenedAt: string;
  remark: string;
}

export const noLog = (volumeL: number | null, zone: string): LogValues => ({
  logId: '',
  name: '',
  of: '',
  volume: volumeL === null ? '' : String(volumeL),
  gauge: 'capacitance',
  said: { zone },
  happenedAt: '',
  remark: '',
});

const CERTAINTY = 0.9;
/** Five times and more above what it should be, as the finding says. */
const FAR_TIMES = 5;

/** Litres that are typed; null where they are not right. */
export function litresOf(text: string): number | null {
  const read = typedQuantity({ text, dimension: 'volume', defaultUnit: 'L', min: 10, max: 1e10 });
  return read.ok ? read.value / 1000 : null;
}

/** What is asked of the log; null while it cannot be. */
export function askedOf(
  { of, volume, gauge }: LogValues,
  { pumpingSpeedM3h, ultimatePa }: Pick<AskedOfLog, 'pumpingSpeedM3h' | 'ultimatePa'>,
): AskedOfLog | null {
  const volumeL = litresOf(volume);
  return volumeL === null ? null : { of: of || null, volumeL, gauge, pumpingSpeedM3h, ultimatePa };
}

/** What a set is to come to: its target, else three times what its pump comes to (docs/trade.md 4). */
const POOR_TIMES = 3;
const USUAL_ULTIMATE_PA = 0.5;

/** Whether a leak was found that is not why this set pumps badly. */
export function isSmallLeak(
  { of, judged }: JudgedBy,
  set: { readonly pumpingSpeedM3h: number; readonly ultimatePa: number | null; readonly targetPa: number | null },
): boolean {
  if (of !== 'rise' || (judged.verdict !== 'leak' && judged.verdict !== 'leakAndMoisture')) return false;
  const targetPa = set.targetPa ?? POOR_TIMES * (set.ultimatePa ?? USUAL_ULTIMATE_PA);
  return !leakAtPump({ leakPaM3PerS: judged.leakPaM3PerS.p90, pumpingSpeedM3h: set.pumpingSpeedM3h, targetPa }).matters;
}

const RISE_STATES: Readonly<Partial<Record<LogVerdict, string>>> = {
  tight: 'small',
  leak: 'straight',
  leakAndMoisture: 'straight',
  moisture: 'flattens',
};

/** Where the leak is no matter, what is left of it. */
const WITHOUT_LEAK: Readonly<Partial<Record<LogVerdict, LogVerdict>>> = { leak: 'tight', leakAndMoisture: 'moisture' };

/** What a log says of the pump, as findings. */
export function findingsOf(judged: Extract<LogJudged, { ok: true }>, smallLeak = false): FoundSaid[] {
  const said = (id: string, state: string): FoundSaid => ({ id, state, certainty: CERTAINTY });
  if (judged.by.of === 'rise') {
    const { verdict } = judged.by.judged;
    const state = RISE_STATES[(smallLeak ? WITHOUT_LEAK[verdict] : undefined) ?? verdict];
    return state ? [said('rateOfRise', state)] : [];
  }
  const { verdict, ultimatePa, against } = judged.by.judged;
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

/** Nothing is wrong: no case is opened for it. */
export const isWell = (verdict: LogVerdict, smallLeak = false): boolean =>
  verdict === 'tight' || verdict === 'asGood' || verdict === 'undecided' || (smallLeak && verdict === 'leak');

/** What was judged, as the entry keeps it. */
function keptOf(v: LogValues, volumeL: number, { by }: Extract<LogJudged, { ok: true }>): JudgedLog {
  const common = {
    logId: v.logId,
    ...(v.name ? { name: v.name } : {}),
    said: v.said,
    volumeL,
    gauge: v.gauge,
    verdict: by.judged.verdict,
    leakPaM3PerS: by.judged.leakPaM3PerS,
  };
  if (by.of === 'rise') return { ...common, of: by.of, moisturePa: by.judged.moisturePa };
  const { speedM3h, ultimatePa } = by.judged;
  return { ...common, of: by.of, speedM3h, ultimatePa: { ...ultimatePa, p90: Math.min(1e9, ultimatePa.p90) } };
}

/** @param judged of exactly these values; null while it is not there */
export function readLog(
  v: LogValues,
  judged: LogJudged | null,
  { nowMs, smallLeak = false }: { nowMs: number; smallLeak?: boolean },
): FormAnswer<'test'> {
  const volumeL = litresOf(v.volume);
  const issues = {
    ...(v.logId ? {} : { logId: 'Choose the log of a gauge.' }),
    ...(volumeL === null ? { volume: 'Say how many litres are closed off, such as 62.' } : {}),
    ...(v.logId && volumeL !== null && !judged?.ok ? { logId: 'Nothing could be read from it yet.' } : {}),
  };
  if (!judged?.ok || volumeL === null || Object.keys(issues).length > 0) return { ok: false, issues };
  const unsaid = v.happenedAt ? Date.parse(v.happenedAt) : nowMs;
  const started = judged.startedAt === null ? unsaid : Date.parse(judged.startedAt) + judged.fromS * 1000;
  const at = new Date(Math.min(nowMs, started)).toISOString();
  return exactly('test', at, {
    findings: findingsOf(judged, smallLeak),
    log: keptOf(v, volumeL, judged),
    ...remarkOf(v),
  });
}

const withoutNulls = (said: LogSettings | null | undefined): LogSettings =>
  Object.fromEntries(Object.entries(said ?? {}).filter(([, value]) => value !== null));

/** The fields of a test that is corrected. */
export function logFieldsOf({ body, happenedAt }: Extract<Entry, { kind: 'test' }>): LogValues {
  const { log } = body;
  return {
    logId: log?.logId ?? '',
    name: log?.name ?? '',
    of: log?.of ?? '',
    volume: log ? String(log.volumeL) : '',
    gauge: log?.gauge ?? 'capacitance',
    said: withoutNulls(log?.said),
    happenedAt,
    remark: body.remark ?? '',
  };
}
