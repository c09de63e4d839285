import type { DecimalMark, LogSettings, Separator } from '../journal/index.js';
import { clockSeconds, offsetBehind } from './log-clock.js';
import { decimalOf, readCell } from './log-number.js';
import { cellsOf, isComment } from './row-cells.js';
import { daySeconds, splitDayAndClock } from './stamp.js';

export type CellKind = 'number' | 'dayAndClock' | 'day' | 'clock' | 'word' | 'blank';

const isClock = (text: string): boolean =>
  !Number.isNaN(clockSeconds(text)) || !Number.isNaN(clockSeconds(offsetBehind(text)?.clock ?? ''));

/** What is longer is neither a time nor a number. */
const LONGEST_CELL = 60;

function kindOf(cell: string, decimal: DecimalMark): CellKind {
  if (cell.length > LONGEST_CELL) return 'word';
  if (isClock(cell)) return 'clock';
  const split = splitDayAndClock(cell);
  if (split && isClock(split[1]) && !Number.isNaN(daySeconds(split[0], 'dayFirst'))) return 'dayAndClock';
  if (/^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}$|\p{L}/u.test(cell) && !Number.isNaN(daySeconds(cell, 'dayFirst')))
    return 'day';
  const read = readCell(cell, decimal);
  if (read.ok) return 'number';
  return read.why === 'blank' ? 'blank' : 'word';
}

function commonest<T>(values: readonly T[]): T | undefined {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

export interface Rows {
  readonly separator: Separator;
  readonly decimal: DecimalMark;
  readonly sureOfDecimal: boolean;
  /** Rows of readings alone, all with as many cells. */
  readonly rows: readonly (readonly string[])[];
  readonly kinds: readonly CellKind[];
  /** Lines that stand above them, comments without their marks among them. */
  readonly above: readonly string[];
}

const MOST_ABOVE = 60;

/** The lines as rows, if this parts their cells. */
export function rowsBy(lines: readonly string[], separator: Separator, said: LogSettings): Rows | null {
  const split = lines.map((line) => (isComment(line) ? [] : cellsOf(line, separator)));
  const told = said.decimal ?? (separator === ',' ? '.' : decimalOf(split.flat()));
  // Lists have semicolons where the comma is taken.
  const decimal = told ?? (separator === ';' ? ',' : '.');
  const kinds = split.map((cells) => cells.map((cell) => kindOf(cell, decimal)));
  const isReading = (i: number) => (kinds[i] ?? []).includes('number');
  const cells = commonest(split.flatMap((row, i) => (isReading(i) ? [row.length] : [])));
  if (cells === undefined) return null;
  const found = lines.flatMap((_, i) => (isReading(i) && split[i]?.length === cells ? [i] : []));
  // A heading such as "Channel;1" has a number too: readings are what most rows look like.
  const shape = commonest(found.map((i) => shapeOf(kinds[i] ?? [])));
  const rows = found.filter((i) => shapeOf(kinds[i] ?? []) === shape);
  const first = rows[0] ?? 0;
  return {
    separator,
    decimal,
    sureOfDecimal: told !== null,
    rows: rows.map((i) => split[i] ?? []),
    kinds: Array.from({ length: cells }, (_, c) => commonest(rows.map((i) => kinds[i]?.[c] ?? 'blank')) ?? 'blank'),
    above: lines.slice(Math.max(0, first - MOST_ABOVE), first),
  };
}

/** Error words and gaps make no other shape. */
const shapeOf = (kinds: readonly CellKind[]): string =>
  kinds.map((k) => (k === 'number' || k === 'word' || k === 'blank' ? 'n' : k)).join(' ');

/** Words above each column: of the last line above with as many cells, and of the one above it where both are words. */
export function headings({ above, separator, kinds, decimal }: Rows): { columns: string[]; text: string } {
  const bare = above.map((line) => line.replace(/^\s*(?:#|%|!|\*|\/\/|--)+\s*/, ''));
  const text = bare.slice(-3).join(' \u00b7 ');
  const wordsOf = (line: string | undefined): string[] | null => {
    if (line === undefined) return null;
    const cells = cellsOf(line, separator);
    const words = cells.filter((c) => c !== '' && kindOf(c, decimal) === 'word');
    return cells.length >= kinds.length && words.length > 0 && words.length >= cells.filter((c) => c !== '').length
      ? cells
      : null;
  };
  const last = wordsOf(bare.at(-1));
  if (!last) return { columns: [], text };
  const before = wordsOf(bare.at(-2));
  const isUnits = before !== null && last.some((c) => /^[[(]?[a-zµμ°%"/]{1,7}[\])]?$/i.test(c)) && kinds.length > 1;
  const columns = kinds.map((_, i) => [isUnits ? before[i] : '', last[i]].filter((w) => w).join(' '));
  return { columns, text };
}

/** A number that only counts the rows. */
export const INDEX_WORDS = /^(?:#|no\.?|nr\.?|n°|index|idx|sample|row|record|entry|id|messung)$/i;
