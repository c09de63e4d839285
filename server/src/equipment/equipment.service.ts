import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { EquipmentPage } from '@winter-jar/contracts';
import { equipmentProjection, type EquipmentState } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import { journalPage } from '../house/journal-page.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { onTheRound } from '../round/round-row.js';

@Injectable()
export class EquipmentService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  /** An equipment with its own record, whichever pump stood at it. @throws NotFoundException */
  async page(equipmentId: string, before: string | undefined): Promise<EquipmentPage> {
    const house = this.store.book.at(isoNow(this.clock));
    const equipment = house.equipment[equipmentId];
    const site = equipment && house.site[equipment.siteId];
    if (!site) throw new NotFoundException(`an equipment in the set-up; "${equipmentId}" is none`);
    const subject = { type: 'equipment', id: equipmentId };
    const { sql, records } = this.reading;
    const stored = sql.subjectState.get({ subjectType: subject.type, subjectId: subject.id });
    return {
      equipmentId,
      equipment,
      site,
      state: stored ? (JSON.parse(stored.state) as EquipmentState) : equipmentProjection.first(subject),
      standsHere: Object.entries(house.pump).flatMap(([id, pump]) =>
        pump.equipmentId === equipmentId && onTheRound(pump) ? [id] : [],
      ),
      journal: await journalPage(records, subject, { before }),
      house,
    };
  }
}
