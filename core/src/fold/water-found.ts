import type { LookBody } from '../journal/index.js';
import { toUl, waterUlOf } from '../oil/index.js';

/** Water of a charge by where it was found, µL. */
export interface WaterFound {
  readonly bledUl: number;
  /** Drawn with samples. */
  readonly sampledUl: number;
  /** Seen standing in the glass since: free water and half the cream. */
  readonly standingUl: number;
}

/** The count of it as it goes on. */
export interface WaterCount extends WaterFound {
  /** Of the last bleed as it was said when drawn, until its jar is read. */
  readonly unreadBleedUl: number | null;
}

export const NOTHING_FOUND: WaterCount = { bledUl: 0, sampledUl: 0, standingUl: 0, unreadBleedUl: null };

/** All that was found: out of the oil, and in it. */
export const foundUlOf = ({ bledUl, sampledUl, standingUl }: WaterFound): number => bledUl + sampledUl + standingUl;

/** A bleed takes out what stood in the oil; how much of it was water may not have been read yet. */
export function afterBleed(found: WaterCount, waterMl: number | null | undefined): WaterCount {
  const unreadBleedUl = toUl(waterMl);
  return { ...found, bledUl: found.bledUl + unreadBleedUl, standingUl: 0, unreadBleedUl };
}

/** A look at the oil of the charge that goes on; the jar of a bleed takes the place of what was said when it was drawn. */
export function afterLook(found: WaterCount, look: LookBody): WaterCount {
  const seenUl = waterUlOf(look);
  switch (look.source) {
    case 'bleed':
      return { ...found, bledUl: found.bledUl - (found.unreadBleedUl ?? 0) + seenUl, unreadBleedUl: null };
    case 'sightGlass':
      return saysWater(look) ? { ...found, standingUl: seenUl } : found;
    case 'sample':
    case 'drained':
      return { ...found, sampledUl: found.sampledUl + seenUl };
  }
}

/** Did somebody look for water? Cream is water too. */
export const saysWater = ({ freeWaterMl, creamMl }: Pick<LookBody, 'freeWaterMl' | 'creamMl'>): boolean =>
  (freeWaterMl ?? null) !== null || Boolean(creamMl);
