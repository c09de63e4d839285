import { setImmediate } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { SuspectsAnswer } from '@winter-jar/contracts';
import { stretchesOf, suspectMaterials, type HouseSetUp, type Stretch, type SuspectEvent } from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import type { SuspectRow } from '../database/statements.js';
import { SetUpShelf } from '../journal/set-up-shelf.js';

/** Recipes, traps and people change: what is older says little about a material today. */
const LOOKED_BACK_MS = 365 * 86_400_000;

@Injectable()
export class SuspectsService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly shelf: SetUpShelf,
  ) {}

  /** Over all pumps of the yard; others are answered between one pump and the next. */
  async suspects(): Promise<SuspectsAnswer> {
    const now = isoNow(this.clock);
    const from = new Date(Date.parse(now) - LOOKED_BACK_MS).toISOString();
    const house = this.shelf.book.at(now);
    const [dark, water]: [Stretch[], Stretch[]] = [[], []];
    for (const pumpId of Object.keys(house.pump)) {
      const events = this.reading.sql.suspectRows.all({ pumpId, from }).map((row) => eventOf(row, house));
      dark.push(...stretchesOf(events, 'dark'));
      water.push(...stretchesOf(events, 'water'));
      await setImmediate();
    }
    const names = Object.entries(house.material).map(([id, { name }]) => [id, name]);
    return {
      since: from,
      dark: suspectMaterials(dark),
      water: suspectMaterials(water),
      names: Object.fromEntries(names) as Record<string, string>,
    };
  }
}

function eventOf(row: SuspectRow, house: HouseSetUp): SuspectEvent {
  switch (row.kind) {
    case 'run':
      return { kind: 'run', materialId: row.materialId ?? '' };
    case 'change':
      return { kind: 'change', freshColour: house.oilProduct[row.productId ?? '']?.freshColour ?? 1 };
    case 'bleed':
      return { kind: 'bleed', waterMl: row.waterMl ?? 0 };
    case 'look': {
      const looked = row.freeWaterMl !== null || row.creamMl !== null;
      const waterMl = looked ? (row.freeWaterMl ?? 0) + (row.creamMl ?? 0) / 2 : null;
      return { kind: 'look', colour: row.colour, waterMl };
    }
  }
}
