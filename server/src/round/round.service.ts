import { Inject, Injectable } from '@nestjs/common';
import type { RoundAnswer } from '@winter-jar/contracts';
import { houseSeen, localDay, type Sight, roundOf, onTheRound, rowOf } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { ofAnyVersion, pumpStateIn } from '../database/pump-state-in.js';
import { Reading } from '../database/reading.js';
import { SetUpStore } from '../journal/set-up-store.js';

@Injectable()
export class RoundService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  /** All pumps that somebody sees, as they stand now: one query of state rows, nothing recomputed from history. */
  round(sight: Sight): RoundAnswer {
    const now = isoNow(this.clock);
    const { book } = this.store;
    const days = new Map<string, number>();
    const dayIn = (zone: string): number => {
      const known = days.get(zone) ?? localDay({ at: now, zone });
      days.set(zone, known);
      return known;
    };
    const states = new Map(this.reading.sql.pumpStates.all().map((row) => [row.pumpId, row]));
    const unsettledOf = this.reading.unsettledByPump();
    const seen = Object.keys(houseSeen(sight, book.at(now)).pump);
    const rows = seen.flatMap((pumpId) => {
      const setUp = book.pumpAt({ pumpId, instant: now });
      if (!setUp || !onTheRound(setUp.pump)) return [];
      const input = { setUp, now, todayDay: dayIn(setUp.site.zone), unsettled: unsettledOf.get(pumpId) ?? 0 };
      return [ofAnyVersion(pumpId, pumpStateIn(pumpId, states.get(pumpId)), (state) => rowOf({ ...input, state }))];
    });
    const unsettled =
      sight === null
        ? (this.reading.sql.countUnsettled.get()?.n ?? 0)
        : seen.reduce((sum, pumpId) => sum + (unsettledOf.get(pumpId) ?? 0), 0);
    return { at: now, ...roundOf(rows), pumps: seen.length, unsettled };
  }
}
