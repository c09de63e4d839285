import type { LogSettings } from '../journal/index.js';
import { gaugeLogReader, type LogRead, type Understood } from './log-reader.js';

export interface GaugePoint {
  /** Since the first reading. */
  readonly s: number;
  /** Absolute pressure. */
  readonly pa: number;
}

export type GaugeLog =
  | {
      readonly ok: true;
      readonly points: readonly GaugePoint[];
      readonly startedAt: string | null;
      readonly understood: Understood & { readonly name: string | null };
    }
  | Extract<LogRead, { ok: false }>;

/**
 * A small gauge log as points; a long one is read by `gaugeLogReader` into typed columns.
 * @param input.text as it came out of the gauge
 * @param input.name of its file, to be told with it
 * @returns points with s from 0, only rising, and absolute Pa; what was understood, to be shown; or why it cannot be read. Never throws on
 *   what stands in a text
 */
export function readGaugeLog({ text, name, ...said }: { text: string; name?: string } & LogSettings): GaugeLog {
  const reader = gaugeLogReader(said);
  reader.push(text);
  const read = reader.end();
  if (!read.ok) return read;
  const { s, pa, startedAt, understood } = read;
  const points = Array.from(s, (at, i) => ({ s: at, pa: pa[i] ?? 0 }));
  return { ok: true, points, startedAt, understood: { ...understood, name: name ?? null } };
}
