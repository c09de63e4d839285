import { TZDate } from '@date-fns/tz';
import { addDays, differenceInCalendarDays, format } from 'date-fns';

/** The zone of this device, for what belongs to no site. */
export const hereZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** "Mon 9 Mar", with the year when it is another one. */
export function dayWords(at: string, zone: string, now: string = new Date().toISOString()): string {
  const date = new TZDate(at, zone);
  const today = new TZDate(now, zone);
  const days = differenceInCalendarDays(today, date);
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  return format(date, date.getFullYear() === today.getFullYear() ? 'EEE d MMM' : 'd MMM yyyy');
}

export const momentWords = (at: string, zone: string, now?: string): string =>
  `${dayWords(at, zone, now)} ${format(new TZDate(at, zone), 'HH:mm')}`;

/** The likely day so many days from now. */
export const dayFromNow = (now: string, days: number, zone: string): string =>
  dayWords(addDays(new TZDate(now, zone), Math.max(0, Math.round(days))).toISOString(), zone, now);

/** Value of a datetime-local field, in the site's zone. */
export const toLocalField = (at: string, zone: string): string => format(new TZDate(at, zone), "yyyy-MM-dd'T'HH:mm");

/** The instant that a datetime-local field names in the site's zone; null when it names none. */
export function fromLocalField(text: string, zone: string): string | null {
  const match = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(text);
  if (!match) return null;
  const [year, month, day, hour, minute] = match.slice(1).map(Number) as [number, number, number, number, number];
  const date = new TZDate(year, month - 1, day, hour, minute, zone);
  return Number.isNaN(date.getTime()) ? null : new Date(date.getTime()).toISOString();
}
