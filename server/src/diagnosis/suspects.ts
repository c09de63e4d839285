import type { SuspectsAnswer } from '@winter-jar/contracts';
import {
  stoodInSight,
  stretchesOf,
  suspectMaterials,
  type HouseSetUp,
  type Sight,
  type SuspectEvent,
} from '@winter-jar/core';
import type { ChangedPumps, SuspectRow } from '../database/statements.js';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Job, JobTools } from '../work/job.js';

/** Recipes, traps and people change: what is older says little about a material today. */
const LOOKED_BACK_MS = 365 * 86_400_000;

interface Asked {
  readonly now: string;
  /** Of whoever asks: pumps that stood elsewhere meanwhile tell of others. */
  readonly sight: Sight;
}

/** Which materials go with dark oil and with water, over all pumps that somebody sees. */
export const SUSPECTS_JOB: Job<Asked, SuspectsAnswer> = {
  name: 'suspects',
  lane: 'screen',
  run: suspectsOf,
};

/** What was read on a connection; of a pump it holds until somebody writes of it, and most stand still from one look to the next. */
interface Read {
  readonly from: string;
  /** Of the last change that it knows. */
  readonly seq: number;
  readonly events: ReadonlyMap<string, readonly SuspectEvent[]>;
}
const lastRead = new WeakMap<JobTools['db'], Read>();

function stillHolds(
  read: Read | undefined,
  from: string,
  { changes, seq }: { changes: readonly ChangedPumps[]; seq: number },
) {
  // Where not every change since is kept any more, or one may bear upon any pump, all is read anew.
  const told = read?.from === from && changes.length === seq - read.seq ? read.events : [];
  const events = new Map(told);
  for (const { pumpIds } of changes) {
    if (pumpIds === null) return new Map<string, readonly SuspectEvent[]>();
    for (const pumpId of JSON.parse(pumpIds) as string[]) events.delete(pumpId);
  }
  return events;
}

function eventsOf({ db, sql, progress }: JobTools, from: string, house: HouseSetUp): Read['events'] {
  return db.transaction(() => {
    const read = lastRead.get(db);
    const seq = sql.lastChange.get()?.seq ?? 0;
    const events = stillHolds(read, from, { changes: sql.changesAfter.all(read?.seq ?? 0), seq });
    const pumps = Object.keys(house.pump);
    const all = new Map(
      pumps.map((pumpId, i) => {
        progress((i + 1) / pumps.length);
        const known = events.get(pumpId);
        return [pumpId, known ?? sql.suspectRows.all({ pumpId, from }).map((row) => eventOf(row, house))];
      }),
    );
    lastRead.set(db, { from, seq, events: all });
    return all;
  })();
}

function suspectsOf(tools: JobTools, { now, sight }: Asked): SuspectsAnswer {
  const store = new SetUpStore();
  store.reload(tools.sql);
  const house = store.book.at(now);
  const from = `${new Date(Date.parse(now) - LOOKED_BACK_MS).toISOString().slice(0, 10)}T00:00:00.000Z`;
  const events = [...eventsOf(tools, from, house)].flatMap(([pumpId, of]) =>
    stoodInSight(sight, store.book, { pumpId, from, until: now }) ? [of] : [],
  );
  const names = Object.entries(house.material).map(([id, { name }]) => [id, name]);
  return {
    since: from,
    dark: suspectMaterials(events.flatMap((of) => stretchesOf(of, 'dark'))),
    water: suspectMaterials(events.flatMap((of) => stretchesOf(of, 'water'))),
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
