import Fuse from 'fuse.js';

export interface NamedRecord {
  readonly id: string;
  readonly name: string;
}

/** Scores of Fuse: 0 is the same, 1 has nothing in common. A slip of two letters in six is 0.46. */
const MOST_APART = 0.47;
const AS_NEAR = 0.05;
/** More than so many that are as near tell nothing. */
const MOST = 2;

/** The records whose names come nearest to what was typed; none where many do, or none does. */
export function nearestNames(
  typed: string,
  records: Readonly<Record<string, { readonly name: string }>>,
): NamedRecord[] {
  const named = Object.entries(records).map(([id, { name }]) => ({ id, name }));
  const fuse = new Fuse(named, { keys: ['name'], threshold: MOST_APART, ignoreLocation: true, includeScore: true });
  const found = fuse.search(typed);
  const best = found[0]?.score ?? 1;
  const near = found.filter(({ score = 1 }) => score <= Math.min(MOST_APART, best + AS_NEAR));
  return near.length > MOST ? [] : near.map(({ item }) => item);
}
