import type { InstrumentState, InstrumentStatus, InstrumentTrouble, LostReason } from '@winter-jar/contracts';
import type {
  ChannelMeaning,
  GaugesCompared,
  GaugesState,
  InstrumentChannel,
  InstrumentTalk,
  RawReading,
  ReadingIssueCode,
  RegisterFormat,
  RegisterTable,
} from '@winter-jar/core';
import { number } from '../ui/number.js';
import { momentWords } from './dates.js';
import type { Print } from '../device/use-print.js';

export const TALK_WORDS: Readonly<Record<InstrumentTalk, string>> = {
  lines: 'lines of text over TCP',
  modbus: 'registers (Modbus TCP)',
  mqtt: 'messages through a broker (MQTT)',
};

export const MEANING_WORDS: Readonly<Record<ChannelMeaning, string>> = {
  pressure: 'a pressure',
  running: 'whether the pump turns',
  valveOpen: 'whether the chamber valve is open',
  cycles: 'a counter of cycles',
};

export const REGISTER_TABLE_WORDS: Readonly<Record<RegisterTable, string>> = {
  holding: 'holding register',
  input: 'input register',
  coil: 'coil',
  discrete: 'discrete input',
};

export const REGISTER_FORMAT_WORDS: Readonly<Record<RegisterFormat, string>> = {
  float32: 'float, two registers, high word first',
  float32Swapped: 'float, two registers, low word first',
  uint16: 'whole number of 16 bits, no sign',
  int16: 'whole number of 16 bits with sign',
  uint32: 'whole number of 32 bits, no sign, high word first',
  uint32Swapped: 'whole number of 32 bits, no sign, low word first',
  int32: 'whole number of 32 bits with sign, high word first',
  int32Swapped: 'whole number of 32 bits with sign, low word first',
  bit: 'on or off',
};

export const STATE_WORDS: Readonly<Record<InstrumentState, string>> = {
  notConnected: 'Not listened to',
  connecting: 'Calling it …',
  live: 'Live',
  silent: 'Silent',
  lost: 'Lost',
};

export const LOST_WORDS: Readonly<Record<LostReason, string>> = {
  refused: 'something is there, but nothing listens at this port',
  unknownName: 'no address is known by this name',
  noAnswer: 'it does not answer',
  unreachable: 'there is no way to it on this network',
  closed: 'it hung up',
  notLetIn: 'its broker does not know this name and password',
  flood: 'it sent far more than an instrument does, and was hung up on',
  failed: 'the line failed',
};

export const TROUBLE_WORDS: Readonly<Record<InstrumentTrouble, (found: string) => string>> = {
  tooMany: (found) => `It sends more than ${found}: what comes beyond that is left out.`,
  lineTooLong: (found) => `A line without an end was left out: “${found}…”. Is it a gauge that listens at this port?`,
  messageTooLong: (found) => `A message under “${found}” was too long for a reading, and left out.`,
  registerRefused: (found) => `The instrument refuses ${found}. Look its register up in the maker’s manual.`,
  clockWrong: (found) => `Its clock says ${found} UTC: its readings were put at the time at which they came.`,
};

export const READING_ISSUE_WORDS: Readonly<Record<ReadingIssueCode, (found: string) => string>> = {
  notThisLine: (found) => `No line looked like the pattern. The last was “${found}”.`,
  badPattern: (found) => `The pattern cannot be read at “${found}”. Right would be words with {value} once.`,
  notANumber: (found) => `“${found}” is no number.`,
  overflow: (found) => `“${found}”: beyond its range.`,
  noUnit: (found) => `${found}: no unit is said. Choose the one that the gauge shows.`,
  unknownUnit: (found) => `“${found}” is no unit of pressure that is known here.`,
  notBelieved: (found) => `${found} was not believed: it lies outside the limits.`,
  belowNothing: (found) => `${found} would be no pressure at all, or less. Does it count from the air around?`,
  tooFewWords: (found) => `Only ${found} register came; this format takes two.`,
  notJson: (found) => `“${found}” is no JSON. Without a path the message itself is read.`,
  noSuchPath: (found) => `There is nothing at “${found}” in the message.`,
};

/** "Lost since today 09:12: it hung up". */
export function statusWords(
  { state, sinceMs, reason }: Pick<InstrumentStatus, 'state' | 'sinceMs' | 'reason'>,
  zone: string,
  now: string,
): string {
  const heard = sinceMs === null ? null : momentWords(new Date(sinceMs).toISOString(), zone, now);
  const why = reason === null ? '' : `: ${LOST_WORDS[reason]}`;
  if (state === 'lost') return `${heard ? `Lost since ${heard}` : 'Not reached yet'}${why}`;
  if (state === 'silent') return heard ? `Silent since ${heard}` : 'The line stands; nothing has come yet';
  return STATE_WORDS[state];
}

/** What came, as it came. */
export function rawWords(raw: RawReading): string {
  if (raw.kind === 'line') return raw.line;
  if (raw.kind === 'message') return `${raw.topic}  ${raw.payload}`;
  const hex = raw.words.map((w) => w.toString(16).toUpperCase().padStart(4, '0')).join(' ');
  return `${REGISTER_TABLE_WORDS[raw.table]} ${raw.register}: ${raw.table === 'coil' || raw.table === 'discrete' ? raw.words.join('') : hex}`;
}

const ON_OFF: Readonly<Record<'running' | 'valveOpen', readonly [on: string, off: string]>> = {
  running: ['turns', 'stands'],
  valveOpen: ['open', 'shut'],
};

/** A value in the words of what it means. */
export function valueWords({ means }: Pick<InstrumentChannel, 'means'>, value: number, print: Print): string {
  if (means === 'pressure') return print.pressure(value);
  if (means === 'cycles') return number(value);
  return ON_OFF[means][value > 0 ? 0 : 1];
}

export const CHANNEL_WORDS: Readonly<Record<ChannelMeaning, string>> = {
  pressure: 'Pressure',
  running: 'The pump',
  valveOpen: 'The chamber valve',
  cycles: 'Cycles',
};

export const COMPARED_WORDS: Readonly<Record<GaugesState, string>> = {
  agree: 'They agree.',
  gapCloses: 'The gap between them closes: vapour, no fault.',
  gapStays: 'The gap between them stays: one of them lies.',
};

export const NOT_COMPARED_WORDS: Readonly<Record<Extract<GaugesCompared, { ok: false }>['code'], string>> = {
  tooFew: 'Too few readings at the same moments: show a longer time.',
  maybeVapour:
    'The thermal gauge shows more, but no more than water vapour makes it: hold them together again in dry gas, or late in drying.',
  restless: 'They do not go together at all: are both at one port, and at rest?',
};
