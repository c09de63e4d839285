import 'reflect-metadata';
import {
  LEVELS,
  OIL_WENT,
  type BallastUse,
  type BleedBody,
  type ChangeBody,
  type DoneBody,
  type Level,
  type MeterBody,
  type NoteBody,
  type OilFlushed,
  type OilWent,
  type RunBody,
  type SessionKind,
  type SumpKey,
  type TakeOverBody,
  type TopUpBody,
  type TrapReading,
  type YesNo,
} from '@winter-jar/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { IdOf, Maybe, OneOf, Remark, SomeVolume, Volume, WholeWithin, Within } from './body-rules.js';
import { CaseCheckedBodyDto, CaseClosedBodyDto, CaseOpenedBodyDto, TestBodyDto } from './case-bodies.js';
import { IsInstant } from './instant.js';
import { MAX_METER_MINUTES, MAX_RUN_MINUTES, MAX_TRAP_READINGS, SERVICE_TASKS, SUMPS } from './limits.js';
import { JobEndedBodyDto, JobMovedBodyDto, JobStartedBodyDto, JobStepBodyDto } from './job-bodies.js';
import { LabResultBodyDto, LabSampleBodyDto } from './lab-bodies.js';
import { LookBodyDto } from './look-body.js';
import { MediaChangeBodyDto, OpenedBodyDto, StocktakeBodyDto, TransferBodyDto } from './store-bodies.js';

const BALLAST: readonly BallastUse[] = ['closed', 'open', 'purge', 'unknown'];
const YES_NO: readonly YesNo[] = ['yes', 'no', 'unknown'];
const SESSIONS: readonly SessionKind[] = ['run', 'sideJob', 'aborted'];
const MeterMinutes = () => WholeWithin(0, MAX_METER_MINUTES, 'hours on the meter from 0 to 1,000,000');

const TrapTemp = () => Within(-120, 60, 'a temperature in °C from -120 to 60, such as -41');
const Pressure = () => Within(1e-6, 110_000, 'a pressure in Pa above 0 and up to the atmosphere, 110,000, such as 4.7');

export class TrapReadingDto implements TrapReading {
  @Within(0, MAX_RUN_MINUTES, 'minutes after the start of the run') minutes!: number;
  @TrapTemp() tempC!: number;
}

export class RunBodyDto implements RunBody {
  @Maybe(IdOf('a material')) materialId?: string | null;
  @Maybe(IsBoolean({ message: 'true while its end is not known' })) stillRunning?: boolean | null;

  @Maybe(IsInt({ message: 'whole minutes, from 1 minute to 30 days' }))
  @Min(1, { message: 'at least 1 minute: a run ends after it starts' })
  @Max(MAX_RUN_MINUTES, { message: 'at most 30 days' })
  minutes?: number | null;

  @Maybe(IsInt({ message: 'a whole number of cycles from 1 to 1,000,000' }))
  @Min(1, { message: 'at least 1 cycle' })
  @Max(1_000_000, { message: 'at most 1,000,000 cycles' })
  cycles?: number | null;

  @OneOf(SESSIONS) session!: SessionKind;
  @Maybe(Within(0, 100_000, 'kilograms from 0 to 100,000')) loadKg?: number | null;
  @OneOf(BALLAST) ballast!: BallastUse;
  @Maybe(TrapTemp()) trapTempC?: number | null;

  @IsOptional()
  @IsArray({ message: 'a list of readings, each with minutes and tempC' })
  @ArrayMaxSize(MAX_TRAP_READINGS, { message: `at most ${MAX_TRAP_READINGS} readings` })
  @ValidateNested({ each: true, message: 'a list of readings, each with minutes and tempC' })
  @Type(() => TrapReadingDto)
  trapProfile?: TrapReadingDto[] | null;

  @Maybe(Within(-20, 200, 'a temperature in °C from -20 to 200, such as 68')) oilTempC?: number | null;
  @Maybe(OneOf(YES_NO)) defrostedBefore?: YesNo | null;
  @Maybe(OneOf(YES_NO)) drainClosed?: YesNo | null;
  @Maybe(OneOf(YES_NO)) inLineFilter?: YesNo | null;
  @Maybe(Pressure()) firstPressurePa?: number | null;
  @Maybe(Pressure()) lowestPressurePa?: number | null;

  @OneOf(YES_NO) ventedBeforeStop!: YesNo;
  @Maybe(IsBoolean({ message: 'true where it was not among the runs counted at the take-over' }))
  beyondTakeOver?: boolean | null;
  @Remark() remark?: string | null;
}

