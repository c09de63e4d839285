import type { DayOrder } from '../notebook/index.js';
import type { DecimalMark } from './log-number.js';
import type { LogUnit, PressureReference } from './pressure-unit.js';
import type { ElapsedUnit, StampForm } from './stamp.js';

/** What parts the cells of a row; a blank stands for any number of them. */
export const SEPARATORS = ['\t', ';', '|', ',', ' '] as const;
export type Separator = (typeof SEPARATORS)[number];

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

/** What a person says about a log; what is missing is understood from the log itself. */
export interface LogSettings {
  readonly separator?: Separator;
  readonly decimal?: DecimalMark;
  /** Columns are counted from 0. */
  readonly timeColumn?: number;
  readonly pressureColumn?: number;
  readonly unit?: LogUnit;
  readonly reference?: PressureReference;
  readonly dayOrder?: DayOrder;
  readonly elapsedUnit?: ElapsedUnit;
  /** A clock of two parts is minutes and seconds. */
  readonly minutesFirst?: boolean;
  /** IANA zone of the clock on the wall. */
  readonly zone?: string;
  /** When the first reading was taken, where the log does not say; ISO 8601 UTC. */
  readonly startedAt?: string;
  /** Between two rows, where they have no time. */
  readonly stepS?: number;
  /** Of the air around the gauge, for relative readings: its pressure, or where it stands. */
  readonly ambientPa?: number;
  readonly altitudeM?: number;
}

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
