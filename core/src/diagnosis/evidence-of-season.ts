import { localDay } from '../journal/index.js';
import type { PumpSetUp, Season } from '../set-up/index.js';
import type { Observation } from './evidence.js';

/** Months by number, January being 0. */
const MONTHS: Readonly<Record<Season, readonly number[]>> = {
  none: [],
  decToFeb: [11, 0, 1],
  marToMay: [2, 3, 4],
  junToAug: [5, 6, 7],
  sepToNov: [8, 9, 10],
};
/** A season says what is likely on a day of it, no more. */
const SURE = 0.6;
const DAY_MS = 86_400_000;

/** What the time of year says of the rooms of a site, where its set-up names its damp and its cold season. */
export function evidenceOfSeason({ pump, site }: PumpSetUp, now: string): Observation[] {
  const month = new Date(localDay({ at: now, zone: site.zone }) * DAY_MS).getUTCMonth();
  const isNow = (season: Season | null | undefined) => MONTHS[season ?? 'none'].includes(month);
  const shared = { at: now, entryId: pump.siteId, kind: 'setUp', sure: SURE } as const;
  return [
    ...(isNow(site.dampSeason) ? [{ id: 'humidRoom', state: 'humid', ...shared } as const] : []),
    ...(isNow(site.coldSeason) ? [{ id: 'room', state: 'cold', ...shared } as const] : []),
  ];
}
