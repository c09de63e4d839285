import type { FieldIssue } from '@winter-jar/contracts';
import Papa from 'papaparse';

/** One row as it was typed, by the name of its column. */
export type Row = Readonly<Record<string, string | undefined>>;

export interface Columns {
  /** In the order of an export. */
  readonly all: readonly string[];
  readonly required: readonly string[];
  /** Cells that a person types freely: a spreadsheet might run them as a formula. */
  readonly freeText: readonly string[];
}

const FORMULA = /^[=+\-@]/;
const NUMBER = /^-?\d+(\.\d+)?(e-?\d+)?$/i;

/** A cell that a spreadsheet would run as a formula is written with a leading apostrophe; reading takes it off again. */
const escapeCell = (text: string): string => (FORMULA.test(text) || text.startsWith("'") ? `'${text}` : text);
/** A cell as it was typed, made harmless: what is escaped already, or a number, stays. */
export const escapeFormula = (typed: string): string =>
  FORMULA.test(typed) && !NUMBER.test(typed) ? `'${typed}` : typed;
const unescapeCell = (text: string): string => (text.startsWith("'") ? text.slice(1) : text);

export const bad = (field: string, value: unknown, code: string, right: string): FieldIssue => ({
  field,
  value,
  code,
  right,
});

type Cell = string | number | null | undefined;

const CRLF = '\r\n';
const ROWS_AT_ONCE = 500;

/** A CSV file (UTF-8, header line, CRLF), in parts. */
export function* writeTable(columns: Columns, rows: Iterable<Readonly<Record<string, Cell>>>): Generator<string> {
  const isFree = columns.all.map((c) => columns.freeText.includes(c));
  let waiting: Cell[][] = [[...columns.all]];
  const part = () => Papa.unparse(waiting, { newline: CRLF }) + CRLF;
  for (const row of rows) {
    waiting.push(columns.all.map((c, i) => (isFree[i] ? escapeCell(String(row[c] ?? '')) : (row[c] ?? ''))));
    if (waiting.length < ROWS_AT_ONCE) continue;
    yield part();
    waiting = [];
  }
  if (waiting.length > 0) yield part();
}

type Named = Readonly<Record<string, { readonly name: string }>>;

/** Ids by name, where only one record bears it; gathered once for records that many rows name. */
const idsByName = new WeakMap<Named, ReadonlyMap<string, string | null>>();

function namesOf(records: Named): ReadonlyMap<string, string | null> {
  let names = idsByName.get(records);
  if (!names) {
    const gathered = new Map<string, string | null>();
    for (const [id, { name }] of Object.entries(records)) gathered.set(name, gathered.has(name) ? null : id);
    idsByName.set(records, (names = gathered));
  }
  return names;
}

/** Finds a record by id, else by its name when only one bears it. */
const idOf = (records: Named, text: string): string | null =>
  Object.hasOwn(records, text) ? text : (namesOf(records).get(text) ?? null);

/** Date takes 30 February for 2 March: where the day exists, the clock on the wall there shows it again. */
function isDayThatExists(cell: string): boolean {
  const ms = Date.parse(cell);
  if (Number.isNaN(ms)) return false;
  const [, sign, hours, minutes] = /([+-])(\d\d):?(\d\d)$/.exec(cell) ?? [];
  const offset = sign ? (Number(hours) * 60 + Number(minutes)) * (sign === '-' ? -1 : 1) : 0;
  return new Date(ms + offset * 60_000).toISOString().startsWith(cell.slice(0, 10));
}

/** Reads the cells of one row and gathers what is wrong with them, each under its column. */
export function cellReader(row: Row, columns: Columns) {
  const issues: FieldIssue[] = [];
  const text = (column: string): string => {
    const cell = (row[column] ?? '').trim();
    return columns.freeText.includes(column) ? unescapeCell(cell) : cell;
  };
  return {
    issues,
    text,
    refuse: (column: string, value: unknown, code: string, right: string) => {
      issues.push(bad(column, value, code, right));
    },
    number(column: string, right: string): number | null {
      const cell = text(column);
      if (cell === '') return null;
      if (NUMBER.test(cell)) return Number(cell);
      issues.push(bad(column, cell, 'notANumber', right));
      return null;
    },
    /** A number that must be there. */
    needed(column: string, right: string): number | null {
      if (text(column) === '') issues.push(bad(column, '', 'missing', right));
      return this.number(column, right);
    },
    instant(column: string): string | null {
      const cell = text(column);
      if (cell === '') return null;
      if (/T\d\d:\d\d.*(Z|[+-]\d\d:?\d\d)$/.test(cell) && isDayThatExists(cell)) return new Date(cell).toISOString();
      issues.push(bad(column, cell, 'notAnInstant', 'a date and time with its offset, such as 2031-03-09T14:05+01:00'));
      return null;
    },
    known(column: string, cell: string, records: Named, what: string): string | null {
      const id = idOf(records, cell);
      if (!id) issues.push(bad(column, cell, 'unknownId', `the id or the name of ${what} in the set-up`));
      return id;
    },
    yes(column: string): boolean {
      const cell = text(column).toLowerCase();
      if (cell !== '' && cell !== 'yes' && cell !== 'no')
        issues.push(bad(column, cell, 'notRight', 'yes, no or empty'));
      return cell === 'yes';
    },
  };
}
export type CellReader = ReturnType<typeof cellReader>;
