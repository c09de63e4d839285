import { TZDate } from '@date-fns/tz';
import { localDay, localTime } from '@winter-jar/core';
import { addDays, lightFormat } from 'date-fns';

/** The zone of this device, for what belongs to no site. */
export const hereZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

const DAY_MS = 86_400_000;
/** Calendar days as such, in no zone: names in the short form that fits a row. */
const NAMES = new Intl.DateTimeFormat('en-US', {
  timeZone: 'UTC',
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
});
const WHOLE = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', day: 'numeric', month: 'long', year: 'numeric' });

type Parts = Readonly<Record<'weekday' | 'day' | 'month' | 'year', string>>;
/** Days are few, and asked for at every bar of every row. */
const knownParts = new Map<number, Parts>();

function partsOf(day: number): Parts {
  const known = knownParts.get(day);
  if (known) return known;
  const parts = NAMES.formatToParts(day * DAY_MS).map(({ type, value }) => [type, value]);
  const made = Object.fromEntries(parts) as Parts;
  knownParts.set(day, made);
  return made;
}

/** "Mon 9 Mar", with the year when it is another one. */
export function dayWords(at: string, zone: string, now: string = new Date().toISOString()): string {
  const [then, today] = [localDay({ at, zone }), localDay({ at: now, zone })];
  if (today === then) return 'today';
  if (today - then === 1) return 'yesterday';
  const { weekday, day, month, year } = partsOf(then);
  return year === partsOf(today).year ? `${weekday} ${day} ${month}` : `${day} ${month} ${year}`;
}

/** "9 Mar", for a list whose year is plain. */
export function shortDayWords(at: string, zone: string): string {
  const { day, month } = partsOf(localDay({ at, zone }));
  return `${day} ${month}`;
}

const MONTH = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', month: 'short', year: 'numeric' });

/** "Mar 2031", of a calendar month such as 2031-03. */
export const monthWords = (month: string): string => MONTH.format(new Date(`${month}-01T00:00:00.000Z`));

/** "9 March 2031", of a calendar day such as 2031-03-09. */
export const wholeDayWords = (day: string): string => WHOLE.format(new Date(`${day}T00:00:00.000Z`));

export const momentWords = (at: string, zone: string, now?: string): string =>
  `${dayWords(at, zone, now)} ${localTime({ at, zone })}`;

/** The likely day so many days from now. */
export const dayFromNow = (now: string, days: number, zone: string): string =>
  dayWords(addDays(new TZDate(now, zone), Math.max(0, Math.round(days))).toISOString(), zone, now);

/** Value of a datetime-local field, in the site's zone. */
export const toLocalField = (at: string, zone: string): string =>
  lightFormat(new TZDate(at, zone), "yyyy-MM-dd'T'HH:mm");

/** The instant that a datetime-local field names in the site's zone; null when it names none. */
export function fromLocalField(text: string, zone: string): string | null {
  const match = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(text);
  if (!match) return null;
  const [year, month, day, hour, minute] = match.slice(1).map(Number) as [number, number, number, number, number];
  const date = new TZDate(year, month - 1, day, hour, minute, zone);
  return Number.isNaN(date.getTime()) ? null : new Date(date.getTime()).toISOString();
}
