import type { HouseSetUp, SetUpVersion } from '@winter-jar/core';

/** The two versions of an exchange: one pump leaves its place, the other takes it. Counts and oil stay with each pump. */
export function exchangeVersions(input: {
  house: HouseSetUp;
  goes: string;
  comes: string;
  becomes: 'spare' | 'retired';
  at: string;
  newId: () => string;
}): SetUpVersion[] {
  const { house, goes, comes, becomes, at } = input;
  const [old, other] = [house.pump[goes], house.pump[comes]];
  if (!old || !other) return [];
  const version = (subjectId: string, body: typeof old): SetUpVersion => ({
    id: input.newId(),
    kind: 'pump',
    subjectId,
    validFrom: at,
    recordedAt: at,
    body,
  });
  const { siteId, equipmentId } = old;
  return [
    version(goes, { ...old, place: becomes, note: `exchanged for ${other.name}`.slice(0, 200) }),
    version(comes, {
      ...other,
      siteId,
      equipmentId,
      place: 'inService',
      note: `in the place of ${old.name}`.slice(0, 200),
    }),
  ];
}
