import {
  gaugeLogReader,
  judgePumpDown,
  judgeRise,
  logPressures,
  riseAt,
  thinned,
  type GaugeKind,
  type LogOf,
  type LogRead,
  type LogSettings,
  type PumpDownJudged,
  type RiseJudged,
} from '@winter-jar/core';

/** What is asked of a log. */
export interface AskedOfLog {
  /** Null: whichever it looks like. */
  readonly of: LogOf | null;
  readonly volumeL: number;
  readonly gauge: GaugeKind;
  readonly pumpingSpeedM3h: number;
  readonly ultimatePa: number | null;
}

/** For the screen: pressure over seconds. */
export interface Drawn {
  readonly s: number;
  readonly pa: number;
}
export interface DrawnModel extends Drawn {
  /** What the leak alone would have made; of a pump-down where it ends. */
  readonly leakPa: number;
}

export type JudgedBy =
  { readonly of: 'rise'; readonly judged: RiseJudged } | { readonly of: 'pumpDown'; readonly judged: PumpDownJudged };

export type LogJudged =
  | Extract<LogRead, { ok: false }>
  | {
      readonly ok: true;
      readonly startedAt: string | null;
      readonly understood: Extract<LogRead, { ok: true }>['understood'];
      readonly points: readonly Drawn[];
      readonly leftOut: readonly Drawn[];
      readonly model: readonly DrawnModel[];
      /** Of the part that was judged, since the first reading. */
      readonly fromS: number;
      readonly toS: number;
      readonly by: JudgedBy;
    };

const PIECE = 1 << 16;
const POINTS_DRAWN = 500;
const MODEL_DRAWN = 160;
const LEFT_OUT_DRAWN = 30;

/** The text of a file: by its byte-order mark, as UTF-8, or else in the one encoding of Western devices before it. */
export function textOf(bytes: ArrayBuffer): string {
  const first = new Uint8Array(bytes.slice(0, 2));
  if (first[0] === 0xff && first[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first[0] === 0xfe && first[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Reads a log and judges it. Runs in a worker. */
export function judgeLog(bytes: ArrayBuffer, said: LogSettings, asked: AskedOfLog): LogJudged {
  const reader = gaugeLogReader(said);
  const text = textOf(bytes);
  for (let at = 0; at < text.length; at += PIECE) reader.push(text.slice(at, at + PIECE));
  const read = reader.end();
  if (!read.ok) return read;
  const { s, pa, startedAt, understood } = read;
  const of = asked.of ?? kindOf(pa);
  const by: JudgedBy =
    of === 'rise'
      ? { of, judged: judgeRise({ points: { s, pa }, volumeL: asked.volumeL, gauge: asked.gauge }) }
      : {
          of,
          judged: judgePumpDown({
            ...{ points: { s, pa }, volumeL: asked.volumeL, gauge: asked.gauge },
            pumpingSpeedM3h: asked.pumpingSpeedM3h,
            ...(asked.ultimatePa === null ? {} : { ultimatePa: asked.ultimatePa }),
          }),
        };
  const { from, to, spikes } = by.judged;
  const [fromS, toS] = [s[from] ?? 0, s[Math.max(from, to - 1)] ?? 0];
  const few = thinned({ s, pa }, POINTS_DRAWN);
  return {
    ok: true,
    startedAt,
    understood,
    points: [...few.s].map((at, i) => ({ s: at, pa: few.pa[i] ?? 0 })),
    leftOut: spikes.slice(0, LEFT_OUT_DRAWN).map((i) => ({ s: s[i] ?? 0, pa: pa[i] ?? 0 })),
    model: modelOf(by, fromS, toS, asked.volumeL),
    fromS,
    toS,
    by,
  };
}

/** Falling far is a pump-down; all else is looked at as a rise. */
const kindOf = (pa: Float64Array): LogOf => ((pa[pa.length - 1] ?? 1) * 3 < (pa[0] ?? 0) ? 'pumpDown' : 'rise');

function modelOf(by: JudgedBy, fromS: number, toS: number, volumeL: number): DrawnModel[] {
  const seconds = Float64Array.from({ length: MODEL_DRAWN }, (_, i) => ((toS - fromS) * i) / (MODEL_DRAWN - 1));
  if (by.of === 'rise') {
    const { way } = by.judged;
    if (!way) return [];
    return [...seconds].map((s) => ({
      s: fromS + s,
      pa: riseAt(way, s),
      leakPa: way.startPa + Math.max(0, way.leakPaPerS) * s,
    }));
  }
  const { way } = by.judged;
  if (!way) return [];
  const logs = logPressures(way, { seconds, volumeM3: volumeL / 1000, hose: null });
  return [...seconds].map((s, i) => ({ s: fromS + s, pa: Math.exp(logs[i] ?? 0), leakPa: way.basePa }));
}
