import {
  MEASURED_WHERE,
  type CaseCheckedBody,
  type CaseClosedBody,
  type CaseOpenedBody,
  type FoundSaid,
  type MeasuredPressure,
  type MeasuredWhere,
  type TestBody,
} from '@winter-jar/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsOptional, IsString, Length, ValidateNested } from 'class-validator';
import { IdOf, Maybe, PhotoId, Remark, WholeWithin, Within } from './body-rules.js';
import { JudgedLogDto } from './gauge-log-bodies.js';
import { MAX_CHECK_RUNS, MAX_FINDINGS, MAX_MEASURED } from './limits.js';

const oneLine = { message: 'text of 1 to 500 characters' };
const OneLine = (): PropertyDecorator => (target, name) => {
  IsString(oneLine)(target, name);
  Length(1, 500, oneLine)(target, name);
};

export class FoundSaidDto implements FoundSaid {
  @IdOf('a finding') id!: string;
  @IdOf('one of its states') state!: string;
  @Within(0.05, 1, 'how sure it is, from 0.05 to 1') certainty!: number;
}

export class MeasuredPressureDto implements MeasuredPressure {
  @Within(1e-6, 1_000_000, 'a pressure from 0.000001 to 1,000,000 Pa') pa!: number;
  @IsIn(MEASURED_WHERE, { message: `one of ${MEASURED_WHERE.join(', ')}` }) where!: MeasuredWhere;
  @Maybe(IsIn(['open', 'closed'], { message: 'open or closed' })) ballast?: 'open' | 'closed' | null;
  @Maybe(IsIn(['fresh', 'asIs'], { message: 'fresh or asIs' })) oil?: 'fresh' | 'asIs' | null;
  @Maybe(Within(-40, 200, 'an oil temperature from -40 to 200 °C')) oilTempC?: number | null;
  @Maybe(OneLine()) gauge?: string | null;
}

export class TestBodyDto implements TestBody {
  @Maybe(IdOf('a test')) checkId?: string | null;
  @Maybe(IdOf('a step of the leak hunt')) leakStep?: string | null;
  @Maybe(IsBoolean({ message: 'true where the step passed' })) passed?: boolean | null;

  @IsArray({ message: 'a list of findings, each with id, state and certainty' })
  @ArrayMaxSize(MAX_FINDINGS, { message: `at most ${MAX_FINDINGS} findings` })
  @ValidateNested({ each: true, message: 'a list of findings, each with id, state and certainty' })
  @Type(() => FoundSaidDto)
  findings!: FoundSaidDto[];

  @IsOptional()
  @IsArray({ message: 'a list of pressures, each with pa and where' })
  @ArrayMaxSize(MAX_MEASURED, { message: `at most ${MAX_MEASURED} pressures` })
  @ValidateNested({ each: true, message: 'a list of pressures, each with pa and where' })
  @Type(() => MeasuredPressureDto)
  measured?: MeasuredPressureDto[] | null;

  @IsOptional()
  @ValidateNested({ message: 'a gauge log that was judged' })
  @Type(() => JudgedLogDto)
  log?: JudgedLogDto | null;

  @PhotoId() photoId?: string | null;
  @Remark() remark?: string | null;
}

export class CaseOpenedBodyDto implements CaseOpenedBody {
  @OneLine() complaint!: string;
}

export class CaseClosedBodyDto implements CaseClosedBody {
  @Maybe(IdOf('a cause')) causeId!: string | null;
  @OneLine() remedy!: string;
  @WholeWithin(1, MAX_CHECK_RUNS, `runs from 1 to ${MAX_CHECK_RUNS}`) checkAfterRuns!: number;
  @Remark() remark?: string | null;
}

export class CaseCheckedBodyDto implements CaseCheckedBody {
  @IsBoolean({ message: 'true where the remedy held' }) held!: boolean;
  @Remark() remark?: string | null;
}
