import { Controller, Get, Inject } from '@nestjs/common';
import { MAX_UNSETTLED, type AskedLine, type Question, type UnsettledAnswer } from '@winter-jar/contracts';
import { effectiveEntry, seesNow, type Entry, type Sight } from '@winter-jar/core';
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
    const waited = await this.reading.records.asked(MAX_UNSETTLED);
    const at = isoNow(this.clock);
    // What waits goes with its pump, as the Round counts it.
    const house = this.store.book.at(at);
    const lines = all.filter(({ correction, original }) => seesNow(sight, house, original ?? correction));
    const seen = waited.filter(({ entry }) => seesNow(sight, house, entry));
    const acts = [...new Set(seen.map(({ entry }) => entry.actId))];
    const asked = await Promise.all(
      acts.map((actId) => this.askedLine(seen.filter(({ entry }) => entry.actId === actId))),
    );
    const total = sight === null ? this.reading.sql.countUnsettled.get()?.n : undefined;
    return { at, asked, lines, total: total ?? lines.length + seen.length };
  }

  /** What is asked about a deed, beside what counts meanwhile. */
  private async askedLine(deed: readonly { entry: Entry; questions: readonly Question[] }[]): Promise<AskedLine> {
    const { records, sql } = this.reading;
    const entries = await Promise.all(
      deed.map(async ({ entry }) => effectiveEntry(entry, await records.correctionsOf(entry.id)) ?? entry),
    );
    const questions = deed[0]?.questions ?? [];
    const others = questions.flatMap((q) => {
      const other = 'otherEntryId' in q ? sql.countedById.get(q.otherEntryId) : undefined;
      return other ? [JSON.parse(other.content) as Entry] : [];
    });
    return { entries, questions, others };
  }
}
