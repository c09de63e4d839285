import { productIn, type PumpState } from '../fold/index.js';
import { localDay } from '../journal/index.js';
import type { PumpSetUp, Season, SetUpKind } from '../set-up/index.js';
import type { FindingId, StateOf } from './all-findings.js';
import type { Observation } from './evidence.js';

/** Months by number, January being 0. */
const MONTHS: Readonly<Record<Season, readonly number[]>> = {
  none: [],
  decToFeb: [11, 0, 1],
  marToMay: [2, 3, 4],
  junToAug: [5, 6, 7],
  sepToNov: [8, 9, 10],
};
/** A season says what is likely on a day of it, no more; a record says what somebody has written down. */
const SURE = { season: 0.6, record: 0.9 };
/** Oil of VG 100 stands as thick at 12 °C as a VG 68 at 4; a VG 46 is thin enough for any room. */
const THICK_MM2S = 90;
const THIN_MM2S = 50;
const DAY_MS = 86_400_000;

/** What the time of year says of the rooms of a site, where its set-up names its damp and its cold season. */
export function evidenceOfSeason({ pump, site }: PumpSetUp, now: string): Observation[] {
  return [
    ...(isNow(site.dampSeason, site.zone, now) ? [said('humidRoom', 'humid', now, 'site', pump.siteId)] : []),
    ...(isNow(site.coldSeason, site.zone, now) ? [said('room', 'cold', now, 'site', pump.siteId)] : []),
  ];
}

/** What the records say that stays so: where the exhaust goes, and the grade of the oil that is in for its cold season. */
export function evidenceOfRecords(state: PumpState, setUp: PumpSetUp, now: string): Observation[] {
  const { pumpId, pump, site } = setUp;
  const { exhaustEnds = null, exhaustPipe = null } = pump;
  const v40 = productIn(state, setUp, 'oil')?.viscosity40Mm2s ?? null;
  const grade = v40 === null ? null : v40 < THIN_MM2S ? 'fits' : v40 >= THICK_MM2S ? 'tooThick' : null;
  const isCold = isNow(site.coldSeason, site.zone, now);
  return [
    ...(exhaustEnds === null ? [] : [said('exhaustOutlet', exhaustEnds, now, 'pump', pumpId)]),
    ...(exhaustPipe === null ? [] : [said('exhaustPipe', exhaustPipe, now, 'pump', pumpId)]),
    ...(isCold && grade ? [said('oilGrade', grade, now, 'pump', pumpId)] : []),
  ];
}

const isNow = (season: Season | null | undefined, zone: string, now: string): boolean =>
  MONTHS[season ?? 'none'].includes(new Date(localDay({ at: now, zone }) * DAY_MS).getUTCMonth());

function said<F extends FindingId>(
  id: F,
  state: StateOf<F>,
  at: string,
  kind: SetUpKind,
  recordId: string,
): Observation {
  const sure = kind === 'site' ? SURE.season : SURE.record;
  return { id, state, at, entryId: `${kind}/${recordId}`, kind: 'setUp', sure };
}
