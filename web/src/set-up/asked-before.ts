import { tightText, type HouseSetUp, type SetUpKind } from '@winter-jar/core';
import { RECORD_KIND_WORDS, recordName } from './record-words.js';

export interface NamedNew {
  readonly kind: SetUpKind;
  readonly name: string;
  /** The record itself, where it is one that is there. */
  readonly id?: string | null;
}

/** Records that bear the name of a new one already, whatever the case and the blanks; as sentences. */
export function sameNamed(house: HouseSetUp, named: readonly NamedNew[]): string[] {
  return named.flatMap(({ kind, name, id }) => {
    const wanted = tightText(name);
    const other = Object.keys(house[kind]).find(
      (one) => one !== id && wanted !== '' && tightText(recordName(house, kind, one)) === wanted,
    );
    if (other === undefined) return [];
    return [`“${recordName(house, kind, other)}” stands under ${RECORD_KIND_WORDS[kind].many} already.`];
  });
}

/** A pump at an equipment of another site, as a sentence. */
export function misplaced(house: HouseSetUp, siteId: string, equipmentId: string): string[] {
  const equipment = house.equipment[equipmentId];
  if (!equipment || !house.site[siteId] || equipment.siteId === siteId) return [];
  const place = (id: string) => recordName(house, 'site', id);
  return [`${equipment.name} belongs to ${place(equipment.siteId)}, and the pump would to ${place(siteId)}.`];
}
