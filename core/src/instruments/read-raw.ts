import { absolutePa, ambientAtPa, LOG_UNITS, pressureUnitIn } from '../gauge-log/index.js';
import type { InstrumentChannel, RegisterFormat, RegisterTable } from '../set-up/index.js';
import { matchLine, readPattern } from './line-pattern.js';

/** What came over the wire, before anybody has read it. */
export type RawReading =
  | { readonly kind: 'line'; readonly line: string }
  | {
      readonly kind: 'registers';
      readonly table: RegisterTable;
      readonly register: number;
      readonly words: readonly number[];
    }
  | { readonly kind: 'message'; readonly topic: string; readonly payload: string };

export const READING_ISSUES = [
  'notThisLine',
  'badPattern',
  'notANumber',
  'overflow',
  'noUnit',
  'unknownUnit',
  'notBelieved',
  'belowNothing',
  'tooFewWords',
  'notJson',
  'noSuchPath',
] as const;
export type ReadingIssueCode = (typeof READING_ISSUES)[number];

/** What a channel makes of it: Pa of a pressure, 1 or 0 of what is on or off, a count of cycles. */
export type ChannelRead =
  | {
      readonly ok: true;
      readonly key: string;
      readonly value: number;
      /** Its own clock's, where it says one. */
      readonly saidAtMs: number | null;
    }
  | {
      readonly ok: false;
      readonly key: string;
      readonly issue: { readonly code: ReadingIssueCode; readonly found: string };
    };

interface Sent {
  readonly value: unknown;
  readonly unit: string | null;
  readonly time: unknown;
}
type Found = Sent | { readonly code: ReadingIssueCode; readonly found: string };

const MOST_SHOWN = 60;
const shown = (text: string): string => (text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)}…` : text);
const WORDS_OF: Readonly<Record<RegisterFormat, 1 | 2>> = {
  ...{ float32: 2, float32Swapped: 2, uint16: 1, int16: 1 },
  ...{ uint32: 2, uint32Swapped: 2, int32: 2, int32Swapped: 2, bit: 1 },
};
/** 16-bit registers that a format takes. */
export const wordsOf = (format: RegisterFormat): 1 | 2 => WORDS_OF[format];

/** IEEE 754 and two's complement of big-endian words (Modbus Application Protocol V1.1b3, 4.2). */
function numberOf(words: readonly number[], format: RegisterFormat): number | null {
  const [first, second = 0] = words;
  if (first === undefined || words.length < WORDS_OF[format]) return null;
  const swapped = format.endsWith('Swapped');
  const view = new DataView(new ArrayBuffer(4));
  view.setUint16(0, swapped ? second : first);
  view.setUint16(2, swapped ? first : second);
  switch (format) {
    case 'bit':
    case 'uint16':
      return first;
    case 'int16':
      return view.getInt16(0);
    case 'uint32':
    case 'uint32Swapped':
      return view.getUint32(0);
    case 'int32':
    case 'int32Swapped':
      return view.getInt32(0);
    case 'float32':
    case 'float32Swapped':
      return view.getFloat32(0);
  }
}

/** A value in a message by names and places parted by dots, `gauge.0.pressure`; undefined where there is none. */
function valueAt(message: unknown, path: string): unknown {
  let here = message;
  for (const key of path.split('.').filter(Boolean)) {
    if (typeof here !== 'object' || here === null || !Object.hasOwn(here, key)) return undefined;
    here = (here as Readonly<Record<string, unknown>>)[key];
  }
  return here;
}

function sentInLine(line: string, channel: InstrumentChannel): Found {
  const read = readPattern(channel.pattern ?? '');
  if (!read.ok) return { code: 'badPattern', found: read.issue.found };
  return matchLine(read.pattern, line) ?? { code: 'notThisLine', found: shown(line) };
}

function sentInRegisters(words: readonly number[], channel: InstrumentChannel): Found {
  const value = numberOf(words, channel.format ?? 'uint16');
  if (value === null) return { code: 'tooFewWords', found: String(words.length) };
  return { value, unit: null, time: null };
}

function sentInMessage(payload: string, channel: InstrumentChannel): Found {
  const { path, timePath } = channel;
  if (!path && !timePath) {
    const alone = /^\s*"?([^"]*?)"?\s*$/.exec(payload)?.[1] ?? payload;
    return { value: alone, unit: null, time: null };
  }
  let message: unknown;
  try {
    message = JSON.parse(payload);
  } catch {
    return { code: 'notJson', found: shown(payload) };
  }
  const value = valueAt(message, path ?? '');
  if (value === undefined) return { code: 'noSuchPath', found: path ?? '' };
  return { value, unit: null, time: timePath ? valueAt(message, timePath) : null };
}

/** A topic as it was subscribed to: `+` stands for one level, `#` for the rest (MQTT 3.1.1, 4.7). */
export function isOfTopic(filter: string, topic: string): boolean {
  const [wanted, levels] = [filter.split('/'), topic.split('/')];
  for (const [i, part] of wanted.entries()) {
    if (part === '#') return true;
    if (levels[i] === undefined || (part !== '+' && part !== levels[i])) return false;
  }
  return wanted.length === levels.length;
}

