import { SEPARATORS, type LogSettings } from '../journal/index.js';
import type { LogDoubt, LogLayout } from './log-layout.js';
import { readCell } from './log-number.js';
import { unitByAmbient } from './pressure-unit.js';
import { pressuresOf, referenceOf, unitOfColumn } from './sniff-pressure.js';
import { headings, rowsBy } from './sniff-rows.js';
import { timeOf } from './sniff-time.js';

/**
 * How a log is laid out, from its first lines and from what a person says.
 * @returns null where no row of it holds a number
 */
export function sniffLog(lines: readonly string[], said: LogSettings): LogLayout | null {
  const candidates = (said.separator ? [said.separator] : SEPARATORS).flatMap((separator) => {
    const rows = rowsBy(lines, separator, said);
    if (!rows) return [];
    const { columns, text } = headings(rows);
    const time = timeOf(rows, columns, text, said);
    const pressures = pressuresOf(rows, columns, time);
    if (pressures.length === 0) return [];
    return [
      {
        rows,
        columns,
        text,
        time,
        pressures,
        score: rows.rows.length * (time === null ? 1 : time.form === 'elapsed' ? 2 : 3),
      },
    ];
  });
  const best = candidates.reduce<(typeof candidates)[number] | null>((a, b) => (a && a.score >= b.score ? a : b), null);
  if (!best) return null;
  const { rows, columns, text, time, pressures } = best;
  const pressureColumn = said.pressureColumn ?? pressures[0] ?? 0;
  const values = rows.rows.flatMap((row) => {
    const read = readCell(row[pressureColumn] ?? '', rows.decimal);
    return read.ok ? [read.value] : [];
  });
  const told = unitOfColumn(rows, columns, pressureColumn, text);
  const guessed = told ? null : unitByAmbient(Math.max(0, ...values));
  const from = referenceOf(told, values);
  const doubts: LogDoubt[] = [
    ...(time?.doubts ?? []),
    ...(time === null && said.stepS === undefined ? (['step'] as const) : []),
    ...(rows.sureOfDecimal ? [] : (['decimal'] as const)),
    ...(guessed && !said.unit ? (['unitByAmbient'] as const) : []),
    ...(!from.sure && !said.reference ? (['reference'] as const) : []),
  ];
  return {
    separator: rows.separator,
    decimal: rows.decimal,
    cells: rows.kinds.length,
    columns,
    time,
    pressureColumn,
    pressureColumns: pressures,
    unit: said.unit ?? told?.unit ?? guessed,
    reference: said.reference ?? from.reference,
    doubts,
  };
}
