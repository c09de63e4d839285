import { foldText } from './fold-text.js';

/** A day of a notebook: one, or two where it depends on what its writer puts first. Days are "2031-03-09". */
export type DayRead =
  | {
      readonly kind: 'day';
      readonly day: string;
      /** What this one day tells of the habit of its writer. */
      readonly habit: 'dayFirst' | 'monthFirst' | null;
    }
  | { readonly kind: 'twoWays'; readonly dayFirst: string; readonly monthFirst: string }
  | { readonly kind: 'notADay' };

export type DayOrder = 'dayFirst' | 'monthFirst';

const NOT_A_DAY: DayRead = { kind: 'notADay' };
const FIRST_YEAR = 1950;
const LEAP_YEARS_APART = 8;

/** Languages in which months and days of the week are read by name. */
const LOCALES = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'pl', 'cs', 'sv', 'da'];
/** Spellings beside those of the locales. */
const MORE_MONTHS: readonly [string, number][] = [
  ['sept', 9],
  ['maerz', 3],
  ['mrz', 3],
  ['ene', 1],
];

const STYLES: readonly Intl.DateTimeFormatOptions[] = [
  { month: 'long' },
  { month: 'short' },
  { month: 'long', day: 'numeric' },
  { month: 'short', day: 'numeric' },
];

function partIn(locale: string, style: Intl.DateTimeFormatOptions, type: 'month' | 'weekday', at: number): string {
  const parts = new Intl.DateTimeFormat(locale, { ...style, timeZone: 'UTC' }).formatToParts(at);
  return foldText(parts.find((part) => part.type === type)?.value ?? '');
}

/** Months by name; a name that means two months in two languages is none. */
function monthsByName(): ReadonlyMap<string, number> {
  const found = new Map<string, Set<number>>();
  const add = (name: string, month: number) => {
    if (/\p{L}/u.test(name)) found.set(name, (found.get(name) ?? new Set()).add(month));
  };
  for (const locale of LOCALES)
    for (let month = 1; month <= 12; month++)
      for (const style of STYLES) add(partIn(locale, style, 'month', Date.UTC(2030, month - 1, 9)), month);
  for (const [name, month] of MORE_MONTHS) add(name, month);
  return new Map([...found].flatMap(([name, months]) => (months.size === 1 ? [[name, [...months][0] ?? 0]] : [])));
}

function weekdayNames(): ReadonlySet<string> {
  const names = new Set<string>();
  for (const locale of LOCALES)
    for (let day = 1; day <= 7; day++)
      for (const weekday of ['long', 'short'] as const)
        names.add(partIn(locale, { weekday }, 'weekday', Date.UTC(2030, 0, day)));
  return names;
}

let known: { readonly months: ReadonlyMap<string, number>; readonly weekdays: ReadonlySet<string> } | null = null;
/** Asking the locales is dear, and done at the first day that is read. */
const names = () => (known ??= { months: monthsByName(), weekdays: weekdayNames() });

const two = (n: number): string => String(n).padStart(2, '0');

