import { Controller, Get, Inject } from '@nestjs/common';
import type { UntoldAnswer, UntoldRun } from '@winter-jar/contracts';
import { equipmentIdOf, houseSeen, seesEntry, usualMaterial, type Entry, type Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { Reading } from '../database/reading.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { PumpReader } from '../house/pump-reader.js';
import { SetUpStore } from '../journal/set-up-store.js';

type RunEntry = Extract<Entry, { kind: 'run' }>;
/** Some months of an equipment that runs daily. */
const RUNS_BACK = 120;

/** Runs that a pump has told by itself, or that somebody logged in a hurry, without what went in. */
@Needs('read')
@Sites('sifted')
@Controller('api/untold')
export class UntoldController {
  constructor(
    @Inject(Reading) private readonly reading: Reading,
    @Inject(PumpReader) private readonly pumps: PumpReader,
    @Inject(SetUpStore) private readonly store: SetUpStore,
  ) {}

  @Get()
  @Documented({
    id: 'untold',
    summary: 'Runs of which nobody has said what went in, with what usually does',
    answer: 'UntoldAnswer',
  })
  async untold(@Seeing() sight: Sight): Promise<UntoldAnswer> {
    const { now } = this.pumps;
    const house = houseSeen(sight, this.store.book.at(now));
    const runs: UntoldRun[] = [];
    const known = new Map<string, RunEntry[]>();
    for (const [pumpId, pump] of Object.entries(house.pump)) {
      const ids = new Set(this.pumps.stateOf(pumpId).notTold.map((e) => e.entryId));
      if (ids.size === 0) continue;
      const zone = house.site[pump.siteId]?.zone ?? 'UTC';
      for (const entry of await this.runsOf({ type: 'pump', id: pumpId })) {
        if (!ids.has(entry.id) || runs.some((r) => r.entry.id === entry.id)) continue;
        if (!seesEntry(sight, this.store.book, entry)) continue;
        const equipmentId = equipmentIdOf(entry) ?? pump.equipmentId;
        const earlier = known.get(equipmentId) ?? (await this.runsOf({ type: 'equipment', id: equipmentId }));
        known.set(equipmentId, earlier);
        const said = earlier.map((e) => ({ at: e.happenedAt, materialId: e.body.materialId ?? null }));
        runs.push({
          pumpId,
          equipmentId,
          zone,
          entry,
          usual: usualMaterial({ runs: said, at: entry.happenedAt, zone }),
        });
      }
    }
    return { at: now, runs: runs.sort((a, b) => (a.entry.happenedAt < b.entry.happenedAt ? 1 : -1)) };
  }

  private async runsOf(subject: { type: 'pump' | 'equipment'; id: string }): Promise<RunEntry[]> {
    const lines = await this.reading.records.page(subject, { before: null, kinds: ['run'], limit: RUNS_BACK });
    return lines.map(({ entry }) => entry as RunEntry);
  }
}
