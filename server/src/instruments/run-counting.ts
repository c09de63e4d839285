import { Logger } from '@nestjs/common';
import {
  BODY_VERSION,
  forgetBefore,
  hearSignal,
  loadAbovePaOf,
  loadByOf,
  nothingHeard,
  onIntervals,
  RUN_RULES,
  runsSeen,
  type Correction,
  type Entry,
  type Heard,
  type Instrument,
  type LoadBy,
  type PumpSetUp,
  type SeenRun,
} from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import { isoNow, type Clock } from '../clock/clock.js';
import type { Reading } from '../database/reading.js';
import type { Actor } from '../journal/actor.js';
import type { JournalWriter } from '../journal/journal-writer.js';
import type { SetUpStore } from '../journal/set-up-store.js';
import { actOn, correctionOf, isSameRun, runEntry, saidBy, type RunAct, type RunEntry } from './counted-runs.js';
import { CountingMemory, type Told } from './counting-memory.js';
import { KEPT_MS, type ReadingFiles } from './readings.js';
import type { HeardReading } from './watch.js';

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;
/** Runs of a pump that are looked through for the same one: those of some days. */
const RUNS_BACK = 60;
/** What was sent late is looked through when it has come in. */
const LATE_SETTLES_MS = 5000;
const LATE_MS = 2000;
/** Turning beside runs is told once it is so much. */
const WORTH_TELLING_MIN = 30;

/** What is heard of one pump. */
interface Listening {
  readonly heard: Heard;
  lastMs: number;
  /** Something came late, last at this moment of the server: it is read anew from the files. */
  lateAtMs: number | null;
}

/** Counts runs by instruments that know whether their pump turns, and tells the journal, once for each. */
export class RunCounting {
  private readonly memory: CountingMemory;
  private readonly listening = new Map<string, Listening>();
  private readonly logger = new Logger('Counted runs');
  private readonly lastSeen = new Map<string, string>();
  private busy = false;

  constructor(
    dataFolder: string,
    private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly reading: Reading,
    private readonly writer: JournalWriter,
    private readonly files: ReadingFiles,
  ) {
    this.memory = new CountingMemory(dataFolder);
  }

  take(id: string, instrument: Instrument, readings: readonly HeardReading[]): void {
    const of = this.listening.get(id);
    const pump = of && this.pumpOf(instrument);
    if (!of || !pump) return;
    const loadAbovePa = loadAbovePaOf(instrument, pump);
    for (const { key, atMs, value } of readings) {
      const means = meansOf(instrument, key);
      if (atMs < of.lastMs - LATE_MS) of.lateAtMs = this.clock.nowMs();
      else hearSignal(of.heard, { means, atMs, value }, { loadAbovePa });
      of.lastMs = Math.max(of.lastMs, atMs);
    }
  }

