import type { Entry, Instrument, RawReading, ReadingIssueCode, UsualMaterial } from '@winter-jar/core';

/**
 * How it stands with an instrument. `notConnected`: nobody has said that it may be listened to, at this address; `silent`: the line
 * stands and nothing comes; `lost`: there is no line, and it is tried again.
 */
export const INSTRUMENT_STATES = ['notConnected', 'connecting', 'live', 'silent', 'lost'] as const;
export type InstrumentState = (typeof INSTRUMENT_STATES)[number];

export const LOST_REASONS = [
  'refused',
  'unknownName',
  'noAnswer',
  'unreachable',
  'closed',
  'notLetIn',
  'flood',
  'failed',
] as const;
export type LostReason = (typeof LOST_REASONS)[number];

/** What is wrong with what comes, while it comes. */
export const INSTRUMENT_TROUBLES = [
  'tooMany',
  'lineTooLong',
  'messageTooLong',
  'registerRefused',
  'clockWrong',
] as const;
export type InstrumentTrouble = (typeof INSTRUMENT_TROUBLES)[number];

export interface ChannelNow {
  readonly key: string;
  /** The last that was believed; null while there is none. */
  readonly atMs: number | null;
  readonly value: number | null;
  /** What was wrong with the last that came, where it was not believed. */
  readonly issue: { readonly code: ReadingIssueCode; readonly found: string; readonly atMs: number } | null;
}

export interface InstrumentStatus {
  readonly state: InstrumentState;
  /** Of this state; of a silent or lost one when it was last heard. Null where it never was. */
  readonly sinceMs: number | null;
  readonly reason: LostReason | null;
  readonly trouble: { readonly code: InstrumentTrouble; readonly found: string; readonly atMs: number } | null;
  readonly perSecond: number;
  /** The last things that came, the newest first. */
  readonly raw: readonly { readonly atMs: number; readonly raw: RawReading }[];
  readonly channels: readonly ChannelNow[];
}

export interface InstrumentNow {
  readonly id: string;
  readonly instrument: Instrument;
  readonly hasPassword: boolean;
  readonly status: InstrumentStatus;
}

export interface InstrumentsAnswer {
  readonly nowMs: number;
  readonly instruments: readonly InstrumentNow[];
}

/** Readings of one channel between two moments, of each stretch its lowest and its highest where there are more than asked. */
export interface ReadingsAnswer {
  readonly key: string;
  readonly fromMs: number;
  readonly toMs: number;
  /** Of all, before they were thinned. */
  readonly count: number;
  readonly atMs: readonly number[];
  readonly value: readonly number[];
}

/** What goes over the stream of one instrument. */
export interface ReadingsSent {
  readonly readings: Readonly<Record<string, readonly (readonly [atMs: number, value: number])[]>>;
}

/** May be listened to, at the address that its record says. */
export interface InstrumentConnect {
  /** Of its broker; null keeps the one that is known. It stays with the server and leaves in no file. */
  readonly password?: string | null;
}

/** Readings to be kept as a gauge log. */
export interface ReadingsRecord {
  readonly key: string;
  readonly fromMs: number;
  readonly toMs: number;
}

export interface ReadingsRecorded {
  readonly logId: string;
  readonly bytes: number;
  readonly name: string;
  readonly readings: number;
}

/** A run of which nobody has said what went in. */
export interface UntoldRun {
  readonly pumpId: string;
  readonly equipmentId: string;
  readonly zone: string;
  readonly entry: Extract<Entry, { kind: 'run' }>;
  /** By the habit of its equipment; null where nothing is known of it. */
  readonly usual: UsualMaterial | null;
}

export interface UntoldAnswer {
  readonly at: string;
  /** The newest first. */
  readonly runs: readonly UntoldRun[];
}