export class BleedBodyDto implements BleedBody {
  @OneOf(SUMPS) sump!: SumpKey;
  @Maybe(Volume()) drawnMl?: number | null;
  @Maybe(Volume()) waterMl?: number | null;
  @Maybe(IdOf('a container')) intoContainerId?: string | null;
  @Maybe(OneOf(LEVELS)) levelAfter?: Level | null;
  @Remark() remark?: string | null;
}

export class TopUpBodyDto implements TopUpBody {
  @OneOf(SUMPS) sump!: SumpKey;
  @IdOf('an oil product') productId!: string;
  @SomeVolume(0.1, 'a volume above 0 mL') addedMl!: number;
  @Maybe(IdOf('a container')) fromContainerId?: string | null;
  @Maybe(OneOf(OIL_WENT)) oilWent?: OilWent | null;
  @Maybe(OneOf(LEVELS)) levelAfter?: Level | null;
  @Remark() remark?: string | null;
}

const MAX_FLUSHED = 20;

export class OilFlushedDto implements OilFlushed {
  @SomeVolume(1, 'the volume filled, above 0 mL') inMl!: number;
  @Maybe(IdOf('a container')) fromContainerId?: string | null;
  @Maybe(Volume()) outMl?: number | null;
  @Maybe(IdOf('a container')) intoContainerId?: string | null;
}

export class ChangeBodyDto implements ChangeBody {
  @OneOf(SUMPS) sump!: SumpKey;
  @IdOf('an oil product') productId!: string;
  @Maybe(Volume()) outMl?: number | null;
  @SomeVolume(1, 'the volume filled, above 0 mL') inMl!: number;
  @Maybe(IdOf('a container')) fromContainerId?: string | null;
  @Maybe(IdOf('a container')) intoContainerId?: string | null;
  @Maybe(Within(-30, 150, 'a temperature in °C from -30 to 150, such as 45')) outTempC?: number | null;

  @IsOptional()
  @IsArray({ message: 'a list of fills, each with inMl' })
  @ArrayMaxSize(MAX_FLUSHED, { message: `at most ${MAX_FLUSHED} fills` })
  @ValidateNested({ each: true, message: 'a list of fills, each with inMl' })
  @Type(() => OilFlushedDto)
  flushed?: OilFlushedDto[] | null;

  @Maybe(OneOf(OIL_WENT)) oilWent?: OilWent | null;
  @Maybe(OneOf(LEVELS)) levelAfter?: Level | null;
  @Maybe(IsBoolean({ message: 'true while a jar of it stands to be read' })) jarKept?: boolean | null;
  @Remark() remark?: string | null;
}

export class MeterBodyDto implements MeterBody {
  @OneOf(['read', 'replaced']) action!: 'read' | 'replaced';
  @MeterMinutes() minutes!: number;
  @Maybe(MeterMinutes()) newMinutes?: number | null;
  @Remark() remark?: string | null;
}

export class TakeOverBodyDto implements TakeOverBody {
  @Maybe(MeterMinutes()) meterMinutes?: number | null;
  @Maybe(IsInstant()) oilChangedAt?: string | null;
  @Maybe(WholeWithin(0, 100_000, 'a whole number of runs from 0 to 100,000')) runsSince?: number | null;
  @Maybe(MeterMinutes()) minutesSince?: number | null;
  @Remark() remark?: string | null;
}

export class DoneBodyDto implements DoneBody {
  @OneOf(SERVICE_TASKS) task!: string;
  @Remark() remark?: string | null;
}

const noteText = { message: 'text of 1 to 2,000 characters' };

export class NoteBodyDto implements NoteBody {
  @IsString(noteText)
  @Length(1, 2000, noteText)
  text!: string;
}

/** The body that each kind of entry carries. */
export const BODY_CLASSES = {
  run: RunBodyDto,
  look: LookBodyDto,
  bleed: BleedBodyDto,
  topUp: TopUpBodyDto,
  change: ChangeBodyDto,
  done: DoneBodyDto,
  labSample: LabSampleBodyDto,
  labResult: LabResultBodyDto,
  meter: MeterBodyDto,
  takeOver: TakeOverBodyDto,
  test: TestBodyDto,
  caseOpened: CaseOpenedBodyDto,
  caseClosed: CaseClosedBodyDto,
  caseChecked: CaseCheckedBodyDto,
  jobStarted: JobStartedBodyDto,
  jobStep: JobStepBodyDto,
  jobMoved: JobMovedBodyDto,
  jobEnded: JobEndedBodyDto,
  transfer: TransferBodyDto,
  stocktake: StocktakeBodyDto,
  opened: OpenedBodyDto,
  mediaChange: MediaChangeBodyDto,
  note: NoteBodyDto,
} as const;
