import type { InstrumentTrouble, LostReason } from '@winter-jar/contracts';
import type { Instrument, RawReading } from '@winter-jar/core';

/** What an adapter tells of an instrument. */
export interface Hearing {
  /** The line stands. */
  up(): void;
  raw(reading: RawReading): void;
  trouble(code: InstrumentTrouble, found: string): void;
  /** The line is gone; the adapter does nothing more. */
  down(reason: LostReason): void;
}

/**
 * Listens to one instrument until it is stopped or the line is gone; whoever started it starts it anew.
 * @returns what ends it; nothing is told afterwards
 */
export type Adapter = (instrument: Instrument, password: string | null, hearing: Hearing) => () => void;

export const DIAL_MS = 10_000;

/** More than so much in a second is no instrument. */
export const MOST_PER_SECOND = 200;
export const MOST_BYTES_PER_SECOND = 64 * 1024;

const REASONS: Readonly<Record<string, LostReason>> = {
  ECONNREFUSED: 'refused',
  ENOTFOUND: 'unknownName',
  EAI_AGAIN: 'unknownName',
  ETIMEDOUT: 'noAnswer',
  EHOSTUNREACH: 'unreachable',
  ENETUNREACH: 'unreachable',
  ECONNRESET: 'closed',
  EPIPE: 'closed',
};
/** Why a line is gone, of an error of Node's. */
export function lostReason(error: unknown): LostReason {
  const { code, errno } = error as { code?: unknown; errno?: unknown };
  return REASONS[String(code)] ?? REASONS[String(errno)] ?? 'failed';
}
