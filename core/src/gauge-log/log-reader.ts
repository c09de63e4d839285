import { instantOfLocal, type LogSettings } from '../journal/index.js';
import type { LogDoubt, LogLayout } from './log-layout.js';
import { readCell, type NoReading } from './log-number.js';
import { LogSeries, type LogGap, type Series } from './log-series.js';
import { absolutePa, ambientAtPa } from './pressure-unit.js';
import { cellsOf, isComment } from './row-cells.js';
import { sniffLog } from './sniff-log.js';
import { stampReader } from './stamp.js';

/** Why a row of readings is left out. */
export type LeftOut = NoReading | 'noTime' | 'belowZero' | 'tooHigh';

export interface LeftOutRow {
  /** From 1. */
  readonly line: number;
  readonly text: string;
  readonly why: LeftOut;
}

/** What was understood of a log. */
export interface Understood extends LogLayout {
  readonly rows: number;
  readonly points: number;
  readonly leftOut: Readonly<Partial<Record<LeftOut, number>>>;
  /** The first of them. */
  readonly leftOutRows: readonly LeftOutRow[];
  readonly gaps: readonly LogGap[];
  readonly backward: number;
  readonly repeated: number;
  readonly setBack: number;
}

/** Why a log cannot be read as it is. */
export type LogIssueCode = 'empty' | 'noReadings' | 'unitUnknown' | 'timeUnknown' | 'tooFew' | 'lineTooLong' | 'noText';

export type LogRead =
  | {
      readonly ok: true;
      readonly s: Float64Array;
      readonly pa: Float64Array;
      /** ISO 8601 UTC; null where nothing says it. */
      readonly startedAt: string | null;
      readonly understood: Understood;
    }
  | {
      readonly ok: false;
      readonly issue: { readonly code: LogIssueCode; readonly line: number | null };
      /** As far as it was understood. */
      readonly layout: LogLayout | null;
    };

export interface LogReader {
  /** The next piece of the text, cut anywhere. */
  readonly push: (text: string) => void;
  readonly end: () => LogRead;
}

const LINES_SNIFFED = 400;
const LONGEST_LINE = 20_000;
const ROWS_SHOWN = 5;
const TEXT_SHOWN = 120;
/** Over twice the air around: an error value, no vacuum gauge reads it. */
const HIGHEST_PA = 250_000;
const LINE_END = /\r\n|\n|\r/;
const HALF_OF_DAY = /^[ap]\.?m\.?$/i;
const SEA_LEVEL_PA = 101_325;

/** The air around the gauge, said or taken for granted. */
const ambientOf = ({ ambientPa, altitudeM }: LogSettings): number =>
  ambientPa ?? (altitudeM === undefined ? SEA_LEVEL_PA : ambientAtPa({ altitudeM }));

/**
 * Reads a gauge log piece by piece into typed columns. What it does not say is understood from its first 400 lines.
 * @param said what a person knows better
 * @throws RangeError on an altitude outside −500 to 9000 m
 */
