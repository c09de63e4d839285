import type { PumpState } from '../fold/index.js';
import { jobIdOf, subjectsOf, type Entry, type JournalEntry, type SubjectOf } from '../journal/index.js';
import type { HouseSetUp, SetUpBook } from '../set-up/index.js';
import { standsAtSite, type AtASite } from './at-a-site.js';

/** Sites that somebody sees; null: all, also those that are still to come. */
export type Sight = readonly string[] | null;

const standingAmong = (subjects: readonly SubjectOf[]): { type: AtASite; id: string }[] =>
  subjects.flatMap(({ type, id }) => (standsAtSite(type) ? [{ type, id }] : []));

/** Whether what stands at a site is seen; what nobody knows is not. */
export const seesStanding = (sight: Sight, house: HouseSetUp, type: AtASite, id: string): boolean =>
  houseSeen(sight, house)[type][id] !== undefined;

/**
 * Whether an entry is seen: by where its pumps stood when it happened, else by where its equipment or its container stood. What went
 * from one site to another is seen at both.
 */
export function seesEntry(sight: Sight, book: SetUpBook, entry: Entry): boolean {
  if (sight === null) return true;
  const house = book.at(entry.happenedAt);
  const subjects = subjectsOf(entry);
  const pumps = subjects.filter((s) => s.type === 'pump');
  return standingAmong(pumps.length > 0 ? pumps : subjects).some(({ type, id }) =>
    seesStanding(sight, house, type, id),
  );
}

/** Whether whoever sees these sites may write an entry: it is about what stands there, and nothing else. */
export function mayTellOf(sight: Sight, book: SetUpBook, entry: Entry): boolean {
  if (sight === null) return true;
  const house = book.at(entry.happenedAt);
  const all = standingAmong(subjectsOf(entry));
  return all.length > 0 && all.every(({ type, id }) => seesStanding(sight, house, type, id));
}

/** Whether something that an entry is about is seen now, wherever it was when the entry was written. */
export const seesNow = (sight: Sight, house: HouseSetUp, entry: JournalEntry): boolean =>
  sight === null ||
  standingAmong(entry.kind === 'correction' ? entry.subjects : subjectsOf(entry)).some(({ type, id }) =>
    seesStanding(sight, house, type, id),
  );

/**
 * What stands open at a pump goes with it when it moves: a run that is on, and a service that is under way. Whoever sees the pump now
 * has to end them.
 */
export function standsOpen(entry: Entry, { running, job }: Pick<PumpState, 'running' | 'job'>): boolean {
  const jobId = jobIdOf(entry);
  return running.some((run) => run.entryId === entry.id) || (jobId !== null && job?.jobId === jobId);
}

/** Whether a pump stood at these sites alone from an instant on: what it tells since then is of nobody else. */
export function stoodInSight(
  sight: Sight,
  book: SetUpBook,
  { pumpId, from, until }: { readonly pumpId: string; readonly from: string; readonly until: string },
): boolean {
  if (sight === null) return true;
  return book.sitesOfPump({ pumpId, from, until }).every((siteId) => sight.includes(siteId));
}

const SEEN = new WeakMap<HouseSetUp, Map<string, HouseSetUp>>();

/**
 * The set-up as whoever sees some sites is shown it: what stands elsewhere is left out. Models, oils, materials, jars and people are
 * the house's, and seen by all.
 */
export function houseSeen(sight: Sight, house: HouseSetUp): HouseSetUp {
  if (sight === null) return house;
  const key = JSON.stringify(sight);
  const known = SEEN.get(house) ?? new Map<string, HouseSetUp>();
  SEEN.set(house, known);
  const made = known.get(key) ?? onlyOf(new Set(sight), house);
  known.set(key, made);
  return made;
}

function onlyOf(siteIds: ReadonlySet<string>, house: HouseSetUp): HouseSetUp {
  const pump = sifted(house.pump, (_, { siteId }) => siteIds.has(siteId));
  // What a pump stands at belongs to it, wherever the records say that it stands.
  const theirs = new Set(Object.values(pump).map((p) => p.equipmentId));
  const equipment = sifted(house.equipment, (id, { siteId }) => siteIds.has(siteId) || theirs.has(id));
  return {
    ...house,
    site: sifted(house.site, (id) => siteIds.has(id)),
    pump,
    equipment,
    container: sifted(house.container, (_, { siteId }) => siteIds.has(siteId)),
    instrument: sifted(house.instrument, (_, { equipmentId }) => equipment[equipmentId] !== undefined),
  };
}

/** Without a prototype, as the records are: an id such as "constructor" finds nothing. */
function sifted<R>(records: Readonly<Record<string, R>>, keep: (id: string, record: R) => boolean): Record<string, R> {
  const kept = Object.create(null) as Record<string, R>;
  for (const [id, record] of Object.entries(records)) if (keep(id, record)) kept[id] = record;
  return kept;
}
