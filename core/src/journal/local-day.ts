import { tzOffset } from '@date-fns/tz';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** Offsets by zone and UTC day, in minutes; null on the days on which the clocks change. Asking the zone is dear, days are few. */
const knownOffsets = new Map<string, number | null>();

function offsetMinutes(zone: string, ms: number): number {
  const utcDay = Math.floor(ms / DAY_MS);
  const key = `${zone} ${utcDay}`;
  let known = knownOffsets.get(key);
  if (known === undefined) {
    const first = tzOffset(zone, new Date(utcDay * DAY_MS));
    const last = tzOffset(zone, new Date((utcDay + 1) * DAY_MS - 1));
    known = first === last ? first : null;
    if (!Number.isNaN(first)) knownOffsets.set(key, known);
  }
  return known ?? tzOffset(zone, new Date(ms));
}

/**
 * Number of the local calendar day (days since 1970-01-01) of an instant in an IANA zone, daylight saving included.
 * @throws RangeError on an instant or a zone that does not exist
 */
export function localDay(input: { at: string; zone: string }): number {
  return Math.floor(localMs(input) / DAY_MS);
}

/**
 * Time of day of an instant in an IANA zone, "07:05", daylight saving included.
 * @throws RangeError on an instant or a zone that does not exist
 */
export function localTime(input: { at: string; zone: string }): string {
  return new Date(localMs(input)).toISOString().slice(11, 16);
}

function localMs({ at, zone }: { at: string; zone: string }): number {
  const ms = Date.parse(at);
  const offset = Number.isNaN(ms) ? NaN : offsetMinutes(zone, ms);
  if (Number.isNaN(offset)) throw new RangeError(`at, zone: "${at}" in "${zone}" is no instant in an IANA zone`);
  return ms + offset * MINUTE_MS;
}

/**
 * The instant at which the clock on the wall of a zone showed a time, daylight saving included; of an hour that comes twice the first.
 * @param input.wallMs as if the wall's clock were UTC
 * @throws RangeError on a time or a zone that does not exist. Example: 07:30 on 14 September 2026 in Europe/Berlin → 05:30 UTC
 */
export function instantOfLocal({ wallMs, zone }: { wallMs: number; zone: string }): string {
  const first = wallMs - offsetMinutes(zone, wallMs - 12 * 60 * MINUTE_MS) * MINUTE_MS;
  const at = wallMs - offsetMinutes(zone, first) * MINUTE_MS;
  if (Number.isNaN(at)) throw new RangeError(`wallMs, zone: ${wallMs} in "${zone}" is no time in an IANA zone`);
  return new Date(at).toISOString();
}

/** Areas of the IANA database, as it spells them: no offset, no abbreviation of one country. */
const ZONE_NAME =
  /^(Africa|America|Antarctica|Arctic|Asia|Atlantic|Australia|Etc|Europe|Indian|Pacific)(\/[A-Z][A-Za-z0-9_+-]*)+$/;

const knownZones = new Set<string>(['UTC']);

/** Is it the name of a zone in the IANA database, in its own spelling? */
export function isZone(zone: string): boolean {
  if (knownZones.has(zone)) return true;
  if (!ZONE_NAME.test(zone) || Number.isNaN(offsetMinutes(zone, 0))) return false;
  const { timeZone } = new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions();
  // An older name resolves to a newer one; the same name otherwise spelled would be a second zone.
  const isSpelled = timeZone === zone || timeZone.toLowerCase() !== zone.toLowerCase();
  if (isSpelled) knownZones.add(zone);
  return isSpelled;
}
