/** Fields for days speak the language of the browser, and its order of day and month; beneath them stands what the rest of the app says. */
const DAY = new Intl.DateTimeFormat('en-GB', {
  timeZone: 'UTC',
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
});

/** "Sun 9 March 2031" or "Sun 9 March 2031, 14:05" of what such a field holds; null where it holds no day. */
export function typedDayWords(value: string): string | null {
  const [, day, time] = /^(\d{4}-\d\d-\d\d)(?:T(\d\d:\d\d))?$/.exec(value) ?? [];
  const ms = Date.parse(`${day}T00:00:00.000Z`);
  // 30 February reads as a day of March.
  if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== day) return null;
  const words = DAY.format(ms).replace(',', '');
  return time ? `${words}, ${time}` : words;
}
