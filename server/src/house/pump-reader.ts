import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import {
  pumpIdsOf,
  seesEntry,
  seesStanding,
  standingAt,
  standsOpen,
  type Entry,
  type PumpSetUp,
  type PumpState,
  type Sight,
  type Standing,
} from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { ofAnyVersion, pumpStateIn } from '../database/pump-state-in.js';
import { Reading } from '../database/reading.js';
import { SetUpStore } from '../journal/set-up-store.js';

/** A pump as it is read: its set-up or a 404, its state or the first one, and how it stands now. */
@Injectable()
export class PumpReader {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  get now(): string {
    return isoNow(this.clock);
  }

  /** @throws NotFoundException */
  setUpOf(pumpId: string, instant = this.now): PumpSetUp {
    const setUp = this.store.book.pumpAt({ pumpId, instant });
    if (!setUp) throw new NotFoundException(`a pump in the set-up; "${pumpId}" is none`);
    return setUp;
  }

  /** Whether somebody sees an entry: by where it was said, or because it stands open at a pump that they see now. */
  isSeen(sight: Sight, entry: Entry): boolean {
    const house = this.store.book.at(this.now);
    const isOpenHere = (id: string) => seesStanding(sight, house, 'pump', id) && standsOpen(entry, this.stateOf(id));
    return seesEntry(sight, this.store.book, entry) || pumpIdsOf(entry).some(isOpenHere);
  }

  stateOf(pumpId: string): PumpState {
    return pumpStateIn(pumpId, this.reading.sql.subjectState.get({ subjectType: 'pump', subjectId: pumpId }));
  }

  /** @throws NotFoundException */
  pump(pumpId: string): { now: string; setUp: PumpSetUp; state: PumpState; standing: Standing } {
    const { now } = this;
    const setUp = this.setUpOf(pumpId, now);
    const unsettled = this.reading.unsettledByPump().get(pumpId) ?? 0;
    return ofAnyVersion(pumpId, this.stateOf(pumpId), (state) => ({
      now,
      setUp,
      state,
      standing: standingAt({ state, setUp, now, unsettled }),
    }));
  }
}
