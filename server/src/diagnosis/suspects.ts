import type { SuspectsAnswer } from '@winter-jar/contracts';
import { stretchesOf, suspectMaterials, type HouseSetUp, type Stretch, type SuspectEvent } from '@winter-jar/core';
import type { SuspectRow } from '../database/statements.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Job, JobTools } from '../work/job.js';

/** Recipes, traps and people change: what is older says little about a material today. */
const LOOKED_BACK_MS = 365 * 86_400_000;

/** Which materials go with dark oil and with water, over all pumps of the house. */
export const SUSPECTS_JOB: Job<{ readonly now: string }, SuspectsAnswer> = {
  name: 'suspects',
  lane: 'screen',
  run: suspectsOf,
};

function suspectsOf({ sql, progress }: JobTools, { now }: { readonly now: string }): SuspectsAnswer {
  const store = new SetUpStore();
  store.reload(sql);
  const house = store.book.at(now);
  const from = new Date(Date.parse(now) - LOOKED_BACK_MS).toISOString();
  const [dark, water]: [Stretch[], Stretch[]] = [[], []];
  const pumps = Object.keys(house.pump);
  pumps.forEach((pumpId, i) => {
    const events = sql.suspectRows.all({ pumpId, from }).map((row) => eventOf(row, house));
    dark.push(...stretchesOf(events, 'dark'));
    water.push(...stretchesOf(events, 'water'));
    progress((i + 1) / pumps.length);
  });
  const names = Object.entries(house.material).map(([id, { name }]) => [id, name]);
  return {
    since: from,
    dark: suspectMaterials(dark),
    water: suspectMaterials(water),
    names: Object.fromEntries(names) as Record<string, string>,
  };
}

function eventOf(row: SuspectRow, house: HouseSetUp): SuspectEvent {
  switch (row.kind) {
    case 'run':
      return { kind: 'run', materialId: row.materialId };
    case 'change':
      return { kind: 'change', freshColour: house.oilProduct[row.productId ?? '']?.freshColour ?? 1 };
    case 'bleed':
      return { kind: 'bleed', waterMl: row.waterMl };
    case 'look': {
      const looked = row.freeWaterMl !== null || row.creamMl !== null;
      const waterMl = looked ? (row.freeWaterMl ?? 0) + (row.creamMl ?? 0) / 2 : null;
      return { kind: 'look', colour: row.colour, waterMl };
    }
  }
}
