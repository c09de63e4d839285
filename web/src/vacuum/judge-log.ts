import {
  gaugeLogReader,
  judgeBag,
  judgeCycles,
  judgePumpDown,
  judgeRise,
  judgeUltimate,
  logPressures,
  riseAt,
  thinned,
  type BagJudged,
  type CyclesJudged,
  type GaugeKind,
  type InletPart,
  type LogOf,
  type LogRead,
  type LogSettings,
  type PumpDownJudged,
  type RiseJudged,
  type UltimateJudged,
} from '@winter-jar/core';

/** What is asked of a log. */
export interface AskedOfLog {
  /** Null: a rise or a pump-down, whichever it looks like. */
  readonly of: LogOf | null;
  /** A rise and a pump-down have one. */
  readonly volumeL: number | null;
  readonly gauge: GaugeKind;
  readonly pumpingSpeedM3h: number;
  /** What the pump comes to when it is well, and what it is held to blanked off. */
  readonly ultimatePa: number;
  readonly blankOffLimitPa: number;
  /** What lies between chamber and pump, where it is known. */
  readonly inlet: readonly InletPart[];
  /** Of a bag, in ten minutes. */
  readonly bagLimitPa: number;
  /** Cycles: to which pressure, and the set's own good time to it. */
  readonly toPa: number | null;
  readonly goodPullDownS: number | null;
}

/** For the screen: pressure over seconds. */
export interface Drawn {
  readonly s: number;
  readonly pa: number;
}
export interface DrawnModel extends Drawn {
  /** What it is held against: a leak alone, where a pump-down ends, a limit. */
  readonly againstPa: number;
}

export type JudgedBy =
  | { readonly of: 'rise'; readonly judged: RiseJudged }
  | { readonly of: 'pumpDown'; readonly judged: PumpDownJudged }
  | { readonly of: 'ultimate'; readonly judged: UltimateJudged }
  | { readonly of: 'bagDrop'; readonly judged: BagJudged }
  | { readonly of: 'cycles'; readonly judged: CyclesJudged };

export type LogJudged =
  | Extract<LogRead, { ok: false }>
  | {
      readonly ok: true;
      readonly startedAt: string | null;
      readonly understood: Extract<LogRead, { ok: true }>['understood'];
      readonly points: readonly Drawn[];
      readonly leftOut: readonly Drawn[];
      /** Of which `leftOut` draws some. */
      readonly spikes: number;
      readonly model: readonly DrawnModel[];
      /** Of the part that was judged, since the first reading. */
      readonly fromS: number;
      readonly toS: number;
      readonly by: JudgedBy;
    };

const PIECE = 1 << 16;
/** Pieces from one word of progress to the next: a megabyte. */
const TOLD_EVERY = 16;
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

/**
 * Reads a log and judges it. Runs in a worker.
 * @param onRead told now and then which share of it was read, 0-1
 */
export function judgeLog(
  bytes: ArrayBuffer,
  said: LogSettings,
  asked: AskedOfLog,
  onRead: (share: number) => void = () => undefined,
): LogJudged {
  const reader = gaugeLogReader(said);
  const text = textOf(bytes);
  for (let at = 0; at < text.length; at += PIECE) {
    if (at % (TOLD_EVERY * PIECE) === 0) onRead(at / text.length);
    reader.push(text.slice(at, at + PIECE));
  }
  onRead(1);
  const read = reader.end();
  if (!read.ok) return read;
  const { s, pa, startedAt, understood } = read;
  const by = judgedBy(asked.of ?? kindOf(pa), { s, pa }, asked);
  const { from, to } = by.judged;
  const [fromS, toS] = [s[from] ?? 0, s[Math.max(from, to - 1)] ?? 0];
  const few = thinned({ s, pa }, POINTS_DRAWN);
  const spikes = 'spikes' in by.judged ? by.judged.spikes : [];
  return {
    ok: true,
    startedAt,
    understood,
    points: [...few.s].map((at, i) => ({ s: at, pa: few.pa[i] ?? 0 })),
    leftOut: spikes.slice(0, LEFT_OUT_DRAWN).map((i) => ({ s: s[i] ?? 0, pa: pa[i] ?? 0 })),
    spikes: spikes.length,
    model: modelOf(by, fromS, toS, asked),
    fromS,
    toS,
    by,
  };
}

function judgedBy(of: LogOf, points: { s: Float64Array; pa: Float64Array }, asked: AskedOfLog): JudgedBy {
  const { volumeL, gauge, pumpingSpeedM3h, ultimatePa } = asked;
  switch (of) {
    case 'rise':
      return { of, judged: judgeRise({ points, volumeL: known(volumeL), gauge }) };
    case 'pumpDown':
      return {
        of,
        judged: judgePumpDown({
          points,
          volumeL: known(volumeL),
          gauge,
          pumpingSpeedM3h,
          ultimatePa,
          hose: hoseOf(asked),
        }),
      };
    case 'ultimate':
      return { of, judged: judgeUltimate({ points, limitPa: asked.blankOffLimitPa }) };
    case 'bagDrop':
      return { of, judged: judgeBag({ points, limitPa: asked.bagLimitPa }) };
    case 'cycles':
      return {
        of,
        judged: judgeCycles({
          ...{ points, toPa: known(asked.toPa), usualS: asked.goodPullDownS },
          ...{ volumeL, pumpingSpeedM3h },
        }),
      };
  }
}

const hoseOf = ({ inlet }: AskedOfLog) => (inlet.length > 0 ? inlet : null);

/** The form asks for what a kind needs before it asks for its verdict. */
function known(value: number | null): number {
  if (value === null) throw new RangeError('what this kind of log needs was not said');
  return value;
}

/** Falling far is a pump-down; all else is looked at as a rise. */
const kindOf = (pa: Float64Array): LogOf => ((pa[pa.length - 1] ?? 1) * 3 < (pa[0] ?? 0) ? 'pumpDown' : 'rise');

function modelOf(by: JudgedBy, fromS: number, toS: number, asked: AskedOfLog): DrawnModel[] {
  const seconds = Float64Array.from({ length: MODEL_DRAWN }, (_, i) => ((toS - fromS) * i) / (MODEL_DRAWN - 1));
  const drawn = (at: (s: number, i: number) => Pick<DrawnModel, 'pa' | 'againstPa'>): DrawnModel[] =>
    [...seconds].map((s, i) => ({ s: fromS + s, ...at(s, i) }));
  switch (by.of) {
    case 'rise': {
      const { way } = by.judged;
      if (!way) return [];
      return drawn((s) => ({ pa: riseAt(way, s), againstPa: way.startPa + Math.max(0, way.leakPaPerS) * s }));
    }
    case 'pumpDown': {
      const { way } = by.judged;
      if (!way) return [];
      const logs = logPressures(way, { seconds, volumeM3: known(asked.volumeL) / 1000, hose: hoseOf(asked) });
      return drawn((_, i) => ({ pa: Math.exp(logs[i] ?? 0), againstPa: way.basePa }));
    }
    case 'ultimate':
      return drawn(() => ({ pa: by.judged.ultimatePa.p50, againstPa: by.judged.limitPa }));
    case 'bagDrop': {
      const { line, rise10MinPa, limitPa, startPa } = by.judged;
      const perS = (of10Min: number) => of10Min / 600;
      return drawn((s) => ({
        pa: line.pa + perS(rise10MinPa.p50) * (fromS + s - line.s),
        againstPa: startPa + perS(limitPa) * s,
      }));
    }
    case 'cycles':
      return drawn(() => ({ pa: by.judged.toPa, againstPa: by.judged.toPa }));
  }
}
