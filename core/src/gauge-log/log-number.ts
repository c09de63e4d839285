import type { DecimalMark } from '../journal/index.js';

/** Why a cell holds no reading. */
export type NoReading = 'blank' | 'over' | 'under' | 'word';

export type CellRead = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly why: NoReading };

const OVER = /^[>+]|\bo[\s.]?(?:r|l|f|v|vr)\b|over|ovr|high|hi\b|max|atm/i;
const UNDER = /^<|\bu[\s.]?(?:r|l)\b|under|low\b|lo\b/i;
const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i;
/** A unit may stand behind it. */
const BEHIND = /^([+-]?[\d.,' ]*\d(?:\s?[eE][+-]?\d+)?)\s*[a-zA-Zµμ%"°].*$/;

/** With its unit behind it. */
const LONGEST_NUMBER = 60;

const plainOf = (cell: string, decimal: DecimalMark): string =>
  decimal === ','
    ? cell.replace(/[.' \u00a0\u202f](?=\d{3}(?!\d))/g, '').replace(',', '.')
    : cell.replace(/[,' \u00a0\u202f](?=\d{3}(?!\d))/g, '');

/** The number of one cell of a log, or why there is none. */
export function readCell(cell: string, decimal: DecimalMark): CellRead {
  // The common case first: a plain number as the language itself reads it.
  const quick = decimal === '.' ? Number(cell) : NaN;
  if (!Number.isNaN(quick) && cell.trim() !== '')
    return Number.isFinite(quick) ? { ok: true, value: quick } : { ok: false, why: 'word' };
  const text = cell.trim();
  if (text.length > LONGEST_NUMBER) return { ok: false, why: 'word' };
  if (text === '' || /^[-–—_.*#]+$/.test(text)) return { ok: false, why: 'blank' };
  const plain = plainOf(text, decimal).replace(/[−–]/, '-');
  if (NUMBER.test(plain)) return { ok: true, value: Number(plain) };
  if (OVER.test(text)) return { ok: false, why: 'over' };
  if (UNDER.test(text)) return { ok: false, why: 'under' };
  const number = BEHIND.exec(text)?.[1];
  const behind = number === undefined ? '' : plainOf(number.replace(/\s/g, ''), decimal);
  return NUMBER.test(behind) ? { ok: true, value: Number(behind) } : { ok: false, why: 'word' };
}

const WITH_COMMA = /^[+-]?(?:\d{1,3}(?:\.\d{3})+|\d*),\d+(?:e[+-]?\d+)?$/i;
const WITH_POINT = /^[+-]?(?:\d{1,3}(?:,\d{3})+|\d*)\.\d+(?:e[+-]?\d+)?$/i;
const GROUPED = /^[+-]?[1-9]\d{0,2}(?:,\d{3})+$/;

/**
 * Which mark the numbers of these cells have: a comma where one has a comma that parts no thousands.
 * @returns null where every comma may part thousands
 */
export function decimalOf(cells: readonly string[]): DecimalMark | null {
  const comma = cells.filter((c) => WITH_COMMA.test(c.trim()));
  const grouped = comma.filter((c) => GROUPED.test(c.trim()));
  const point = cells.filter((c) => WITH_POINT.test(c.trim()));
  if (comma.length === 0 || point.length >= comma.length) return '.';
  return comma.length > grouped.length ? ',' : null;
}
