import {
  JOB_ENDS,
  JOB_MOVES,
  OIL_LEFT,
  STEP_PHASES,
  type JobEnd,
  type JobEndedBody,
  type JobMove,
  type JobMovedBody,
  type JobStartedBody,
  type JobStepBody,
  type OilLeft,
  type StepPhase,
} from '@winter-jar/core';
import { IsBoolean } from 'class-validator';
import { IdOf, Maybe, OneOf, Remark, WholeWithin, Within } from './body-rules.js';
import { IsInstant } from './instant.js';
import { MAX_STEP_VISITS } from './limits.js';

export class JobStartedBodyDto implements JobStartedBody {
  @IdOf('a procedure') procedure!: string;
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
  @Maybe(OneOf(OIL_LEFT)) oil?: OilLeft | null;
}

export class JobMovedBodyDto implements JobMovedBody {
  @OneOf(JOB_MOVES) how!: JobMove;
  @Maybe(IdOf('a person')) to?: string | null;
  @Maybe(IsBoolean({ message: 'true where the next lock hung before the first came off' })) locksChanged?:
    boolean | null;
  @Remark() remark?: string | null;
}

export class JobEndedBodyDto implements JobEndedBody {
  @OneOf(JOB_ENDS) how!: JobEnd;
  @Remark() remark?: string | null;
}
