import { findUnit, parseQuantity, unitOf } from '../units/index.js';
import { dayOrderOf, readClock, readDay, readSpan } from './days-typed.js';
import { NOTEBOOK_FIELDS, type NotebookField } from './fields.js';
import { foldText, tightText } from './fold-text.js';
import { kindNamed } from './words-typed.js';

/** Rows of cells as they were typed, each with its line in the file. */
export interface NotebookSheet {
  /** Names of the columns; null where the first line is a row like the others. */
  readonly header: readonly string[] | null;
  readonly rows: readonly NotebookLine[];
}
export interface NotebookLine {
  readonly line: number;
  readonly cells: readonly string[];
}

/** What one column says, and what a number in it without a unit means. */
export interface NotebookColumn {
  readonly field: NotebookField | null;
  /** Symbol of a unit; null where the field is no quantity. */
  readonly unit: string | null;
  /** Neither the heading nor a cell says the unit. */
  readonly isGuess?: boolean;
}

const ALL_FIELDS = Object.keys(NOTEBOOK_FIELDS) as NotebookField[];
const FIELD_OF = new Map(
  ALL_FIELDS.flatMap((field) => NOTEBOOK_FIELDS[field].headings.map((heading) => [heading, field] as const)),
);
const IN_BRACKETS = /[([]([^)\]]+)[)\]]/;
const MOST = 0.6;
const LOOKED_AT = 60;

const LAST_WORD = /\s*\S+$/;

/** What a heading names; a unit may stand behind it. */
function headed(heading: string): NotebookField | null {
  const name = heading.replace(IN_BRACKETS, ' ').trim();
  const last = LAST_WORD.exec(name)?.[0].trim() ?? '';
  const whole = FIELD_OF.get(foldText(name));
  return whole ?? (findUnit(last) ? FIELD_OF.get(foldText(name.replace(LAST_WORD, ''))) : undefined) ?? null;
}

/** The unit that stands in a heading: "Vacuum (mbar)", "Trap °C", "minutes". */
function unitIn(heading: string, dimension: string): string | null {
  const words = heading.replace(/[()[\],/]/g, ' ').split(/\s+/);
  for (const candidate of [IN_BRACKETS.exec(heading)?.[1] ?? '', ...words, heading]) {
    const unit = findUnit(candidate);
    if (unit?.dimension === dimension) return unit.symbol;
  }
  return null;
}

/** Names by which the set-up knows what a column may name. */
export interface KnownNames {
  readonly pump: ReadonlySet<string>;
  readonly material: ReadonlySet<string>;
  readonly equipment: ReadonlySet<string>;
  readonly person: ReadonlySet<string>;
}

const share = (cells: readonly string[], is: (cell: string) => boolean): number =>
  cells.length === 0 ? 0 : cells.filter(is).length / cells.length;

/** "6:30" may be a length or a time of day; "6 h" beside it tells. */
const LENGTH_SAID = /\d\s*(h|hrs?|hours?|std\.?|min|minutes?|d|days?)$/i;
const isDuration = (cell: string): boolean =>
  /[a-z:½¼¾]/i.test(cell) && parseQuantity({ text: cell, dimension: 'duration', defaultUnit: 'h' }).ok;
const isDay = (cell: string, today: string): boolean => readDay(cell, today).read.kind !== 'notADay';

/** Fields that the cells of a column show by themselves. */
function shown(cells: readonly string[], known: KnownNames, today: string): NotebookField | null {
  const names = (of: ReadonlySet<string>) => (cell: string) => of.has(tightText(cell));
  const saysALength = cells.some((cell) => LENGTH_SAID.test(cell));
  const signs: readonly [NotebookField, (cell: string) => boolean][] = [
    ['date', (cell) => isDay(cell, today)],
    ['pump', names(known.pump)],
    ['material', names(known.material)],
    ['equipment', names(known.equipment)],
    ['who', names(known.person)],
    ['what', (cell) => kindNamed(cell) !== null],
    ['length', (cell) => saysALength && isDuration(cell)],
    ['time', (cell) => readSpan(cell) !== null],
    ['remark', (cell) => cell.split(/\s+/).length > 2],
  ];
  return signs.find(([, is]) => share(cells, is) >= MOST)?.[0] ?? null;
}

/** A heading that its own cells speak against: "time" over lengths, "load" over weights or goods, "look" over sentences. */
function mended(field: NotebookField, cells: readonly string[]): NotebookField {
  const clock = share(cells, (cell) => readClock(cell) !== null || readSpan(cell) !== null);
  const hasNumbers = share(cells, (cell) => /^[\d.,]+\s*(kg|g|lbs?)?$/i.test(cell)) >= MOST;
  if (field === 'time' && clock < MOST && share(cells, (cell) => isDuration(cell) || /^[\d.,]+$/.test(cell)) >= MOST)
    return 'length';
  if (field === 'loadKg' && !hasNumbers) return 'material';
  if (field === 'material' && cells.length > 0 && hasNumbers) return 'loadKg';
  return field;
}

