import { Controller, Get, Inject } from '@nestjs/common';
import { MAX_UNSETTLED, type UnsettledAnswer } from '@winter-jar/contracts';
import { seesNow, type Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { SetUpStore } from '../journal/set-up-store.js';

/** What was kept and does not count yet, so that somebody decides about it. */
@Needs('read')
@Sites('sifted')
@Controller('api/unsettled')
export class UnsettledController {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    @Inject(Reading) private readonly reading: Reading,
    @Inject(SetUpStore) private readonly store: SetUpStore,
  ) {}

  @Get()
  @Documented({
    id: 'unsettled',
    summary: 'Corrections that were kept and do not count: what they wait for, or what has to be settled',
    answer: 'UnsettledAnswer',
  })
  async unsettled(@Seeing() sight: Sight): Promise<UnsettledAnswer> {
    const all = await this.reading.records.unsettled(MAX_UNSETTLED);
    const at = isoNow(this.clock);
    if (sight === null) return { at, lines: all, total: this.reading.sql.countUnsettled.get()?.n ?? 0 };
    // What waits goes with its pump, as the Round counts it.
    const house = this.store.book.at(at);
    const lines = all.filter(({ correction, original }) => seesNow(sight, house, original ?? correction));
    return { at, lines, total: lines.length };
  }
}
