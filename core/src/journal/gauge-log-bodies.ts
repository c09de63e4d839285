/** What parts the cells of a row of a gauge log; a blank stands for any number of them. */
export const SEPARATORS = ['\t', ';', '|', ',', ' '] as const;
export type Separator = (typeof SEPARATORS)[number];

export const DECIMAL_MARKS = ['.', ','] as const;
export type DecimalMark = (typeof DECIMAL_MARKS)[number];

/** As gauges write them. */
export const LOG_UNIT_NAMES = [
  'hPa',
  'mbar',
  'Pa',
  'kPa',
  'Torr',
  'mTorr',
  'bar',
  'µbar',
  'mPa',
  'psi',
  'inHg',
  'cmHg',
  '%',
] as const;
export type LogUnit = (typeof LOG_UNIT_NAMES)[number];

/**
 * What a reading counts from: nothing at all, the air around (negative in vacuum), what is missing to the air around, or the share of
 * the air around that is gone, in percent.
 */
export const PRESSURE_REFERENCES = ['absolute', 'gauge', 'belowAmbient', 'percentVacuum'] as const;
export type PressureReference = (typeof PRESSURE_REFERENCES)[number];

export const ELAPSED_UNIT_NAMES = ['ms', 's', 'min', 'h', 'd'] as const;
export type ElapsedUnit = (typeof ELAPSED_UNIT_NAMES)[number];

export const DAY_ORDERS = ['dayFirst', 'monthFirst'] as const;

/** What a person says about a log; what is missing is understood from the log itself. */
export interface LogSettings {
  readonly separator?: Separator;
  readonly decimal?: DecimalMark;
  /** Columns are counted from 0. */
  readonly timeColumn?: number;
  readonly pressureColumn?: number;
  readonly unit?: LogUnit;
  readonly reference?: PressureReference;
  readonly dayOrder?: (typeof DAY_ORDERS)[number];
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

export const GAUGE_KINDS = ['capacitance', 'thermal'] as const;
export type GaugeKind = (typeof GAUGE_KINDS)[number];

/** A closed chamber; a pump-down; the pump by itself, blanked off; a closed bag; cycles of a packer. */
export const LOGS_OF = ['rise', 'pumpDown', 'ultimate', 'bagDrop', 'cycles'] as const;
export type LogOf = (typeof LOGS_OF)[number];

export const LOG_VERDICTS = [
  'tight',
  'leak',
  'moisture',
  'leakAndMoisture',
  'undecided',
  'asGood',
  'wornOrDirty',
  'restriction',
  'holds',
  'drops',
  'slow',
] as const;
export type LogVerdict = (typeof LOG_VERDICTS)[number];

/** A figure with its interval: at least eight in ten lie between its ends. */
export interface FigureRead {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** A gauge log as it was judged: from which file, of what volume, and what came out. */
export interface JudgedLog {
  /** SHA-256 of the file as it came. */
  readonly logId: string;
  readonly name?: string | null;
  readonly of: LogOf;
  readonly said?: LogSettings | null;
  /** Of a rise and of a pump-down always. */
  readonly volumeL?: number | null;
  readonly gauge: GaugeKind;
  readonly verdict: LogVerdict;
  readonly leakPaM3PerS?: FigureRead | null;
  readonly moisturePa?: FigureRead | null;
  readonly speedM3h?: FigureRead | null;
  readonly ultimatePa?: FigureRead | null;
  /** Of a bag: what its pressure rises by in ten minutes, Pa. */
  readonly rise10MinPa?: FigureRead | null;
  /** Of cycles: from the start of the fall to `toPa`, s. */
  readonly pullDownS?: FigureRead | null;
  readonly toPa?: number | null;
  /** What a bag or a pump blanked off was held to, Pa. */
  readonly limitPa?: number | null;
}