  /** Once in a while: what is seen by now is told. One turn after another. */
  async look(instruments: Readonly<Record<string, Instrument>>): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    for (const [id, instrument] of Object.entries(instruments)) {
      const loadBy = loadByOf(instrument);
      const pump = this.pumpOf(instrument);
      if (loadBy === null || !pump) continue;
      // One that cannot be counted keeps no other waiting.
      await this.lookAt(id, instrument, loadBy, pump).catch((error: unknown) => this.logger.error(error));
    }
    this.busy = false;
  }

  private async lookAt(id: string, instrument: Instrument, loadBy: LoadBy, pump: PumpSetUp): Promise<void> {
    const nowMs = this.clock.nowMs();
    let of = this.listening.get(id);
    if (!of || (of.lateAtMs !== null && nowMs - of.lateAtMs > LATE_SETTLES_MS)) {
      of = await this.readAnew(id, instrument, pump, nowMs);
      this.listening.set(id, of);
    }
    forgetBefore(of.heard, nowMs - KEPT_MS);
    const { runs } = runsSeen({ heard: of.heard, loadBy, nowMs });
    const seen = JSON.stringify([runs, await this.standing(instrument)]);
    if (this.lastSeen.get(id) !== seen) {
      for (const run of runs) await this.tell(id, instrument, run);
      this.lastSeen.set(id, seen);
    }
    await this.tellTurning(id, instrument, of.heard, runs);
  }

  /** How the runs of its pump stand in the journal: where neither that nor what was seen has moved, nothing is to be told. */
  private async standing({ pumpId }: Instrument): Promise<unknown> {
    const logged = await this.loggedOf(pumpId ?? '');
    return logged.map((e) => [e.id, e.happenedAt, e.body.minutes, e.body.stillRunning, e.body.session]);
  }

  /** All that is kept of it, hour by hour: others come in between. */
  private async readAnew(id: string, instrument: Instrument, pump: PumpSetUp, nowMs: number): Promise<Listening> {
    const heard = nothingHeard();
    const loadAbovePa = loadAbovePaOf(instrument, pump);
    // What comes meanwhile is in the files when its hour is read.
    const of: Listening = { heard, lastMs: 0, lateAtMs: null };
    const keys = (instrument.channels ?? []).map((c) => c.key);
    for (
      let fromMs = Math.floor((nowMs - KEPT_MS) / HOUR_MS) * HOUR_MS;
      fromMs <= this.clock.nowMs();
      fromMs += HOUR_MS
    ) {
      const parts = await Promise.all(
        keys.map(async (key) => {
          const toMs = fromMs + HOUR_MS - 1;
          const { atMs, value } = await this.files.between({ instrumentId: id, key, fromMs, toMs });
          return [...atMs].map((ms, i) => ({ means: meansOf(instrument, key), atMs: ms, value: value[i] ?? 0 }));
        }),
      );
      for (const signal of parts.flat().sort((a, b) => a.atMs - b.atMs)) {
        hearSignal(heard, signal, { loadAbovePa });
        of.lastMs = signal.atMs;
      }
    }
    return of;
  }

  private pumpOf({ pumpId }: Instrument): PumpSetUp | null {
    return pumpId ? this.store.book.pumpAt({ pumpId, instant: isoNow(this.clock) }) : null;
  }

  private async loggedOf(pumpId: string): Promise<RunEntry[]> {
    const subject = { type: 'pump', id: pumpId } as const;
    const lines = await this.reading.records.page(subject, { before: null, kinds: ['run'], limit: RUNS_BACK });
    return lines.map(({ entry }) => entry as RunEntry);
  }

  private async tell(id: string, instrument: Instrument, run: SeenRun): Promise<void> {
    const { pumpId } = instrument;
    const nowMs = this.clock.nowMs();
    const now = isoNow(this.clock);
    const pump = pumpId && this.store.book.pumpAt({ pumpId, instant: new Date(run.startMs).toISOString() });
    if (!pumpId || !pump) return;
    const told = this.memory.of(id);
    const stretch = { fromMs: run.startMs, toMs: run.endMs ?? nowMs };
    const remembered =
      told.runs.find((k) => isSameRun({ fromMs: k.startMs, toMs: Math.max(k.endMs ?? nowMs, k.startMs) }, stretch)) ??
      null;
    // Of data that were put back from before, what was told since is told again.
    const known = remembered && (await this.reading.records.original(remembered.entryId)) ? remembered : null;
    const logged = await this.loggedOf(pumpId);
    const corrections = known ? await this.reading.records.correctionsOf(known.entryId) : [];
    const cycles = pump.equipment.cyclesPerRun ? run.cycles : null;
    const act = actOn({
      ...{ run: { ...run, cycles }, known, logged, nowMs },
      counted: new Set(told.runs.map((k) => k.entryId)),
      saidByPerson: known !== null && lastWordIsAPersons(corrections, instrument, known.takenOnAt),
    });
    const entryId = await this.doIt(id, instrument, act, { pumpId, pump, now, corrections });
    const standsFor = entryId ?? known?.entryId;
    if (standsFor === undefined) return;
    const takenOnAt = known?.entryId === standsFor ? known.takenOnAt : now;
    const others = told.runs.filter((k) => k !== remembered && nowMs - k.startMs < 2 * KEPT_MS);
    const counted = { entryId: standsFor, startMs: run.startMs, endMs: run.endMs, takenOnAt };
    if (JSON.stringify(known) !== JSON.stringify(counted))
      await this.memory.put(id, { ...told, runs: [...others, counted] });
  }

  /** @returns the entry that stands for the run from now on; null where that has not changed */
  private async doIt(
    id: string,
    instrument: Instrument,
    act: RunAct,
    of: { pumpId: string; pump: PumpSetUp; now: string; corrections: readonly Correction[] },
  ): Promise<string | null> {
    const { pumpId, pump, now } = of;
    const actor: Actor = { kind: 'instrument', instrumentId: id, from: instrument.host };
    switch (act.do) {
      case 'nothing':
        return null;
      case 'adopt':
        return act.entry.id;
      case 'begin': {
        const { equipmentId } = pump.pump;
        const zone = pump.site.zone;
        const entry = runEntry({ instrument, pumpId, equipmentId, zone, act, now });
        return this.write(actor, entry) ? entry.id : null;
      }
      case 'correct': {
        const said = { body: act.body, startMs: act.startMs };
        const corrections = await this.reading.records.correctionsOf(act.entry.id);
        this.write(actor, correctionOf({ instrument, entry: act.entry, corrections, said, now }));
        return null;
      }
      case 'giveWay': {
        this.write(actor, correctionOf({ instrument, entry: act.own, corrections: of.corrections, said: null, now }));
        return act.to.id;
      }
    }
  }

  private write(actor: Actor, entry: Entry | Correction): boolean {
    const [answer] = this.writer.writeTogether(actor, [entry]);
    const isWritten = answer?.status === 'written' || answer?.status === 'alreadyWritten';
    if (!isWritten) this.logger.warn(`A counted run was not written: ${JSON.stringify(answer)}`);
    return isWritten;
  }

  /** Warming up, purging, drying out and tests are oil time: told as readings of an hour meter, where the pump has none of its own. */
  private async tellTurning(id: string, instrument: Instrument, heard: Heard, runs: readonly SeenRun[]): Promise<void> {
    const { pumpId } = instrument;
    const pump = this.pumpOf(instrument);
    if (!pumpId || !pump || pump.model.hasHourMeter) return;
    const nowMs = this.clock.nowMs();
    const told = this.memory.of(id);
    const turning = onIntervals(heard.running, RUN_RULES.bridgeMs);
    const [first] = turning;
    if (!first) return;
    // While it turns, and until a run's end is settled, nobody knows what of it is a run.
    const last = turning.at(-1);
    if (last?.end === 'going' || runs.some((r) => r.endMs === null)) return;
    const zone = pump.site.zone;
    const actor: Actor = { kind: 'instrument', instrumentId: id, from: instrument.host };
    const meter = (minutes: number, atMs: number): Entry => ({
      ...{ id: newId(), actId: newId(), kind: 'meter', subjects: [{ type: 'pump', id: pumpId }], zone },
      ...{ happenedAt: new Date(atMs).toISOString(), precision: 'exact', recordedAt: isoNow(this.clock), who: null },
      ...{ device: saidBy(instrument), acknowledged: [], bodyVersion: BODY_VERSION },
      body: { action: 'read', minutes },
    });
    if (told.turned === null) {
      // Readings of somebody else's meter are not mixed with these.
      if (this.writer.states([pumpId]).get(pumpId)?.meter) return;
      if (this.write(actor, meter(0, first.fromMs)))
        await this.memory.put(id, { ...told, turned: { minutes: 0, untilMs: first.fromMs, toldMinutes: 0 } });
      return;
    }
    const { turned } = told;
    const since = turning.filter((i) => i.toMs > turned.untilMs);
    const untilMs = since.at(-1)?.toMs ?? turned.untilMs;
    if (nowMs - untilMs < RUN_RULES.loadGapMs) return;
    const more = since.reduce((sum, i) => sum + (i.toMs - Math.max(i.fromMs, turned.untilMs)) / MINUTE_MS, 0);
    const minutes = turned.minutes + more;
    const next: Told['turned'] = { ...turned, minutes, untilMs };
    const worth = minutes - turned.toldMinutes >= WORTH_TELLING_MIN;
    if (worth && !this.write(actor, meter(Math.round(minutes), untilMs))) return;
    if (since.length > 0)
      await this.memory.put(id, { ...told, turned: worth ? { ...next, toldMinutes: minutes } : next });
  }
}

const meansOf = (instrument: Instrument, key: string): LoadBy =>
  (instrument.channels ?? []).find((c) => c.key === key)?.means ?? 'running';

/** Since the entry stands for the run. */
function lastWordIsAPersons(corrections: readonly Correction[], instrument: Instrument, since: string): boolean {
  const last = [...corrections].sort((a, b) => (a.recordedAt < b.recordedAt ? -1 : 1)).at(-1);
  return last !== undefined && last.recordedAt > since && last.device !== saidBy(instrument);
}
