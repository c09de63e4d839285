import type { HouseSetUp } from '../set-up/index.js';
import { parseQuantity } from '../units/index.js';
import type { NotebookLine } from './columns.js';
import { readDay, type DayOrder } from './days-typed.js';
import { NOTEBOOK_FIELDS, type NotebookField } from './fields.js';
import { foldText } from './fold-text.js';
import { idNamed, idsByTypedName, type NamedKind } from './names.js';
import type { Notebook, NotebookAssumption, NotebookFault, NotebookQuestion, WrongRow } from './notebook.js';

/** What ends the reading of a row: a question that is open, a row that is not wanted, or a cell that cannot be read. */
export class RowEnds extends Error {
  constructor(readonly why: 'asked' | 'leftOut' | Omit<WrongRow, 'line'>) {
    super('the reading of this row ends');
  }
}

/** What the rows of a notebook bring up together. */
export class Gathered {
  private readonly asked = new Map<string, NotebookQuestion>();
  readonly assumed: Partial<Record<NotebookAssumption, number>> = {};
  private ofThisRow: NotebookAssumption[] = [];

  ask(key: string, question: NotebookQuestion): void {
    const before = this.asked.get(key);
    this.asked.set(key, before ? { ...before, rows: before.rows + 1 } : question);
  }

  /** @throws RowEnds: the row waits for the answer */
  askFirst(key: string, question: NotebookQuestion): never {
    this.ask(key, question);
    throw new RowEnds('asked');
  }

  assume(what: NotebookAssumption): void {
    this.ofThisRow.push(what);
  }

  /** A row is over: what was taken for granted counts where it became entries. */
  endRow(isRead: boolean): void {
    if (isRead) for (const what of this.ofThisRow) this.assumed[what] = (this.assumed[what] ?? 0) + 1;
    this.ofThisRow = [];
  }

  get questions(): readonly NotebookQuestion[] {
    return [...this.asked.values()];
  }
}

export type IdsByName = Readonly<Record<NamedKind, ReadonlyMap<string, string | null>>>;
export const idsOf = (house: HouseSetUp): IdsByName => ({
  pump: idsByTypedName(house.pump),
  material: idsByTypedName(house.material),
  equipment: idsByTypedName(house.equipment),
  oilProduct: idsByTypedName(house.oilProduct),
});

interface RowContext {
  readonly gathered: Gathered;
  readonly ids: IdsByName;
  /** People of the house by name. */
  readonly people: ReadonlyMap<string, string | null>;
  /** "2031-04-20" */
  readonly today: string;
  /** Null while it must be asked. */
  readonly dayOrder: DayOrder | null;
}

const NOTHING_SAID = /^[-–—?/]+$/;

/** The cells of one row by what they say. Every reader throws RowEnds where the row cannot go on. */
export function rowCells(
  { cells }: NotebookLine,
  { sheet, columns, answers, decimalComma = false }: Notebook,
  context: RowContext,
) {
  const { gathered, ids, people, today, dayOrder } = context;
  const odd: string[] = [];
  const columnOf = (field: NotebookField): number | null => {
    const at = columns.findIndex((column) => column.field === field);
    return at < 0 ? null : at;
  };
  const text = (field: NotebookField): string => {
    const cell = cells[columnOf(field) ?? -1] ?? '';
    return NOTHING_SAID.test(cell) ? '' : cell;
  };
  const fail = (field: NotebookField, fault: NotebookFault): never => {
    throw new RowEnds({ column: columnOf(field), field, cell: text(field), fault });
  };
  /** What is not understood and not needed stays in the remark, under the name of its column. */
  const keep = (field: NotebookField): void => {
    if (text(field)) odd.push(`${sheet.header?.[columnOf(field) ?? -1] || field}: ${text(field)}`);
  };

  return {
    text,
    fail,
    keep,
    gathered,
    remarks: (): readonly string[] =>
      columns.flatMap(({ field }, i) => (field === 'remark' && cells[i] ? [cells[i]] : [])),
    odd: (): readonly string[] => odd,
    /** The id behind a name; null where somebody said that it is none. */
    named(field: NotebookField, kind: NamedKind): string | null {
      const typed = text(field);
      const id = idNamed(ids[kind], typed);
      if (id) return id;
      const answer = answers.names[kind][foldText(typed)];
      if (answer === undefined)
        return gathered.askFirst(`${kind} ${foldText(typed)}`, { about: 'name', kind, text: typed, rows: 1 });
      if (answer === null && kind !== 'pump') keep(field);
      return answer;
    },
    /** Whose name it bears: a person of the house, else the name as it is written. */
    who: (): string => idNamed(people, text('who')) ?? text('who'),
    isNamed: (field: NotebookField, kind: NamedKind): boolean => idNamed(ids[kind], text(field)) !== null,
    /** A quantity in its base unit; null where nothing is said. */
    quantity(field: NotebookField, ifNot: 'keep' | NotebookFault = 'keep'): number | null {
      const spec = NOTEBOOK_FIELDS[field].quantity;
      if (!spec || text(field) === '') return null;
      const { dimension, min, max } = spec;
      const defaultUnit = columns[columnOf(field) ?? -1]?.unit ?? spec.unit;
      const parsed = parseQuantity({ text: text(field), dimension, defaultUnit, min, max, decimalComma });
      if (parsed.ok) return parsed.value;
      const { code } = parsed.issue;
      if (code === 'twoWays') return fail(field, 'twoWays');
      if (ifNot !== 'keep') return fail(field, code === 'belowRange' || code === 'aboveRange' ? 'outOfBounds' : ifNot);
      keep(field);
      return null;
    },
    /** The day that a text begins with, as its writer means it, and what stands behind it; null where it is none. */
    day(field: NotebookField): { readonly day: string; readonly rest: string } | null {
      const { read, rest } = readDay(text(field), today);
      if (read.kind === 'notADay') return null;
      if (read.kind === 'day') return { day: read.day, rest };
      if (dayOrder) return { day: read[dayOrder], rest };
      const { dayFirst, monthFirst } = read;
      return gathered.askFirst('dayOrder', { about: 'dayOrder', rows: 1, text: text(field), dayFirst, monthFirst });
    },
  };
}

export type RowCells = ReturnType<typeof rowCells>;
