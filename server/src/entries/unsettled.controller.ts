import { Controller, Get, Inject } from '@nestjs/common';
import { MAX_UNSETTLED, type UnsettledAnswer } from '@winter-jar/contracts';
import { Documented } from '../api/documented.js';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import { Needs } from '../house/needs.js';

/** What was kept and does not count yet, so that somebody decides about it. */
@Needs('read')
@Controller('api/unsettled')
export class UnsettledController {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    @Inject(Reading) private readonly reading: Reading,
  ) {}

  @Get()
  @Documented({
    id: 'unsettled',
    summary: 'Corrections that were kept and do not count: what they wait for, or what has to be settled',
    answer: 'UnsettledAnswer',
  })
  async unsettled(): Promise<UnsettledAnswer> {
    const lines = await this.reading.records.unsettled(MAX_UNSETTLED);
    return { at: isoNow(this.clock), lines, total: this.reading.sql.countUnsettled.get()?.n ?? 0 };
  }
}