/** A day that the calendar has, from 1950 on and not after today. */
function dayOf(year: number, month: number, day: number, today: string): string | null {
  const text = `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
  const ms = Date.parse(`${text}T00:00:00.000Z`);
  if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== text) return null;
  return year < FIRST_YEAR || text > today ? null : text;
}

/** With the year as it is written: four digits, two, or none, which means the last such day. */
function dayWithYear(yearText: string | undefined, month: number, day: number, today: string): string | null {
  const thisYear = Number(today.slice(0, 4));
  const digits = (yearText ?? '').replace(/\D/g, '');
  if (digits.length === 4) return dayOf(Number(digits), month, day, today);
  if (digits.length === 2) {
    const century = Math.floor(thisYear / 100) * 100;
    const year = century + Number(digits);
    return dayOf(year > thisYear ? year - 100 : year, month, day, today);
  }
  for (let year = thisYear; year > thisYear - LEAP_YEARS_APART; year--) {
    const found = dayOf(year, month, day, today);
    if (found) return found;
  }
  return null;
}

const plain = (day: string | null): DayRead => (day ? { kind: 'day', day, habit: null } : NOT_A_DAY);

function inEitherOrder(first: number, second: number, year: string | undefined, today: string): DayRead {
  const dayFirst = dayWithYear(year, second, first, today);
  const monthFirst = dayWithYear(year, first, second, today);
  if (dayFirst && monthFirst)
    return dayFirst === monthFirst ? plain(dayFirst) : { kind: 'twoWays', dayFirst, monthFirst };
  if (dayFirst) return { kind: 'day', day: dayFirst, habit: 'dayFirst' };
  return monthFirst ? { kind: 'day', day: monthFirst, habit: 'monthFirst' } : NOT_A_DAY;
}

const YEAR_FIRST = /^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})(?!\d)/;
const EIGHT_DIGITS = /^((?:19|20)\d\d)(\d\d)(\d\d)(?!\d)/;
/** Points part day and month in this order only. */
const POINTS = /^(\d{1,2})\.\s?(\d{1,2})(?:\.(?:\s?(\d{4}|\d{2})(?![\d:.]))?|$)/;
const STROKES = /^(\d{1,2})([/-])(\d{1,2})(?:\2(\d{4}|\d{2}))?(?![\d/:-])/;
const DAY_THEN_NAME =
  /^(\d{1,2})(?:st|nd|rd|th|er|º|°)?\.?[\s-]*(?:of\s+|de\s+)?(\p{L}+)\.?(?:[\s,-]*(?:de[l]?\s+)?['’]?(\d{4}|\d{2})(?![\d:.h]))?/iu;
const NAME_THEN_DAY = /^(\p{L}+)\.?[\s-]*(\d{1,2})(?:st|nd|rd|th)?(?![\d:])(?:[\s,-]+['’]?(\d{4}|\d{2})(?![\d:.h]))?/iu;

/** Patterns in the order in which they are tried. */
const FORMS: readonly {
  readonly form: RegExp;
  readonly read: (m: RegExpExecArray, today: string) => DayRead | null;
}[] = [
  { form: YEAR_FIRST, read: ([, y, , m, d], today) => plain(dayOf(Number(y), Number(m), Number(d), today)) },
  { form: EIGHT_DIGITS, read: ([, y, m, d], today) => plain(dayOf(Number(y), Number(m), Number(d), today)) },
  { form: POINTS, read: ([, d, m, y], today) => plain(dayWithYear(y, Number(m), Number(d), today)) },
  { form: STROKES, read: ([, a, , b, y], today) => inEitherOrder(Number(a), Number(b), y, today) },
  {
    form: DAY_THEN_NAME,
    read([, d, name = '', y], today) {
      const month = names().months.get(foldText(name));
      return month ? plain(dayWithYear(y, month, Number(d), today)) : null;
    },
  },
  {
    form: NAME_THEN_DAY,
    read([, name = '', d, y], today) {
      const month = names().months.get(foldText(name));
      return month ? plain(dayWithYear(y, month, Number(d), today)) : null;
    },
  },
];

const WORD_BEFORE = /^(\p{L}+)[.,]*\s+(?=\d)/u;
const WEEKDAY_AND_MONTH = /^(\p{L}+)[.,]*\s+(?=\p{L})/u;

/** A day with the month behind it, by name or by number. */
function saysItsMonth(text: string): boolean {
  const named = DAY_THEN_NAME.exec(text)?.[2];
  return POINTS.test(text) || STROKES.test(text) || (named !== undefined && names().months.has(foldText(named)));
}

function withoutWeekday(text: string): string {
  const word = WORD_BEFORE.exec(text) ?? WEEKDAY_AND_MONTH.exec(text);
  if (!word?.[1]) return text;
  const folded = foldText(word[1]);
  const rest = text.slice(word[0].length);
  // "mar. 11 mars": a word that is a month as well is the day of the week where a day with its month follows.
  const isMonth = names().months.has(folded) && !saysItsMonth(rest);
  return names().weekdays.has(folded) && !isMonth ? rest : text;
}

/**
 * The day that a text begins with, as people write days, and what stands behind it. A notebook tells what was: a day after today is
 * not meant, two digits are the year that is not ahead, and without a year it is the last such day.
 * @param today "2031-04-20"
 */
export function readDay(text: string, today: string): { readonly read: DayRead; readonly rest: string } {
  const typed = withoutWeekday(text.trim());
  for (const { form, read } of FORMS) {
    const match = form.exec(typed);
    const found = match && read(match, today);
    if (!match || !found) continue;
    if (found.kind === 'notADay') return { read: NOT_A_DAY, rest: '' };
    return {
      read: found,
      rest: typed
        .slice(match[0].length)
        .replace(/^[T,;\s]+/, '')
        .trim(),
    };
  }
  return { read: NOT_A_DAY, rest: '' };
}

/**
 * Which of day and month the days of one writer have first.
 * @returns `told` where nothing depends on it, `open` where it must be asked
 */
export function dayOrderOf(texts: readonly string[], today: string): DayOrder | 'told' | 'open' {
  const reads = texts.map((text) => readDay(text, today).read);
  if (!reads.some((read) => read.kind === 'twoWays')) return 'told';
  const habits = new Set(reads.flatMap((read) => (read.kind === 'day' && read.habit ? [read.habit] : [])));
  const [only] = habits;
  return habits.size === 1 && only ? only : 'open';
}

const NAMED_TIMES: Readonly<Record<string, number>> = { noon: 720, midday: 720, midnight: 0, mittags: 720, midi: 720 };
const CLOCK = /^(\d{1,2})(?:\s?[:.h]\s?(\d{2})(?::\d{2})?)?\s?(h|uhr|hrs?|am|pm|a\.m\.?|p\.m\.?)?$/i;
const FOUR_DIGITS = /^(\d{2})(\d{2})\s?(?:h|hrs?|uhr)?$/i;

/** Minutes after midnight of a time of day such as "14:05", "2 pm", "1405", "14h05"; null where it is none. */
export function readClock(text: string): number | null {
  const typed = text.trim().toLowerCase();
  const named = NAMED_TIMES[typed];
  if (named !== undefined) return named;
  const match = FOUR_DIGITS.exec(typed) ?? CLOCK.exec(typed);
  if (!match) return null;
  const [, hourText = '', minuteText, mark = ''] = match;
  if (minuteText === undefined && mark === '') return null;
  // "6 h 30" is a length.
  if (minuteText !== undefined && /\dh\s|\sh/.test(typed.replace(/hrs?$/, ''))) return null;
  const half = /^[ap]/.exec(mark)?.[0];
  const [hour, minute] = [Number(hourText), Number(minuteText ?? 0)];
  if (minute > 59 || hour > 23 || (half && (hour < 1 || hour > 12))) return null;
  return (half ? (hour % 12) + (half === 'p' ? 12 : 0) : hour) * 60 + minute;
}

const FROM_TO = /^(?:from|von|de|da)?\s*(.+?)\s*(?:-|–|—|\bto\b|\buntil\b|\btill\b|\bbis\b|\bà\b)\s*(.+)$/i;

/** From and to of "8:00-14:30", or a start alone; null where it is no time of day. */
export function readSpan(text: string): readonly [from: number, to: number | null] | null {
  const alone = readClock(text);
  if (alone !== null) return [alone, null];
  const [, first = '', last = ''] = FROM_TO.exec(text.trim()) ?? [];
  const [from, to] = [readClock(first), readClock(last)];
  return from === null || to === null ? null : [from, to];
}