export function gaugeLogReader(said: LogSettings = {}): LogReader {
  const ambientPa = ambientOf(said);
  const series = new LogSeries();
  const leftOut: Partial<Record<LeftOut, number>> = {};
  const leftOutRows: LeftOutRow[] = [];
  let layout: LogLayout | null = null;
  let takes: ((line: string) => void) | null = null;
  let first: string[] = [];
  let rest = '';
  let lines = 0;
  let rows = 0;
  let tooLong: number | null = null;
  let offsetS: () => number | null = () => null;
  let hasText = false;
  let isBinary = false;

  function miss(why: LeftOut, line: string): void {
    rows += 1;
    leftOut[why] = (leftOut[why] ?? 0) + 1;
    if (leftOutRows.length < ROWS_SHOWN) leftOutRows.push({ line: lines, text: line.slice(0, TEXT_SHOWN), why });
  }

  /** How a row is read, once it is known how the log is laid out. */
  function rowTaker(of: LogLayout): (line: string) => void {
    const { separator, decimal, time, pressureColumn, unit, reference } = of;
    const number = (cell: string): number => {
      const read = readCell(cell, decimal);
      return read.ok ? read.value : NaN;
    };
    const stamps = time ? stampReader({ ...time, number }) : null;
    if (stamps) ({ offsetS } = stamps);
    const clockColumn = time ? time.column + (time.form === 'dayThenClock' ? 1 : 0) : 0;
    return (line) => {
      if (isComment(line)) return;
      const cells = cellsOf(line, separator);
      const behind = cells[clockColumn + 1] ?? '';
      const half = HALF_OF_DAY.test(behind) ? ` ${behind}` : '';
      const stamp =
        stamps && time ? stamps.seconds(cells[time.column] ?? '', (cells[time.column + 1] ?? '') + half) : NaN;
      const s = stamps ? stamp : rows * (said.stepS ?? 1);
      const read = readCell(cells[pressureColumn] ?? '', decimal);
      // A heading that comes again, or a word between two parts: no row.
      if (!read.ok && (Number.isNaN(s) || cells.length < of.cells)) return;
      if (Number.isNaN(s)) return miss('noTime', line);
      if (!read.ok) return miss(read.why, line);
      const pa = unit === null ? read.value : absolutePa({ value: read.value, unit, reference, ambientPa });
      if (!(pa > 0)) return miss('belowZero', line);
      if (pa > HIGHEST_PA && unit !== null) return miss('tooHigh', line);
      rows += 1;
      series.add(s, pa);
    };
  }

  function sniff(): void {
    layout = sniffLog(first, said);
    takes = layout ? rowTaker(layout) : () => undefined;
    const waiting = first;
    first = [];
    lines = 0;
    for (const line of waiting) take(line);
  }

  function take(line: string): void {
    if (takes) {
      lines += 1;
      if (line.trim() !== '') takes(line);
      return;
    }
    first.push(line);
    if (first.length >= LINES_SNIFFED) sniff();
  }

  return {
    push(text) {
      if (tooLong !== null) return;
      const whole = rest + (hasText ? text : text.replace(/^\uFEFF/, ''));
      hasText ||= whole !== '';
      isBinary ||= whole.includes('\u0000');
      const split = whole.split(LINE_END);
      // A line end may be cut in two: what ends with its first half waits.
      rest = split.pop() ?? '';
      if (rest === '' && whole.endsWith('\r')) rest = `${split.pop() ?? ''}\r`;
      if (rest.length > LONGEST_LINE || isBinary) tooLong = lines + first.length + split.length + 1;
      for (const line of split) take(line);
    },
    end() {
      if (rest.trim() !== '') take(rest.replace(/\r$/, ''));
      rest = '';
      if (!takes) sniff();
      const fail = (code: LogIssueCode, line: number | null = null): LogRead => ({
        ok: false,
        issue: { code, line },
        layout,
      });
      if (isBinary) return fail('noText');
      if (tooLong !== null) return fail('lineTooLong', tooLong);
      if (!hasText) return fail('empty');
      if (!layout) return fail('noReadings');
      if (layout.unit === null) return fail('unitUnknown');
      if (layout.time === null && said.stepS === undefined) return fail('timeUnknown');
      const found = series.whole();
      if (found.s.length < 2) return fail('tooFew');
      const start = startOf(layout, found, offsetS(), said);
      const { s, pa, firstS: _, ...counts } = found;
      const doubts = [...layout.doubts, ...start.doubts, ...ambientDoubt(layout, said)];
      return {
        ok: true,
        s,
        pa,
        startedAt: start.at,
        understood: { ...layout, doubts, rows, points: s.length, leftOut, leftOutRows, ...counts },
      };
    },
  };
}

const ambientDoubt = ({ reference }: LogLayout, { ambientPa, altitudeM }: LogSettings): LogDoubt[] =>
  reference !== 'absolute' && ambientPa === undefined && altitudeM === undefined ? ['ambient'] : [];

function startOf(
  { time }: LogLayout,
  { firstS }: Series,
  offsetS: number | null,
  said: LogSettings,
): { at: string | null; doubts: LogDoubt[] } {
  if (said.startedAt !== undefined) return { at: said.startedAt, doubts: [] };
  const saysDay = time !== null && time.form !== 'clock' && time.form !== 'elapsed';
  if (!saysDay) return { at: null, doubts: ['start'] };
  const wallMs = firstS * 1000;
  if (!Number.isFinite(wallMs) || Math.abs(wallMs) > 8e15) return { at: null, doubts: ['start'] };
  if (offsetS !== null) return { at: new Date(wallMs - offsetS * 1000).toISOString(), doubts: [] };
  const zone = said.zone ?? 'UTC';
  return { at: instantOfLocal({ wallMs, zone }), doubts: said.zone === undefined ? ['zone'] : [] };
}
