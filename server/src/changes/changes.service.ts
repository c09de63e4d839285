import { Injectable, type MessageEvent, type OnModuleDestroy } from '@nestjs/common';
import type { Change, ChangeKind, ChangesAnswer } from '@winter-jar/contracts';
import { from, interval, map, merge, Observable, Subject, takeUntil } from 'rxjs';
import { EPOCH } from '../database/open.js';
import { Reading } from '../database/reading.js';
import { JournalWriter } from '../journal/journal-writer.js';

/** A stream on which nothing comes looks dead to what lies between. */
const ALIVE_MS = 25_000;

/** What changed since a client last looked, and what changes now. */
@Injectable()
export class ChangesService implements OnModuleDestroy {
  private readonly ended = new Subject<void>();

  constructor(
    private readonly reading: Reading,
    private readonly writer: JournalWriter,
  ) {}

  async since(since: number, epoch: string | null): Promise<ChangesAnswer> {
    const { records } = this.reading;
    const present = (await records.fact(EPOCH)) ?? '';
    const { first, last } = await records.changesKept();
    const seq = last ?? 0;
    const isKnown = epoch === present && Number.isInteger(since) && since <= seq && since >= (first ?? 1) - 1;
    if (!isKnown) return { epoch: present, seq, startOver: true, kinds: [], pumpIds: null };
    const rows = await records.changesSince(since);
    const pumpIds = rows.map((r) => (r.pumpIds === null ? null : (JSON.parse(r.pumpIds) as string[])));
    return {
      epoch: present,
      seq,
      startOver: false,
      kinds: [...new Set(rows.map((r) => r.kind as ChangeKind))],
      pumpIds: pumpIds.includes(null) ? null : [...new Set(pumpIds.flatMap((ids) => ids ?? []))],
    };
  }

  stream(): Observable<MessageEvent> {
    const stands = from(this.since(NaN, null)).pipe(map(({ epoch, seq }) => ({ epoch, seq })));
    const changes = new Observable<Change>((follower) => this.writer.changes.follow((change) => follower.next(change)));
    return merge(
      stands.pipe(map((data) => ({ type: 'stands', data }))),
      changes.pipe(map((data) => ({ type: 'changed', data }))),
      interval(ALIVE_MS).pipe(map(() => ({ type: 'alive', data: '' }))),
    ).pipe(takeUntil(this.ended));
  }

  onModuleDestroy(): void {
    this.ended.next();
  }
}
