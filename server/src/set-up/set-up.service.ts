import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { FieldIssue, RecordHistory, SetUpAnswer } from '@winter-jar/contracts';
import { houseSeen, SET_UP_KINDS, standsAtSite, type SetUpKind, type SetUpVersion, type Sight } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { isSearchedFor, pumpsBorneUpon } from '../journal/set-up-bearing.js';
import { SetUpStore, type RecordName } from '../journal/set-up-store.js';
import { WorkQueue } from '../work/work-queue.js';
import { NAMED_IN_JOURNAL_JOB, PUMPS_NAMING_JOB } from './pumps-naming.js';

@Injectable()
export class SetUpService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
    private readonly reading: Reading,
    private readonly beside: WorkQueue,
  ) {}

  inForce(sight: Sight): SetUpAnswer {
    const at = isoNow(this.clock);
    return { at, tag: String(this.store.tag), house: houseSeen(sight, this.store.book.at(at)) };
  }

  /** Whether what stands at the sites that somebody sees is all that a record, or a version of one, is about. */
  isTheirs(sight: Sight, record: RecordName | SetUpVersion): boolean {
    if (sight === null) return true;
    const { kind, subjectId } = record;
    if (!standsAtSite(kind)) return false;
    const house = this.store.book.at(isoNow(this.clock));
    if (house[kind][subjectId] !== undefined && houseSeen(sight, house)[kind][subjectId] === undefined) return false;
    if (!('body' in record)) return true;
    const { siteId, ...others } = record.body as { siteId: string; equipmentId?: string };
    const isElsewhere = others.equipmentId !== undefined && !houseSeen(sight, house).equipment[others.equipmentId];
    return sight.includes(siteId) && !isElsewhere;
  }

  async history(sight: Sight, kind: string, subjectId: string): Promise<RecordHistory> {
    const known = SET_UP_KINDS.find((k) => k === kind);
    const record = { kind: known as SetUpKind, subjectId };
    const inForce = known && this.store.inForce(record, isoNow(this.clock));
    const seen = houseSeen(sight, this.store.book.at(isoNow(this.clock)));
    if (!inForce || seen[inForce.kind][subjectId] === undefined)
      throw new NotFoundException(`a record of the set-up; there is no ${kind} "${subjectId}"`);
    const versions = this.store
      .versionsOf(record)
      .filter(({ body }) => sight === null || !('siteId' in body) || sight.includes(body.siteId))
      .sort((a, b) => (`${a.validFrom} ${a.recordedAt} ${a.id}` < `${b.validFrom} ${b.recordedAt} ${b.id}` ? -1 : 1));
    const searched = isSearchedFor(record) ? await this.beside.run(PUMPS_NAMING_JOB, [record]) : null;
    const usedByPumps = pumpsBorneUpon(this.reading.sql, this.store, record, () => searched?.pumpIds[0] ?? []);
    return {
      ...record,
      versions,
      inForceId: inForce.id,
      usedByPumps: usedByPumps.filter((id) => sight === null || seen.pump[id] !== undefined),
    };
  }

  /** Writes versions, all or none. Where they count for what was, who is named is searched for beside. */
  async write(actor: Actor, versions: readonly SetUpVersion[], seenTag: number | null): Promise<FieldIssue[]> {
    const then = this.store.with(versions);
    const records = versions
      .filter((v) => isSearchedFor(v) && this.reading.sql.subjectsSince.all(then.countsFrom(v)).length > 0)
      .map(({ kind, subjectId }) => ({ kind, subjectId }));
    if (records.length === 0) return this.writer.writeSetUp(actor, versions, seenTag);
    const { until, pumpIds } = await this.beside.run(PUMPS_NAMING_JOB, records);
    const pumpIdsOf = ({ kind, subjectId }: RecordName) =>
      records.flatMap((one, i) => (one.kind === kind && one.subjectId === subjectId ? (pumpIds[i] ?? []) : []));
    return this.writer.writeSetUp(actor, versions, seenTag, { until, pumpIdsOf });
  }

  /** Takes records out that nothing names, all or none. */
  async remove(actor: Actor, records: readonly RecordName[]): Promise<FieldIssue[]> {
    return this.writer.removeSetUp(actor, records, await this.beside.run(NAMED_IN_JOURNAL_JOB, records));
  }
}
