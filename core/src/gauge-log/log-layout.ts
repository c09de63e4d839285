import type { DecimalMark, ElapsedUnit, LogUnit, PressureReference, Separator } from '../journal/index.js';
import type { DayOrder } from '../notebook/index.js';
import type { StampForm } from './stamp.js';

/** What nobody says in the log, or what its cells leave open: it is shown, and can be changed. */
export const LOG_DOUBTS = [
  'dayOrder',
  'elapsedUnit',
  'zone',
  'start',
  'step',
  'unitByAmbient',
  'reference',
  'ambient',
  'clockParts',
  'decimal',
] as const;
export type LogDoubt = (typeof LOG_DOUBTS)[number];

export interface TimeLayout {
  readonly form: StampForm;
  readonly column: number;
  readonly dayOrder: DayOrder;
  readonly elapsedUnit: ElapsedUnit;
  readonly minutesFirst: boolean;
}

/** How a log is laid out. */
export interface LogLayout {
  readonly separator: Separator;
  readonly decimal: DecimalMark;
  /** Cells of a row of readings. */
  readonly cells: number;
  /** Words above the columns; empty where there are none. */
  readonly columns: readonly string[];
  /** Null where the rows have no time: they are `stepS` apart. */
  readonly time: TimeLayout | null;
  readonly pressureColumn: number;
  /** Every column that may be a pressure, the likeliest first. */
  readonly pressureColumns: readonly number[];
  readonly unit: LogUnit | null;
  readonly reference: PressureReference;
  readonly doubts: readonly LogDoubt[];
}
