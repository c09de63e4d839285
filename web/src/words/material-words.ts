import type { HouseSetUp } from '@winter-jar/core';

/** What went in, by its name; also where nobody has said it yet. */
export const materialName = (id: string | null | undefined, { material }: Pick<HouseSetUp, 'material'>): string =>
  id ? (material[id]?.name ?? id) : 'not told what went in';