function isOf(raw: RawReading, channel: InstrumentChannel): boolean {
  if (raw.kind === 'line') return true;
  if (raw.kind === 'message') return isOfTopic(channel.topic ?? '', raw.topic);
  return raw.table === channel.table && raw.register === channel.register;
}

/**
 * What each channel reads out of one thing that came.
 * @param input.altitudeM of the place, for relative gauges; missing means the sea
 * @returns one answer for each channel that it may be meant for; where a line fits none, each says so
 */
export function readRaw(input: {
  raw: RawReading;
  channels: readonly InstrumentChannel[];
  altitudeM?: number | null;
}): ChannelRead[] {
  const { raw, channels } = input;
  const ambientPa = ambientAtPa({ altitudeM: input.altitudeM ?? 0 });
  return channels
    .filter((channel) => isOf(raw, channel))
    .map((channel): ChannelRead => {
      const sent =
        raw.kind === 'line'
          ? sentInLine(raw.line, channel)
          : raw.kind === 'registers'
            ? sentInRegisters(raw.words, channel)
            : sentInMessage(raw.payload, channel);
      const read = 'code' in sent ? sent : meaningOf(sent, channel, ambientPa);
      const { key } = channel;
      if ('code' in read) return { ok: false, key, issue: { code: read.code, found: read.found } };
      return { ok: true, key, value: read.value, saidAtMs: 'code' in sent ? null : msOf(sent.time) };
    });
}

/** Of a stamp as ISO 8601, in seconds or in milliseconds since 1970. */
function msOf(time: unknown): number | null {
  if (typeof time === 'number' && Number.isFinite(time)) return time > 1e11 ? time : time * 1000;
  if (typeof time !== 'string' || time === '') return null;
  const whole = /^\d{9,13}(?:\.\d+)?$/.test(time) ? msOf(Number(time)) : Date.parse(withZone(time));
  return Number.isNaN(whole) ? null : whole;
}
/** A stamp without a zone is taken as UTC: an instrument knows none. */
const withZone = (time: string): string =>
  /(?:Z|[+-]\d\d:?\d\d)$/.test(time) ? time : `${time.trim().replace(' ', 'T')}Z`;

const ON = new Set(['on', 'true', 'yes', 'run', 'running', 'open', 'opened', 'closed contact']);
const OFF = new Set(['off', 'false', 'no', 'stop', 'stopped', 'closed', 'shut', 'idle']);

type Meaning =
  | { readonly value: number; readonly ok: true }
  | { readonly ok: false; readonly code: ReadingIssueCode; readonly found: string };
const refused = (code: ReadingIssueCode, found: unknown): Meaning => ({ ok: false, code, found: shown(String(found)) });

function meaningOf(sent: Sent, channel: InstrumentChannel, ambientPa: number): Meaning {
  const onOff = channel.means === 'running' || channel.means === 'valveOpen';
  if (onOff) {
    const word = typeof sent.value === 'boolean' ? String(sent.value) : sent.value;
    if (typeof word === 'string' && ON.has(word.toLowerCase())) return { ok: true, value: 1 };
    if (typeof word === 'string' && OFF.has(word.toLowerCase())) return { ok: true, value: 0 };
  }
  const typed = typeof sent.value === 'string' ? numberTyped(sent.value) : sent.value;
  if (typeof typed !== 'number' || Number.isNaN(typed)) return refused('notANumber', sent.value);
  if (!Number.isFinite(typed)) return refused('overflow', sent.value);
  const value = typed * (channel.scale ?? 1) + (channel.offset ?? 0);
  if (onOff) return { ok: true, value: value > (channel.onAbove ?? 0.5) ? 1 : 0 };
  if (channel.means === 'cycles')
    return value >= 0 && value <= Number.MAX_SAFE_INTEGER
      ? { ok: true, value: Math.floor(value) }
      : refused('notBelieved', sent.value);
  return pressureOf(value, sent, channel, ambientPa);
}

function numberTyped(text: string): number {
  const trimmed = text.trim();
  return /^[+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)(?:[eE][+-]?\d+)?$/.test(trimmed)
    ? Number(trimmed.replace(',', '.'))
    : Number.NaN;
}

function pressureOf(value: number, sent: Sent, channel: InstrumentChannel, ambientPa: number): Meaning {
  const said = sent.unit === null ? null : pressureUnitIn(sent.unit);
  if (sent.unit !== null && said === null) return refused('unknownUnit', sent.unit);
  const unit = said?.unit ?? channel.unit ?? null;
  if (unit === null || !(unit in LOG_UNITS)) return refused('noUnit', sent.value);
  const reference = channel.reference ?? said?.reference ?? 'absolute';
  const pa = absolutePa({ value, unit, reference, ambientPa });
  if (!(pa > 0)) return refused('belowNothing', sent.value);
  const { believedFromPa, believedToPa } = channel;
  if (pa < (believedFromPa ?? 0) || pa > (believedToPa ?? MOST_PA)) return refused('notBelieved', sent.value);
  return { ok: true, value: pa };
}

/** More than the air around, on any site: no vacuum gauge says it truly. */
const MOST_PA = 200_000;
