import type { PressureReference } from '../journal/index.js';
import type { TimeLayout } from './log-layout.js';
import { readCell } from './log-number.js';
import { pressureUnitIn, type PressureUnit } from './pressure-unit.js';
import { INDEX_WORDS, type Rows } from './sniff-rows.js';

const PRESSURE_WORDS =
  /press|druck|vac|vak|vuoto|vide|pirani|capacit|gauge|sensor|channel|kanal|\bch\d*\b|\bp\d*\b|\bpr\d*\b/i;
const OTHER_WORDS =
  /temp(?!o\b|s\b)|°c|°f|humid|feucht|volt|\bv\b|\bma\b|amp|current|status|state|flow|\bhz\b|rpm|batter|signal/i;

/** Columns that may be a pressure, the likeliest first. */
export function pressuresOf(
  { kinds, rows, decimal }: Rows,
  columns: readonly string[],
  time: TimeLayout | null,
): number[] {
  const timeColumns = time === null ? [] : [time.column, ...(time.form === 'dayThenClock' ? [time.column + 1] : [])];
  const score = (c: number): number => {
    const words = columns[c] ?? '';
    const values = new Set(rows.map((row) => row[c]));
    return (
      (pressureUnitIn(words) ? 4 : 0) +
      (PRESSURE_WORDS.test(words) ? 2 : 0) +
      (rows.some((row) => pressureUnitIn(row[c] ?? '')) ? 4 : 0) +
      (values.size > 1 ? 1 : 0) -
      (OTHER_WORDS.test(words) ? 6 : 0) -
      (INDEX_WORDS.test(words.trim()) ? 6 : 0)
    );
  };
  return kinds
    .flatMap((kind, c) => {
      const holds = kind === 'number' || (kind === 'word' && rows.some((r) => readCell(r[c] ?? '', decimal).ok));
      return holds && !timeColumns.includes(c) ? [{ c, score: score(c) }] : [];
    })
    .sort((a, b) => b.score - a.score || a.c - b.c)
    .map(({ c }) => c);
}

/** The unit of a column: said above it, in its cells, in a cell beside it, or anywhere above. */
export function unitOfColumn(of: Rows, columns: readonly string[], column: number, text: string): PressureUnit | null {
  const first = of.rows[0] ?? [];
  const beside = [first[column + 1] ?? '', first[column - 1] ?? ''].filter((c) => !/\d/.test(c));
  return (
    pressureUnitIn(columns[column] ?? '') ??
    pressureUnitIn(first[column]?.replace(/^[\d.,eE+\s-]+/, '') ?? '') ??
    beside.map(pressureUnitIn).find((u) => u !== null) ??
    pressureUnitIn(text) ??
    of.above.map(pressureUnitIn).findLast((u) => u !== null) ??
    null
  );
}

/** What its readings count from. */
export function referenceOf(
  unit: PressureUnit | null,
  values: readonly number[],
): { reference: PressureReference; sure: boolean } {
  const below = values.filter((v) => v < 0).length > values.length / 2;
  const said = unit?.reference ?? 'absolute';
  // Less than nothing is no absolute pressure: it counts from the air around.
  if (below && said !== 'gauge') return { reference: 'gauge', sure: true };
  return { reference: said, sure: unit?.sure ?? true };
}
