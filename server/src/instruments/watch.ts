import type { ChannelNow, InstrumentStatus, InstrumentTrouble, LostReason } from '@winter-jar/contracts';
import { readingTimes, readRaw, type Instrument, type OwnClock, type RawReading } from '@winter-jar/core';
import { ADAPTERS } from './adapters/adapters.js';
import { MOST_PER_SECOND } from './adapters/adapter.js';

const RAW_SHOWN = 12;
const AGAIN_MS = [1000, 2000, 5000, 10_000, 30_000];
const SILENT_MS = 10_000;
/** Of a line that stands and says nothing: it is hung up and dialled anew after so many times of what it is silent by. */
const REDIAL_TIMES = 6;

export interface HeardReading {
  readonly key: string;
  readonly atMs: number;
  readonly value: number;
}

/** Listens to one instrument as long as it may, dials again when the line is gone, and knows how it stands. */
export class Watch {
  private stop: (() => void) | null = null;
  private again: NodeJS.Timeout | null = null;
  private ended = false;
  private tries = 0;
  private state: 'connecting' | 'live' | 'lost' = 'connecting';
  private lastHeardMs: number | null = null;
  private stateSinceMs: number;
  private reason: LostReason | null = null;
  private trouble: InstrumentStatus['trouble'] = null;
  private raws: { readonly atMs: number; readonly raw: RawReading }[] = [];
  private readonly channels = new Map<string, ChannelNow>();
  private readonly clocks = new Map<string, OwnClock<number>>();
  private second = 0;
  private inSecond = 0;
  private perSecond = 0;
  private longestGapMs = 0;

  constructor(
    readonly instrument: Instrument,
    private readonly password: string | null,
    private readonly nowMs: () => number,
    private readonly heard: (readings: readonly HeardReading[]) => void,
  ) {
    this.stateSinceMs = nowMs();
    for (const { key } of instrument.channels ?? [])
      this.channels.set(key, { key, atMs: null, value: null, issue: null });
    void this.dial();
  }

  end(): void {
    this.ended = true;
    if (this.again) clearTimeout(this.again);
    this.stop?.();
  }

  status(): InstrumentStatus {
    const nowMs = this.nowMs();
    const silent = this.state === 'live' && nowMs - (this.lastHeardMs ?? this.stateSinceMs) > this.silentMs;
    return {
      state: silent ? 'silent' : this.state,
      sinceMs: this.state === 'lost' || silent ? this.lastHeardMs : this.stateSinceMs,
      reason: this.reason,
      trouble: this.trouble,
      perSecond: this.second === Math.floor(nowMs / 1000) - 1 ? this.inSecond : this.perSecond,
      raw: this.raws,
      channels: [...this.channels.values()],
    };
  }

  /** Once a second: a line that says nothing for long may be cut somewhere on the way. */
  tick(): void {
    const quietMs = this.nowMs() - Math.max(this.lastHeardMs ?? 0, this.stateSinceMs);
    if (this.state === 'live' && quietMs > REDIAL_TIMES * this.silentMs) this.lost('noAnswer');
  }

  private get silentMs(): number {
    return Math.max(SILENT_MS, 5 * this.longestGapMs, 5 * (this.instrument.everyMs ?? 0));
  }

  private async dial(): Promise<void> {
    this.again = null;
    const listen = await ADAPTERS[this.instrument.talks]();
    if (this.ended) return;
    this.stop = listen(this.instrument, this.password, {
      up: () => {
        this.tries = 0;
        this.reason = null;
        this.to('live');
      },
      raw: (raw) => this.take(raw),
      trouble: (code, found) => this.troubled(code, found),
      down: (reason) => this.lost(reason),
    });
  }

  private to(state: Watch['state']): void {
    if (this.state !== state) this.stateSinceMs = this.nowMs();
    this.state = state;
  }

  private lost(reason: LostReason): void {
    this.stop?.();
    this.stop = null;
    this.reason = reason;
    this.to('lost');
    const wait = AGAIN_MS[Math.min(this.tries, AGAIN_MS.length - 1)] ?? 1000;
    this.tries += 1;
    this.again = setTimeout(() => void this.dial(), reason === 'flood' ? Math.max(wait, 30_000) : wait);
  }

  private troubled(code: InstrumentTrouble, found: string): void {
    this.trouble = { code, found, atMs: this.nowMs() };
  }

  private take(raw: RawReading): void {
    const nowMs = this.nowMs();
    const second = Math.floor(nowMs / 1000);
    if (second !== this.second) {
      this.perSecond = this.inSecond;
      this.second = second;
      this.inSecond = 0;
    }
    this.inSecond += 1;
    if (this.inSecond > MOST_PER_SECOND) {
      if (this.inSecond === MOST_PER_SECOND + 1) this.troubled('tooMany', `${MOST_PER_SECOND}/s`);
      return;
    }
    if (this.lastHeardMs !== null && this.state === 'live') {
      const gap = nowMs - this.lastHeardMs;
      // A pause that was a silence says nothing of how often it speaks.
      if (gap < this.silentMs) this.longestGapMs = Math.max(gap, this.longestGapMs * 0.99);
    }
    this.lastHeardMs = nowMs;
    this.raws = [{ atMs: nowMs, raw }, ...this.raws.slice(0, RAW_SHOWN - 1)];
    this.understand(raw, nowMs);
  }

  private understand(raw: RawReading, nowMs: number): void {
    const { channels, altitudeM } = this.instrument;
    const reads = readRaw({ raw, channels: channels ?? [], altitudeM });
    const fits = reads.some((r) => r.ok || r.issue.code !== 'notThisLine');
    const readings: HeardReading[] = [];
    for (const read of reads) {
      const known = this.channels.get(read.key);
      if (read.ok) {
        readings.push(...this.placed(read.key, read.value, read.saidAtMs, nowMs));
        const last = readings.findLast((r) => r.key === read.key);
        if (last && last.atMs >= (known?.atMs ?? 0)) this.channels.set(read.key, { ...last, issue: null });
      } else if (read.issue.code !== 'notThisLine' || !fits)
        this.channels.set(read.key, {
          ...{ key: read.key, atMs: known?.atMs ?? null, value: known?.value ?? null },
          issue: { ...read.issue, atMs: nowMs },
        });
    }
    if (readings.length > 0) this.heard(readings);
  }

  private placed(key: string, value: number, saidMs: number | null, cameMs: number): HeardReading[] {
    const { clock, placed, wrongByMs } = readingTimes(this.clocks.get(key) ?? null, { saidMs, cameMs, of: value });
    if (clock) this.clocks.set(key, clock);
    if (wrongByMs !== null) this.troubled('clockWrong', stampOf(saidMs ?? cameMs));
    return placed.map(({ atMs, of }) => ({ key, atMs, value: of }));
  }
}

/** As long as it is a day at all. */
const stampOf = (ms: number): string =>
  Math.abs(ms) <= 8.64e15 ? new Date(ms).toISOString().slice(0, 16) : String(ms);
