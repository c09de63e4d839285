import {
  readPattern,
  type ChannelMeaning,
  type GaugeKind,
  type InstrumentChannel,
  type InstrumentTalk,
  type LogUnit,
  type PressureReference,
  type RegisterFormat,
  type RegisterTable,
} from '@winter-jar/core';
import { typedNumber, typedQuantity } from '../ui/typed-number.js';
import { quantityText } from '../ui/quantity-text.js';

/** A channel as it is typed. */
export interface TypedChannel {
  readonly key: string;
  readonly means: ChannelMeaning;
  readonly pattern: string;
  readonly table: RegisterTable;
  readonly register: string;
  readonly format: RegisterFormat;
  readonly topic: string;
  readonly path: string;
  readonly timePath: string;
  readonly scale: string;
  readonly offset: string;
  /** Nothing where the instrument says it itself. */
  readonly unit: LogUnit | '';
  readonly reference: PressureReference;
  readonly gauge: GaugeKind;
  readonly believedFrom: string;
  readonly believedTo: string;
  readonly onAbove: string;
}

export type ChannelField = Exclude<keyof TypedChannel, 'key' | 'means'>;
export type ChannelIssues = Readonly<Partial<Record<ChannelField, string>>>;
export type ChannelRead =
  { readonly ok: true; readonly channel: InstrumentChannel } | { readonly ok: false; readonly issues: ChannelIssues };

/** What each meaning is sent as, mostly. */
const PATTERN: Readonly<Record<ChannelMeaning, string>> = {
  pressure: '{value} {unit}',
  running: 'RUN {value}',
  valveOpen: 'VALVE {value}',
  cycles: 'CYCLES {value}',
};

/** A new channel. @param taken keys that are in use */
export function newChannel(means: ChannelMeaning, taken: readonly string[]): TypedChannel {
  let key: string = means;
  for (let i = 2; taken.includes(key); i++) key = `${means}-${i}`;
  return {
    ...{ key, means, pattern: PATTERN[means], table: means === 'pressure' ? 'input' : 'discrete', register: '0' },
    ...{ format: means === 'pressure' ? 'float32' : means === 'cycles' ? 'uint32' : 'bit' },
    ...{ topic: '', path: '', timePath: '', scale: '', offset: '', unit: '', reference: 'absolute' },
    ...{ gauge: 'capacitance', believedFrom: '', believedTo: '', onAbove: '' },
  };
}

const text = (value: number | null | undefined): string => (value === null || value === undefined ? '' : String(value));

export function typedChannel(c: InstrumentChannel, pressureUnit: string): TypedChannel {
  const blank = newChannel(c.means, []);
  const pressure = (pa: number | null | undefined) => (pa ? quantityText(pa, pressureUnit) : '');
  return {
    ...{ key: c.key, means: c.means, pattern: c.pattern ?? '', table: c.table ?? blank.table },
    ...{ register: text(c.register), format: c.format ?? blank.format, topic: c.topic ?? '', path: c.path ?? '' },
    ...{ timePath: c.timePath ?? '', scale: text(c.scale), offset: text(c.offset), unit: c.unit ?? '' },
    ...{ reference: c.reference ?? 'absolute', gauge: c.gauge ?? 'capacitance', onAbove: text(c.onAbove) },
    ...{ believedFrom: pressure(c.believedFromPa), believedTo: pressure(c.believedToPa) },
  };
}

const NUMBER = 'Right would be a number, such as 0.5.';
const PRESSURE = 'Right would be a pressure above nothing, such as 0.01 Pa.';

/** A channel of what is typed, or what is wrong with it, by field. */
export function channelOf(v: TypedChannel, talks: InstrumentTalk, pressureUnit: string): ChannelRead {
  const issues: Partial<Record<ChannelField, string>> = {};
  const figure = (field: 'scale' | 'offset' | 'onAbove'): number | null => {
    if (v[field].trim() === '') return null;
    const read = typedNumber(v[field], { min: -1e9, max: 1e9 });
    if (!read.ok) issues[field] = NUMBER;
    return read.ok ? read.value : null;
  };
  const pressure = (field: 'believedFrom' | 'believedTo'): number | null => {
    if (v[field].trim() === '') return null;
    const of = { text: v[field], dimension: 'pressure', defaultUnit: pressureUnit, min: 1e-8, max: 200_000 } as const;
    const read = typedQuantity(of);
    if (!read.ok) issues[field] = PRESSURE;
    return read.ok ? read.value : null;
  };
  const channel: InstrumentChannel = {
    key: v.key,
    means: v.means,
    ...where(v, talks, issues),
    ...said({ scale: figure('scale'), offset: figure('offset') }),
    ...(v.means === 'pressure'
      ? {
          ...(v.unit ? { unit: v.unit } : {}),
          ...(v.reference === 'absolute' ? {} : { reference: v.reference }),
          ...said({ believedFromPa: pressure('believedFrom'), believedToPa: pressure('believedTo') }),
          gauge: v.gauge,
        }
      : v.means === 'cycles'
        ? {}
        : said({ onAbove: figure('onAbove') })),
  };
  const { believedFromPa, believedToPa } = channel;
  if ((believedFromPa ?? 0) >= (believedToPa ?? Infinity))
    issues.believedTo = 'Right would be more than the lower limit.';
  return Object.keys(issues).length > 0 ? { ok: false, issues } : { ok: true, channel };
}

/** Where in what comes it stands, by how the instrument speaks. */
function where(
  v: TypedChannel,
  talks: InstrumentTalk,
  issues: Partial<Record<ChannelField, string>>,
): Partial<InstrumentChannel> {
  if (talks === 'lines') {
    if (!readPattern(v.pattern).ok || v.pattern.length > 200)
      issues.pattern = 'Right would be words as they stand in the line, with {value} once: P1 {value} {unit}.';
    return { pattern: v.pattern.trim() };
  }
  if (talks === 'modbus') {
    const register = typedNumber(v.register, { min: 0, max: 65_534 });
    if (!register.ok || !Number.isInteger(register.value))
      issues.register = 'Right would be a whole number from 0 to 65534.';
    const isBit = v.table === 'coil' || v.table === 'discrete';
    const format = isBit ? 'bit' : v.format === 'bit' ? 'uint16' : v.format;
    return { table: v.table, register: register.ok ? register.value : 0, format };
  }
  if (v.topic.trim() === '') issues.topic = 'Right would be the topic that its broker sends it under.';
  return {
    topic: v.topic.trim(),
    ...(v.path.trim() ? { path: v.path.trim() } : {}),
    ...(v.timePath.trim() ? { timePath: v.timePath.trim() } : {}),
  };
}

const said = <T extends Readonly<Record<string, number | null>>>(of: T): Partial<Record<keyof T, number>> =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== null)) as Partial<Record<keyof T, number>>;
