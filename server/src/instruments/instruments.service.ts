import {
  BadRequestException,
  Inject,
  Injectable,
  NotFoundException,
  type MessageEvent,
  type OnModuleDestroy,
  type OnModuleInit,
} from '@nestjs/common';
import { Readable } from 'node:stream';
import type {
  InstrumentsAnswer,
  InstrumentStatus,
  ReadingsAnswer,
  ReadingsRecord,
  ReadingsRecorded,
  ReadingsSent,
} from '@winter-jar/contracts';
import { houseSeen, type Instrument, type InstrumentChannel, type Sight } from '@winter-jar/core';
import { Observable, Subject, takeUntil } from 'rxjs';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Database } from '../database/open.js';
import { Reading } from '../database/reading.js';
import { GaugeLogStore } from '../gauge-logs/gauge-log-store.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { Doors } from './doors.js';
import { saidBy } from './counted-runs.js';
import { logText } from './log-text.js';
import { ReadingFiles } from './readings.js';
import { RunCounting } from './run-counting.js';
import { Watch, type HeardReading } from './watch.js';

const SENT_EVERY_MS = 100;
const STATUS_EVERY_MS = 1000;
const FLUSH_MS = 1000;
const COUNTED_EVERY_MS = 10_000;
const PURGE_MS = 600_000;
/** Of a screen. */
const MOST_POINTS = 4000;
const LONGEST_RECORD_MS = 24 * 3_600_000;
const WEEK_MS = 7 * 24 * 3_600_000;

interface Heard {
  readonly instrumentId: string;
  readonly readings: readonly HeardReading[];
}

const NOT_CONNECTED: InstrumentStatus = {
  ...{ state: 'notConnected', sinceMs: null, reason: null, trouble: null, perSecond: 0, raw: [], channels: [] },
};

