import { Inject, Injectable, type MessageEvent, type OnModuleDestroy } from '@nestjs/common';
import type { Change, ChangeKind, ChangesAnswer } from '@winter-jar/contracts';
import { seesStanding } from '@winter-jar/core';
import { from, interval, map, merge, Observable, Subject, takeUntil } from 'rxjs';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { EPOCH } from '../database/open.js';
import { Reading } from '../database/reading.js';
import { Door } from '../house/door.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';

/** A stream on which nothing comes looks dead to what lies between. */
const ALIVE_MS = 25_000;

/** What changed since a client last looked, and what changes now. */
@Injectable()
export class ChangesService implements OnModuleDestroy {
  private readonly ended = new Subject<void>();

  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly door: Door,
    private readonly store: SetUpStore,
    private readonly reading: Reading,
    private readonly writer: JournalWriter,
  ) {}

  async since(actor: Actor, since: number, epoch: string | null): Promise<ChangesAnswer> {
    const { records } = this.reading;
    const present = (await records.fact(EPOCH)) ?? '';
    const { first, last } = await records.changesKept();
    const seq = last ?? 0;
    const isKnown = epoch === present && Number.isInteger(since) && since <= seq && since >= (first ?? 1) - 1;
    if (!isKnown) return { epoch: present, seq, startOver: true, kinds: [], pumpIds: null };
    const rows = (await records.changesSince(since)).flatMap((row) => {
      const pumpIds = row.pumpIds === null ? null : (JSON.parse(row.pumpIds) as string[]);
      return this.seenBy(actor, { seq: row.seq, kind: row.kind as ChangeKind, pumpIds }) ?? [];
    });
    const pumpIds = rows.map((row) => row.pumpIds);
    return {
      epoch: present,
      seq,
      startOver: false,
      kinds: [...new Set(rows.map((row) => row.kind))],
      pumpIds: pumpIds.includes(null) ? null : [...new Set(pumpIds.flatMap((ids) => ids ?? []))],
    };
  }

  stream(actor: Actor): Observable<MessageEvent> {
    const stands = from(this.since(actor, NaN, null)).pipe(map(({ epoch, seq }) => ({ epoch, seq })));
    const changes = new Observable<Change>((follower) =>
      this.writer.changes.follow((change) => {
        const seen = this.seenBy(actor, change);
        if (seen) follower.next(seen);
      }),
    );
    return merge(
      stands.pipe(map((data) => ({ type: 'stands', data }))),
      changes.pipe(map((data) => ({ type: 'changed', data }))),
      interval(ALIVE_MS).pipe(map(() => ({ type: 'alive', data: '' }))),
    ).pipe(takeUntil(this.ended));
  }

  /** A change as somebody is told of it; null where it bears upon no pump that they see. */
  private seenBy(actor: Actor, change: Change): Change | null {
    const sight = this.door.sightNow(actor);
    if (sight === null || change.pumpIds === null || change.pumpIds.length === 0) return change;
    const house = this.store.book.at(isoNow(this.clock));
    const pumpIds = change.pumpIds.filter((id) => seesStanding(sight, house, 'pump', id));
    return pumpIds.length > 0 ? { ...change, pumpIds } : null;
  }

  onModuleDestroy(): void {
    this.ended.next();
  }
}
