import type { HouseSetUp } from '../set-up/index.js';
import type { KnownNames } from './columns.js';
import { tightText } from './fold-text.js';

/** Kinds of records that a notebook names. */
export const NAMED_KINDS = ['pump', 'material', 'equipment', 'oilProduct'] as const;
export type NamedKind = (typeof NAMED_KINDS)[number];

type Named = Readonly<Record<string, { readonly name: string }>>;

/** Ids by their names without case, accents, points and blanks; null where two records bear one. */
export function idsByTypedName(records: Named): ReadonlyMap<string, string | null> {
  const ids = new Map<string, string | null>();
  for (const [id, { name }] of Object.entries(records)) ids.set(tightText(name), ids.has(tightText(name)) ? null : id);
  for (const id of Object.keys(records)) if (!ids.has(tightText(id))) ids.set(tightText(id), id);
  return ids;
}

export const idNamed = (ids: ReadonlyMap<string, string | null>, text: string): string | null =>
  ids.get(tightText(text)) ?? null;

/** All names of a set-up as they are compared when the columns of a sheet are guessed. */
export function knownNames(house: HouseSetUp): KnownNames {
  const names = (records: Named) => new Set(Object.values(records).map(({ name }) => tightText(name)));
  return {
    pump: names(house.pump),
    material: names(house.material),
    equipment: names(house.equipment),
    person: names(house.person),
  };
}
