import { Inject, Injectable } from '@nestjs/common';
import type { SuspectsAnswer } from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { WorkQueue } from '../work/work-queue.js';
import { SUSPECTS_JOB } from './suspects.js';

@Injectable()
export class SuspectsService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly work: WorkQueue,
  ) {}

  /** @param signal whoever asked has gone @throws JobCancelled */
  suspects(sight: Sight, signal: AbortSignal): Promise<SuspectsAnswer> {
    return this.work.run(SUSPECTS_JOB, { now: isoNow(this.clock), sight }, { signal });
  }
}
