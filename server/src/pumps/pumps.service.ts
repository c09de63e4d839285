import { Injectable, NotFoundException } from '@nestjs/common';
import {
  MAX_UNSETTLED,
  type EarlierCharge,
  type EntryHistory,
  type JobAnswer,
  JournalPage,
  type OilStory,
  type PumpPage,
  type ServiceTimes,
  type StepTimes,
  type TakenBack,
  type WaterAnswer,
} from '@winter-jar/contracts';
import {
  chargeTrends,
  correctionsConflict,
  effectiveEntry,
  houseSeen,
  oilStory,
  runRuler,
  seesEntry,
  waterStory,
  type Correction,
  type Entry,
  type PumpState,
  type Sight,
  pumpIdsOf,
  roundRow,
} from '@winter-jar/core';
import { Reading } from '../database/reading.js';
import { journalPage } from '../house/journal-page.js';
import { PumpReader } from '../house/pump-reader.js';
import { lastCharges } from './last-charges.js';
import { serviceTimes, stepTimes } from './service-times.js';
import { SetUpStore } from '../journal/set-up-store.js';

const EARLIER_CHARGES = 8;
/** Ended charges that the story goes back: enough to test a trend. */
const STORY_CHARGES = 15;
const MOST_TAKEN_BACK = 100;

@Injectable()
export class PumpsService {
  constructor(
    private readonly pumps: PumpReader,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  async page(sight: Sight, pumpId: string): Promise<PumpPage> {
    const { setUp, state, standing } = this.pumps.pump(pumpId);
    return {
      row: roundRow({ setUp, state, standing }),
      setUp: { ...setUp, house: houseSeen(sight, setUp.house) },
      state,
      standing,
      earlier: await this.earlierCharges(pumpId),
    };
  }

  /** The last ended charges, newest first; their rulers come from the checkpoints at their ends. */
  private async earlierCharges(pumpId: string): Promise<EarlierCharge[]> {
    const ended = await this.reading.records.endedCharges<PumpState>(pumpId, EARLIER_CHARGES);
    return ended.flatMap((state) => {
      const charge = state.sumps.find((s) => s.key === 'oil')?.charge;
      if (!charge) return [];
      return [
        {
          number: charge.number,
          since: charge.since.at,
          until: state.last?.happenedAt ?? charge.since.at,
          runs: state.totals.runs - charge.since.counts.runs,
          hours: (state.totals.minutes - charge.since.counts.minutes) / 60,
          carriedOverRuns: charge.carriedOverRuns,
          bledWaterMl: charge.bledWaterUl / 1000,
          lastJar: state.jars.filter((j) => j.at >= charge.since.at && j.source !== 'change').at(-1) ?? null,
          ruler: runRuler({ state, standing: null }),
        },
      ];
    });
  }

  /** The last charges as their looks tell them, folded anew from the end of the one before them. */
  async oilStory(pumpId: string): Promise<OilStory> {
    const setUp = this.pumps.setUpOf(pumpId);
    const { from, entries } = await lastCharges(this.reading, pumpId, STORY_CHARGES);
    const charges = oilStory({ from, pumpId, entries, book: this.store.book }).slice(-STORY_CHARGES - 1);
    const productId = charges.at(-1)?.productId ?? setUp.pump.oilProductId ?? '';
    return { charges, trends: chargeTrends(charges), product: setUp.house.oilProduct[productId] ?? null };
  }

  /** The present charge's water, run by run. */
  async water(pumpId: string): Promise<WaterAnswer> {
    const { state, standing } = this.pumps.pump(pumpId);
    const { entries } = await lastCharges(this.reading, pumpId, 1);
    return { story: waterStory({ pumpId, entries, state, book: this.store.book, now: standing.at }) };
  }

  journal(
    sight: Sight,
    pumpId: string,
    asked: { before?: string | undefined; kinds?: string | undefined },
  ): Promise<JournalPage> {
    return journalPage(this.reading.records, { type: 'pump', id: pumpId }, asked, (entry) =>
      seesEntry(sight, this.store.book, entry),
    );
  }

  /** What was taken back last; it stays, and can count again. */
  takenBack(sight: Sight, pumpId: string): TakenBack {
    const rows = this.reading.sql.takenBack.all({ subjectType: 'pump', subjectId: pumpId, limit: MOST_TAKEN_BACK });
    const lines = rows.map((row) => {
      const { recordedAt, who } = JSON.parse(row.correction) as Correction;
      return { entry: JSON.parse(row.content) as Entry, takenBackAt: recordedAt, takenBackBy: who ?? null };
    });
    return { lines: lines.filter(({ entry }) => seesEntry(sight, this.store.book, entry)) };
  }

  /** A job of a pump, under way or ended: all that was written in it, as it counts. */
  async job(sight: Sight, pumpId: string, jobId: string): Promise<JobAnswer> {
    const [row] = this.reading.sql.jobsStarted.all(jobId);
    const started = row ? (JSON.parse(row.content) as Entry) : null;
    if (!started || !pumpIdsOf(started).includes(pumpId) || !this.pumps.isSeen(sight, started))
      throw new NotFoundException(`the id of a job of this pump; "${jobId}" is none`);
    // All of a job is one deed.
    const entries = await this.reading.records.ofDeed(started.actId);
    return { entries };
  }

  serviceTimes(): ServiceTimes {
    return serviceTimes(this.reading.sql, this.store.book);
  }

  stepTimes(procedure: string, modelId: string): Promise<StepTimes> {
    return stepTimes(this.reading, this.store.book, { procedure, modelId });
  }

  /** An entry with everything ever said about it. */
  async history(sight: Sight, entryId: string): Promise<EntryHistory> {
    const { records } = this.reading;
    const found = await records.original(entryId);
    if (!found || found.kind === 'correction' || !this.pumps.isSeen(sight, found.entry))
      throw new NotFoundException(`the id of an entry; "${entryId}" is none`);
    const original = found.entry;
    const corrections = await records.correctionsOf(entryId);
    return {
      original,
      corrections,
      unsettled: await records.unsettled(MAX_UNSETTLED, entryId),
      counts: found.asks.length > 0 ? null : effectiveEntry(original, corrections),
      asks: found.asks,
      actEntryIds: await records.countedOfDeed(original.actId),
      contradicted: correctionsConflict(corrections),
    };
  }
}
