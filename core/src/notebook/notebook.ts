import type { HouseSetUp } from '../set-up/index.js';
import type { NotebookColumn, NotebookSheet } from './columns.js';
import type { DayOrder } from './days-typed.js';
import type { NotebookField } from './fields.js';
import type { NamedKind } from './names.js';
import type { NotebookKind } from './words-typed.js';

/** A sheet with what is known of it. */
export interface Notebook {
  readonly sheet: NotebookSheet;
  readonly columns: readonly NotebookColumn[];
  readonly answers: NotebookAnswers;
  readonly house: HouseSetUp;
  readonly nowMs: number;
  /** Whether this device writes 1,5 for one and a half. */
  readonly decimalComma?: boolean;
}

/** What a person has answered about a notebook. */
export interface NotebookAnswers {
  /** Null while it is not known. */
  readonly dayOrder: DayOrder | null;
  /** Ids by kind and folded text; `null` leaves out the rows of a pump, and says nothing of another record. */
  readonly names: Readonly<Record<NamedKind, Readonly<Record<string, string | null>>>>;
  /** By folded text; `null` leaves the rows out. */
  readonly kinds: Readonly<Record<string, NotebookKind | null>>;
  /** Of runs that say no length; null refuses them. */
  readonly minutesWhereNone: number | null;
  /** Of one cycle, by equipment whose record does not say it. */
  readonly cycleSeconds: Readonly<Record<string, number>>;
  /** Whether a trap that is written as 41 was at −41 °C; null while it is asked. */
  readonly trapsBelowZero: boolean | null;
  /** Whether a run whose remark tells of a change of oil is followed by one; null while it is asked. */
  readonly changesInRemarks: boolean | null;
}

export const NO_ANSWERS: NotebookAnswers = {
  dayOrder: null,
  names: { pump: {}, material: {}, equipment: {}, oilProduct: {} },
  kinds: {},
  minutesWhereNone: null,
  cycleSeconds: {},
  trapsBelowZero: null,
  changesInRemarks: null,
};

/** One entry that a row makes. */
export interface NotebookRow {
  readonly line: number;
  readonly kind: NotebookKind;
  readonly pumpId: string;
  /** UTC. */
  readonly at: string;
  /** Its hour is not known: it stands in the order of the rows. */
  readonly dayOnly: boolean;
  readonly minutes: number | null;
  /** Other columns of the log of its kind. */
  readonly cells: Readonly<Record<string, string>>;
  readonly remark: string;
  readonly who: string;
}

/** An entry of a row whose hour may not be known yet. */
export interface UnplacedRow extends Omit<NotebookRow, 'at' | 'dayOnly'> {
  readonly zone: string;
  readonly day: string;
  readonly from: number | null;
  /** It follows the entry before it. */
  readonly afterThat?: boolean;
}

export type NotebookFault =
  | 'noDay'
  | 'notADay'
  | 'noPump'
  | 'notATime'
  | 'ahead'
  | 'noLength'
  | 'notALength'
  | 'notANumber'
  | 'contradicts'
  | 'noOil'
  | 'noVolume'
  | 'twoWays'
  | 'outOfBounds';

/** A row that cannot be read, with the cell in which it fails. */
export interface WrongRow {
  readonly line: number;
  /** Index of the column; null where the sheet has no column of it. */
  readonly column: number | null;
  readonly field: NotebookField;
  readonly cell: string;
  readonly fault: NotebookFault;
}

/** Asked once for all rows that it is about. */
export type NotebookQuestion =
  | {
      readonly about: 'dayOrder';
      readonly rows: number;
      readonly text: string;
      readonly dayFirst: string;
      readonly monthFirst: string;
    }
  | { readonly about: 'name'; readonly rows: number; readonly kind: NamedKind; readonly text: string }
  | { readonly about: 'kind'; readonly rows: number; readonly text: string }
  | { readonly about: 'noLength'; readonly rows: number }
  | { readonly about: 'trapSign'; readonly rows: number; readonly text: string }
  | { readonly about: 'cycleTime'; readonly rows: number; readonly equipmentId: string; readonly name: string }
  | { readonly about: 'changesInRemarks'; readonly rows: number; readonly text: string };

/** What was taken for granted. */
export type NotebookAssumption = 'dayOnly' | 'oilOfPump' | 'chargeOfPump' | 'pumpRunning' | 'materialNotSaid';

export interface NotebookRead {
  readonly rows: readonly NotebookRow[];
  readonly wrong: readonly WrongRow[];
  readonly questions: readonly NotebookQuestion[];
  readonly leftOut: number;
  /** On how many rows. */
  readonly assumed: Readonly<Partial<Record<NotebookAssumption, number>>>;
}