/** Whether the first line names the columns: it has no day, and names at least one field. */
function isHeader(cells: readonly string[], today: string): boolean {
  return cells.some((cell) => headed(cell) !== null) && !cells.some((cell) => isDay(cell, today));
}

/**
 * Parts the lines of a file into the names of its columns and its rows; empty lines are left out.
 * @param today "2031-04-20"
 */
export function sheetOf(lines: readonly (readonly string[])[], today: string): NotebookSheet {
  const filled = lines
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some(Boolean));
  // A title or two may stand above the names of the columns.
  const at = filled.slice(0, 5).findIndex(({ cells }) => isHeader(cells, today));
  return at < 0 ? { header: null, rows: filled } : { header: filled[at]?.cells ?? null, rows: filled.slice(at + 1) };
}

/** What a number in a column of lengths means where nothing says it: more than two days of hours are minutes. */
const LONG_HOURS = 72;
function lengthUnit(cells: readonly string[]): string {
  const plain = cells.map(Number).filter((n) => Number.isFinite(n) && n > 0);
  return plain.length > 0 && plain.filter((n) => n > LONG_HOURS).length > plain.length / 2 ? 'min' : 'h';
}

/** A volume of at most so much without a unit is litres. */
const FEW_LITRES = 20;

function unitOfColumn(
  field: NotebookField,
  heading: string,
  cells: readonly string[],
  preferred: Units,
): string | null {
  const { quantity } = NOTEBOOK_FIELDS[field];
  if (!quantity) return null;
  const said = unitIn(heading, quantity.dimension);
  if (said) return said;
  const written = unitInCells(cells, quantity.dimension);
  if (written) return written;
  if (field === 'length') return lengthUnit(cells);
  if (field === 'meter') return quantity.unit;
  if (quantity.dimension === 'volume') {
    const plain = cells.map(Number).filter((n) => Number.isFinite(n) && n > 0);
    return plain.length > 0 && plain.every((n) => n <= FEW_LITRES) ? 'L' : quantity.unit;
  }
  return preferred[quantity.dimension] ?? quantity.unit;
}

/** The unit that is written most often behind the numbers of a column: the others are meant in it too. */
function unitInCells(cells: readonly string[], dimension: string): string | null {
  const counts = new Map<string, number>();
  for (const cell of cells) {
    const unit = findUnit(cell.replace(/^[\d\s.,+−-]+/, ''));
    if (unit?.dimension === dimension) counts.set(unit.symbol, (counts.get(unit.symbol) ?? 0) + 1);
  }
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}

/** Somewhere over or in the column a unit of its kind is written. */
function saysUnit(heading: string, cells: readonly string[], symbol: string): boolean {
  const { dimension } = unitOf(symbol);
  return unitIn(heading, dimension) !== null || unitInCells(cells, dimension) !== null;
}

/** Units that this device shows, by dimension. */
export type Units = Readonly<Partial<Record<string, string>>>;

/**
 * What each column of a sheet says: by the word over it, else by what stands in it.
 * @param preferred units that a number without one means, where nothing in the sheet says it
 */
export function guessColumns(
  sheet: NotebookSheet,
  { known, today, preferred = {} }: { known: KnownNames; today: string; preferred?: Units },
): NotebookColumn[] {
  const width = Math.max(0, sheet.header?.length ?? 0, ...sheet.rows.map(({ cells }) => cells.length));
  const taken = new Set<NotebookField>();
  const take = (field: NotebookField | null): NotebookField | null => {
    if (field === null || (field !== 'remark' && taken.has(field))) return null;
    taken.add(field);
    return field;
  };
  const columns = Array.from({ length: width }, (_, i) => {
    const cells = sheet.rows.slice(0, LOOKED_AT).flatMap(({ cells }) => cells[i] || []);
    return { heading: sheet.header?.[i] ?? '', cells };
  });
  const byWord = columns.map(({ heading, cells }) => {
    const field = headed(heading);
    return take(field && mended(field, cells));
  });
  return columns.map(({ heading, cells }, i) => {
    let field = byWord[i] ?? take(shown(cells, known, today));
    if (field === null && byWord[i] === null && cells.length > 0 && share(cells, (c) => readSpan(c) !== null) >= MOST)
      field = take('end');
    const unit = field && unitOfColumn(field, heading, cells, preferred);
    const isGuess = unit !== null && !saysUnit(heading, cells, unit);
    return { field, unit, ...(isGuess ? { isGuess } : {}) };
  });
}

/** Which of day and month the dates of a sheet have first; see {@link dayOrderOf}. */
export function dayOrderIn(sheet: NotebookSheet, columns: readonly NotebookColumn[], today: string) {
  const at = columns.findIndex(({ field }) => field === 'date');
  return dayOrderOf(at < 0 ? [] : sheet.rows.map(({ cells }) => cells[at] ?? ''), today);
}
