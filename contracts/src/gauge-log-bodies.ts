import {
  DAY_ORDERS,
  DECIMAL_MARKS,
  ELAPSED_UNIT_NAMES,
  GAUGE_KINDS,
  LOG_UNIT_NAMES,
  LOG_VERDICTS,
  LOGS_OF,
  PRESSURE_REFERENCES,
  SEPARATORS,
  type FigureRead,
  type JudgedLog,
  type LogSettings,
} from '@winter-jar/core';
import { Type } from 'class-transformer';
import { IsBoolean, IsIn, IsOptional, IsString, Matches, MaxLength, ValidateNested } from 'class-validator';
import { Maybe, OneOf, WholeWithin, Within } from './body-rules.js';
import { IsInstant, IsZone } from './instant.js';

/** A plain text, as it came out of a gauge. */
export type GaugeLogBytes = string;

/** A gauge log as it is kept. A test cites it by its id. */
export interface GaugeLogKept {
  /** SHA-256 of the file. */
  readonly logId: string;
  readonly bytes: number;
}

const MAX_COLUMN = 200;
const column = () => Maybe(WholeWithin(0, MAX_COLUMN, `a column, counted from 0 to ${MAX_COLUMN}`));

export class LogSettingsDto implements LogSettings {
  @Maybe(IsIn(SEPARATORS, { message: 'a tab, a semicolon, a bar, a comma or a blank' }))
  separator?: (typeof SEPARATORS)[number];
  @Maybe(OneOf(DECIMAL_MARKS)) decimal?: (typeof DECIMAL_MARKS)[number];
  @column() timeColumn?: number;
  @column() pressureColumn?: number;
  @Maybe(OneOf(LOG_UNIT_NAMES)) unit?: (typeof LOG_UNIT_NAMES)[number];
  @Maybe(OneOf(PRESSURE_REFERENCES)) reference?: (typeof PRESSURE_REFERENCES)[number];
  @Maybe(OneOf(DAY_ORDERS)) dayOrder?: (typeof DAY_ORDERS)[number];
  @Maybe(OneOf(ELAPSED_UNIT_NAMES)) elapsedUnit?: (typeof ELAPSED_UNIT_NAMES)[number];
  @Maybe(IsBoolean({ message: 'true where a clock of two parts is minutes and seconds' })) minutesFirst?: boolean;
  @Maybe(IsZone()) zone?: string;
  @Maybe(IsInstant()) startedAt?: string;
  @Maybe(Within(0.001, 86_400, 'from 0.001 to 86,400 s between two rows')) stepS?: number;
  @Maybe(Within(30_000, 120_000, 'the air around: 30,000 to 120,000 Pa')) ambientPa?: number;
  @Maybe(Within(-500, 9000, 'an altitude from -500 to 9000 m')) altitudeM?: number;
}

const figure = 'a figure from 0 to 1e9';
export class FigureReadDto implements FigureRead {
  @Within(0, 1e9, figure) p10!: number;
  @Within(0, 1e9, figure) p50!: number;
  @Within(0, 1e9, figure) p90!: number;
}

const Figure = (): PropertyDecorator => (target, name) => {
  IsOptional()(target, name);
  ValidateNested({ message: 'a figure with p10, p50 and p90' })(target, name);
  Type(() => FigureReadDto)(target, name);
};

export class JudgedLogDto implements JudgedLog {
  @Matches(/^[0-9a-f]{64}$/, { message: 'the id of a gauge log that was uploaded: 64 hexadecimal digits' })
  logId!: string;
  @IsOptional()
  @IsString({ message: 'the name of the file' })
  @MaxLength(200, { message: 'a name of at most 200 characters' })
  name?: string | null;
  @OneOf(LOGS_OF) of!: (typeof LOGS_OF)[number];
  @IsOptional()
  @ValidateNested({ message: 'what was said of the log, by its fields' })
  @Type(() => LogSettingsDto)
  said?: LogSettingsDto | null;
  @Maybe(Within(0.01, 10_000_000, 'a volume from 0.01 to 10,000,000 L')) volumeL?: number | null;
  @OneOf(GAUGE_KINDS) gauge!: (typeof GAUGE_KINDS)[number];
  @OneOf(LOG_VERDICTS) verdict!: (typeof LOG_VERDICTS)[number];
  @Figure() leakPaM3PerS?: FigureReadDto | null;
  @Figure() moisturePa?: FigureReadDto | null;
  @Figure() speedM3h?: FigureReadDto | null;
  @Figure() ultimatePa?: FigureReadDto | null;
  @Figure() rise10MinPa?: FigureReadDto | null;
  @Figure() pullDownS?: FigureReadDto | null;
  @Maybe(Within(1e-6, 1_000_000, 'a pressure from 1e-6 to 1,000,000 Pa')) toPa?: number | null;
  @Maybe(Within(1e-6, 1_000_000, 'a pressure from 1e-6 to 1,000,000 Pa')) limitPa?: number | null;
}
