import {
  JOB_ENDS,
  JOB_MOVES,
  OIL_LEFT,
  PUMP_LEFT,
  STEP_PHASES,
  type JobEnd,
  type JobEndedBody,
  type JobMove,
  type JobMovedBody,
  type JobStartedBody,
  type JobStepBody,
  type OilLeft,
  type PumpLeft,
  type PartUsed,
  type StepPhase,
} from '@winter-jar/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsOptional,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { IdOf, Maybe, OneOf, PhotoId, Remark, WholeWithin, Within } from './body-rules.js';
import { IsInstant } from './instant.js';
import { MAX_PARTS, MAX_RIDERS, MAX_STEP_VISITS } from './limits.js';

export class JobStartedBodyDto implements JobStartedBody {
  @IdOf('a procedure') procedure!: string;
  @IsOptional()
  @IsArray({ message: 'a list of procedures' })
  @ArrayMaxSize(MAX_RIDERS, { message: `at most ${MAX_RIDERS} procedures in the same visit` })
  @ArrayUnique({ message: 'each procedure once' })
  @IsString({ each: true, message: 'the ids of procedures' })
  @MaxLength(64, { each: true, message: 'the ids of procedures, at most 64 characters each' })
  with?: string[] | null;
  @Remark() remark?: string | null;
}

export class JobStepBodyDto implements JobStepBody {
  @IdOf('a step of the procedure') step!: string;
  @WholeWithin(1, MAX_STEP_VISITS, `which time the step was come to, from 1 to ${MAX_STEP_VISITS}`) visit!: number;
  @OneOf(STEP_PHASES) phase!: StepPhase;
  @Maybe(IsInstant()) until?: string | null;
  @Maybe(Within(-200_000, 1_000_000, 'a number from -200,000 to 1,000,000, in mL, °C or Pa as the step asks')) value?:
    number | null;
  @Maybe(IdOf('a choice of the step')) choice?: string | null;
  @Maybe(IdOf('a container')) containerId?: string | null;
  @PhotoId() photoId?: string | null;
  @Maybe(OneOf(OIL_LEFT)) oil?: OilLeft | null;
  @Maybe(OneOf(PUMP_LEFT)) pump?: PumpLeft | null;
}

export class JobMovedBodyDto implements JobMovedBody {
  @OneOf(JOB_MOVES) how!: JobMove;
  @Maybe(IdOf('a person')) to?: string | null;
  @Maybe(IsBoolean({ message: 'true where the next lock hung before the first came off' })) locksChanged?:
    boolean | null;
  @Remark() remark?: string | null;
}

export class PartUsedDto implements PartUsed {
  @IdOf('a place of the model') place!: string;
  @IsOptional()
  @IsString({ message: 'what the part is called' })
  @MaxLength(160, { message: 'at most 160 characters' })
  part!: string | null;
}

export class JobEndedBodyDto implements JobEndedBody {
  @OneOf(JOB_ENDS) how!: JobEnd;
  @IsOptional()
  @IsArray({ message: 'a list of parts' })
  @ArrayMaxSize(MAX_PARTS, { message: `at most ${MAX_PARTS} parts` })
  @ValidateNested({ each: true, message: 'a place and its part' })
  @Type(() => PartUsedDto)
  parts?: PartUsedDto[] | null;
  @Maybe(WholeWithin(0, 100_000, 'whole minutes from 0 to 100,000')) workedMinutes?: number | null;
  @Remark() remark?: string | null;
}
