import type { GaugeKind, LogUnit, PressureReference } from '../journal/index.js';

/** How an instrument speaks: lines of text over TCP, registers over Modbus TCP, messages through a broker (MQTT). */
export const INSTRUMENT_TALKS = ['lines', 'modbus', 'mqtt'] as const;
export type InstrumentTalk = (typeof INSTRUMENT_TALKS)[number];

/** What a channel of an instrument tells. `running`: whether the pump turns; `valveOpen`: to the chamber; `cycles`: a counter. */
export const CHANNEL_MEANINGS = ['pressure', 'running', 'valveOpen', 'cycles'] as const;
export type ChannelMeaning = (typeof CHANNEL_MEANINGS)[number];

export const REGISTER_TABLES = ['holding', 'input', 'coil', 'discrete'] as const;
export type RegisterTable = (typeof REGISTER_TABLES)[number];

/** How the words of registers make a number; `Swapped`: the low word comes first. Coils and discrete inputs are `bit`. */
export const REGISTER_FORMATS = [
  'float32',
  'float32Swapped',
  'uint16',
  'int16',
  'uint32',
  'uint32Swapped',
  'int32',
  'int32Swapped',
  'bit',
] as const;
export type RegisterFormat = (typeof REGISTER_FORMATS)[number];

export interface InstrumentChannel {
  /** Its own within the instrument: its readings are kept by it. */
  readonly key: string;
  readonly means: ChannelMeaning;
  /** Of lines: what a line looks like, with {value}, and {unit} or {time} where it says them, and {*} for what differs. */
  readonly pattern?: string | null;
  /** Of registers. */
  readonly table?: RegisterTable | null;
  readonly register?: number | null;
  readonly format?: RegisterFormat | null;
  /** Of messages: the topic, and where in the message the value and its time stand; no path is the message itself. */
  readonly topic?: string | null;
  readonly path?: string | null;
  readonly timePath?: string | null;
  /** value = sent × scale + offset, before its unit. Missing means 1 and 0. */
  readonly scale?: number | null;
  readonly offset?: number | null;
  /** Of a pressure that says no unit itself, and what it counts from. */
  readonly unit?: LogUnit | null;
  readonly reference?: PressureReference | null;
  readonly gauge?: GaugeKind | null;
  /** A pressure outside is not believed: the gauge shows its end, or nonsense. */
  readonly believedFromPa?: number | null;
  readonly believedToPa?: number | null;
  /** Of what is on or off and sent as a number, a current say: on above it. Missing means 0.5. */
  readonly onAbove?: number | null;
}

/** What each way of speaking cannot do without to find a channel. */
export const CHANNEL_NEEDS: Readonly<Record<InstrumentTalk, readonly (keyof InstrumentChannel)[]>> = {
  lines: ['pattern'],
  modbus: ['table', 'register', 'format'],
  mqtt: ['topic'],
};

/** A gauge or a monitor on the network. Its password, and whether it is listened to, lie with the server alone. */
export interface Instrument {
  readonly name: string;
  readonly equipmentId: string;
  /** The pump that it stands at; runs are counted where it tells whether that one turns. */
  readonly pumpId?: string | null;
  readonly talks: InstrumentTalk;
  readonly host: string;
  readonly port: number;
  /** Of Modbus: 1 to 247. */
  readonly unitId?: number | null;
  /** Of Modbus: how often it is asked. Missing means once a second. */
  readonly everyMs?: number | null;
  /** Of a broker that asks for it. */
  readonly user?: string | null;
  /** Of relative gauges: the height of the place. */
  readonly altitudeM?: number | null;
  /** Of an inlet pressure that tells when a run is on: above it gas flows. Missing follows from the pump’s model. */
  readonly loadAbovePa?: number | null;
  /** A stand-in, no real instrument: the interface says so wherever its readings stand. */
  readonly simulated?: boolean | null;
  readonly channels?: readonly InstrumentChannel[] | null;
}

/** The channel that tells the pressure at an instrument's place; null for none. */
export const pressureChannelOf = ({ channels }: Pick<Instrument, 'channels'>): InstrumentChannel | null =>
  (channels ?? []).find((c) => c.means === 'pressure') ?? null;
