import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { EquipmentPage, VacuumAnswer } from '@winter-jar/contracts';
import {
  equipmentProjection,
  houseSeen,
  NO_VACUUM_LIMITS,
  seesEntry,
  vacuumLimits,
  vacuumRecord,
  type Entry,
  type EntryKind,
  type EquipmentState,
  type HouseSetUp,
  type PumpState,
  type Sight,
  type SubjectRef,
  type VacuumLimits,
  onTheRound,
} from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import { journalPage } from '../house/journal-page.js';
import { SetUpStore } from '../journal/set-up-store.js';

const OF_THE_RECORD: readonly EntryKind[] = ['test', 'caseClosed'];
/** Of one subject: a test a day for three years. */
const MOST_TESTS = 1000;

/** Pumps that stand at an equipment by the set-up. */
const standingAt = (house: HouseSetUp, equipmentId: string): string[] =>
  Object.entries(house.pump).flatMap(([id, pump]) =>
    pump.equipmentId === equipmentId && onTheRound(pump) ? [id] : [],
  );

@Injectable()
export class EquipmentService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  /** An equipment with its own record, whichever pump stood at it. @throws NotFoundException */
  async page(sight: Sight, equipmentId: string, before: string | undefined): Promise<EquipmentPage> {
    const known = this.known(sight, equipmentId);
    const subject = { type: 'equipment', id: equipmentId };
    return {
      ...known,
      state: this.stateOf<EquipmentState>(subject) ?? equipmentProjection.first(subject),
      standsHere: standingAt(known.house, equipmentId),
      journal: await journalPage(this.reading.records, subject, { before }, (entry) => this.isSeen(sight, entry)),
    };
  }

  /** The vacuum record of a set: tests of the equipment, and those of pumps while they stood at it. @throws NotFoundException */
  async vacuum(sight: Sight, equipmentId: string): Promise<VacuumAnswer> {
    const known = this.known(sight, equipmentId);
    const subject = { type: 'equipment', id: equipmentId };
    const here = standingAt(known.house, equipmentId);
    const pumps = this.store.book.pumpsEverAt(equipmentId);
    const subjects: SubjectRef[] = [subject, ...pumps.map((id) => ({ type: 'pump', id }))];
    const pages = await Promise.all(
      subjects.map((subject) =>
        this.reading.records.page(subject, { before: null, kinds: OF_THE_RECORD, limit: MOST_TESTS }),
      ),
    );
    const entries = new Map(
      pages.flatMap((lines, i) =>
        lines.flatMap(({ entry }) =>
          this.isSeen(sight, entry) && (i === 0 || this.stoodAt(entry, equipmentId))
            ? [[entry.id, entry] as const]
            : [],
        ),
      ),
    );
    // The one that pumps down: a booster stands before it.
    const isMain = (id: string) => known.house.pumpModel[known.house.pump[id]?.modelId ?? '']?.kind !== 'booster';
    const inService = here.filter((id) => (known.house.pump[id]?.place ?? 'inService') === 'inService');
    const pumpId = inService.find(isMain) ?? here.find(isMain) ?? null;
    return {
      ...known,
      pumpId,
      record: vacuumRecord({ entries: [...entries.values()], pumpId, limits: this.limitsOf(pumpId) }),
    };
  }

  private known(sight: Sight, equipmentId: string) {
    const house = houseSeen(sight, this.store.book.at(isoNow(this.clock)));
    const equipment = house.equipment[equipmentId];
    const site = equipment && house.site[equipment.siteId];
    if (!site) throw new NotFoundException(`an equipment in the set-up; "${equipmentId}" is none`);
    return { equipmentId, equipment, site, house };
  }

  private stateOf<S>({ type, id }: SubjectRef): S | null {
    const stored = this.reading.sql.subjectState.get({ subjectType: type, subjectId: id });
    return stored ? (JSON.parse(stored.state) as S) : null;
  }

  private isSeen(sight: Sight, entry: Entry): boolean {
    return seesEntry(sight, this.store.book, entry);
  }

  private stoodAt({ subjects, happenedAt }: Entry, equipmentId: string): boolean {
    const pumpId = subjects.find((s) => s.type === 'pump')?.id;
    return pumpId !== undefined && this.store.book.at(happenedAt).pump[pumpId]?.equipmentId === equipmentId;
  }

  private limitsOf(pumpId: string | null): VacuumLimits {
    const setUp = pumpId === null ? null : this.store.book.pumpAt({ pumpId, instant: isoNow(this.clock) });
    if (pumpId === null || !setUp) return NO_VACUUM_LIMITS;
    return vacuumLimits(this.stateOf<PumpState>({ type: 'pump', id: pumpId })?.goodPa ?? [], setUp);
  }
}