/** Listens to the instruments that may be listened to, keeps what they send for some days, and passes it on. Nothing waits for them. */
@Injectable()
export class InstrumentsService implements OnModuleInit, OnModuleDestroy {
  private readonly doors: Doors;
  private readonly files: ReadingFiles;
  private readonly counting: RunCounting;
  private readonly watches = new Map<string, { readonly watch: Watch; readonly of: string }>();
  private readonly heard = new Subject<Heard>();
  private readonly ended = new Subject<void>();
  private timers: NodeJS.Timeout[] = [];
  private unfollow: () => void = () => undefined;

  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
    private readonly logs: GaugeLogStore,
    reading: Reading,
    private readonly database: Database,
  ) {
    this.doors = new Doors(database.folder);
    this.files = new ReadingFiles(database.folder);
    this.counting = new RunCounting(database.folder, clock, store, reading, writer, this.files);
  }

  onModuleInit(): void {
    this.follow();
    // Other data may hold other instruments.
    this.database.onReopened(() => this.follow());
    this.unfollow = this.writer.changes.follow(({ kind }) => {
      if (kind === 'setUp') this.follow();
    });
    this.timers = [
      setInterval(() => void this.files.flush(), FLUSH_MS),
      setInterval(() => this.watches.forEach(({ watch }) => watch.tick()), FLUSH_MS),
      setInterval(() => void this.counting.look(this.listenedTo()), COUNTED_EVERY_MS),
      setInterval(() => void this.files.purge(this.clock.nowMs()), PURGE_MS),
    ];
    for (const timer of this.timers) timer.unref();
  }

  async onModuleDestroy(): Promise<void> {
    this.ended.next();
    this.unfollow();
    this.timers.forEach(clearInterval);
    for (const { watch } of this.watches.values()) watch.end();
    this.watches.clear();
    await this.files.flush();
  }

  all(sight: Sight): InstrumentsAnswer {
    const instruments = Object.entries(this.records(sight)).map(([id, instrument]) => ({
      ...{ id, instrument },
      hasPassword: Boolean(this.doors.open(id, instrument)?.password),
      status: this.statusOf(id),
    }));
    return { nowMs: this.clock.nowMs(), instruments };
  }

  /** @throws NotFoundException */
  async connect(id: string, password: string | null): Promise<InstrumentsAnswer> {
    await this.doors.allow(id, this.record(id), password);
    this.follow([id]);
    return this.all(null);
  }

  /** @throws NotFoundException */
  async disconnect(id: string): Promise<InstrumentsAnswer> {
    this.record(id);
    await this.doors.close(id);
    this.follow();
    return this.all(null);
  }

  /** @throws NotFoundException, BadRequestException */
  async readings(id: string, key: string, of: { fromMs: number; toMs: number }): Promise<ReadingsAnswer> {
    this.channel(id, key);
    const { fromMs, toMs } = inOrder(of, WEEK_MS);
    const { atMs, value, count } = await this.files.between({
      ...{ instrumentId: id, key, fromMs, toMs, most: MOST_POINTS },
    });
    return { key, fromMs, toMs, count, atMs: [...atMs], value: [...value] };
  }

  /** Keeps readings as a gauge log, by its hash. @throws NotFoundException, BadRequestException */
  async keepRecord(actor: Actor, id: string, of: ReadingsRecord): Promise<ReadingsRecorded> {
    const instrument = this.record(id);
    const channel = this.channel(id, of.key);
    if (channel.means !== 'pressure')
      throw new BadRequestException(`key: a channel of a pressure; "${of.key}" is none`);
    const { fromMs, toMs } = inOrder(of, LONGEST_RECORD_MS);
    const readings = await this.files.between({ instrumentId: id, key: of.key, fromMs, toMs });
    if (readings.count === 0)
      throw new BadRequestException('fromMs, toMs: a time in which the instrument was heard; here nothing came');
    const kept = await this.logs.keep(Readable.from(logText(instrument, channel, readings)));
    if (!kept.ok) throw new BadRequestException(kept.issue.right);
    this.writer.noteFile(actor);
    const name = `${saidBy(instrument)}, ${new Date(fromMs).toISOString().slice(0, 16).replace('T', ' ')} UTC`;
    return { ...kept.log, name, readings: readings.count };
  }

  /** Readings of one instrument as they come, ten times a second; how all stand, once a second. @param id null for the second alone */
  stream(id: string | null, sightNow: () => Sight): Observable<MessageEvent> {
    return new Observable<MessageEvent>((out) => {
      let waiting: Record<string, [number, number][]> = {};
      const listening = this.heard.subscribe(({ instrumentId, readings }) => {
        if (instrumentId !== id || !this.records(sightNow())[id]) return;
        for (const { key, atMs, value } of readings) (waiting[key] ??= []).push([atMs, value]);
      });
      const send = setInterval(() => {
        if (Object.keys(waiting).length === 0) return;
        const data: ReadingsSent = { readings: waiting };
        out.next({ type: 'readings', data });
        waiting = {};
      }, SENT_EVERY_MS);
      const stand = () => out.next({ type: 'instruments', data: this.all(sightNow()) });
      const standing = setInterval(stand, STATUS_EVERY_MS);
      stand();
      return () => {
        listening.unsubscribe();
        clearInterval(send);
        clearInterval(standing);
      };
    }).pipe(takeUntil(this.ended));
  }

  private records(sight: Sight = null): Readonly<Record<string, Instrument>> {
    return houseSeen(sight, this.store.book.at(isoNow(this.clock))).instrument;
  }

  private listenedTo(): Readonly<Record<string, Instrument>> {
    return Object.fromEntries([...this.watches].map(([id, { watch }]) => [id, watch.instrument]));
  }

  private record(id: string): Instrument {
    const records = this.records();
    const found = Object.hasOwn(records, id) ? records[id] : undefined;
    if (!found) throw new NotFoundException('the id of an instrument of the set-up');
    return found;
  }

  private channel(id: string, key: string): InstrumentChannel {
    const channels = this.record(id).channels ?? [];
    const found = channels.find((c) => c.key === key);
    if (!found) throw new BadRequestException(`key: one of ${channels.map((c) => c.key).join(', ') || 'its channels'}`);
    return found;
  }

  private statusOf(id: string): InstrumentStatus {
    return this.watches.get(id)?.watch.status() ?? NOT_CONNECTED;
  }

  /** Listens to whom it may, as their records say now. @param anew those that are dialled anew in any case */
  private follow(anew: readonly string[] = []): void {
    const records = this.records();
    for (const [id, { watch, of }] of this.watches) {
      const record = records[id];
      const door = record ? this.doors.open(id, record) : null;
      if (door && JSON.stringify(record) === of && !anew.includes(id)) continue;
      watch.end();
      this.watches.delete(id);
    }
    for (const [id, record] of Object.entries(records)) {
      const door = this.doors.open(id, record);
      if (!door || this.watches.has(id)) continue;
      const take = (readings: readonly HeardReading[]) => this.take(id, readings);
      const watch = new Watch(record, door.password, () => this.clock.nowMs(), take);
      this.watches.set(id, { watch, of: JSON.stringify(record) });
    }
  }

  private take(instrumentId: string, readings: readonly HeardReading[]): void {
    for (const { key, atMs, value } of readings) this.files.add(instrumentId, key, atMs, value);
    const instrument = this.watches.get(instrumentId)?.watch.instrument;
    if (instrument) this.counting.take(instrumentId, instrument, readings);
    this.heard.next({ instrumentId, readings });
  }
}

/** @throws BadRequestException */
function inOrder(
  { fromMs, toMs }: { fromMs: number; toMs: number },
  longestMs: number,
): { fromMs: number; toMs: number } {
  const right = Number.isFinite(fromMs) && Number.isFinite(toMs) && fromMs < toMs && toMs - fromMs <= longestMs;
  if (!right)
    throw new BadRequestException(
      `fromMs, toMs: two moments in milliseconds since 1970, one after the other, at most ${longestMs / 3_600_000} h apart`,
    );
  return { fromMs, toMs };
}
