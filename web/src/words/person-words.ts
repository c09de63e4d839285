import type { HouseSetUp } from '@winter-jar/core';

/** A person by name; null where nobody was said. */
export const personName = (id: string | null | undefined, house: HouseSetUp): string | null =>
  id ? (house.person[id]?.name ?? id) : null;
