import type { ElapsedUnit, LogSettings } from '../journal/index.js';
import { dayOrderOf, type DayOrder } from '../notebook/index.js';
import type { LogDoubt, TimeLayout } from './log-layout.js';
import { readCell } from './log-number.js';
import { pressureUnitIn } from './pressure-unit.js';
import { INDEX_WORDS, type CellKind, type Rows } from './sniff-rows.js';
import { splitDayAndClock } from './stamp.js';

const TIME_WORDS =
  /\b(?:time|elapsed|zeit|dauer|temps|tiempo|tempo|t|s|ms|h|sec|seconds?|min|minutes?|hours?|stamp|timestamp|date|datum|uhrzeit|runtime)\b/i;
/** Not the lowest of an interval, which is called min as well. */
const SURELY_TIME = /\b(?:time|elapsed|zeit|dauer|temps|tiempo|s|sec|seconds?|timestamp)\b/i;

const loose = (text: string): string => text.replace(/[_/[\]().:-]+/g, ' ').trim();

const UNIT_WORDS: readonly (readonly [ElapsedUnit, RegExp])[] = [
  ['ms', /\b(?:ms|msec|milliseconds?)\b/i],
  ['min', /\b(?:min|mins|minutes?|minuten)\b/i],
  ['h', /\b(?:h|hr|hrs|hours?|std|stunden)\b/i],
  ['d', /\b(?:d|days?|tage)\b/i],
  ['s', /\b(?:s|sec|secs|sek|seconds?|sekunden)\b/i],
];
const elapsedUnitIn = (text: string): ElapsedUnit | null =>
  UNIT_WORDS.find(([, form]) => form.test(loose(text)))?.[0] ?? null;

type TimeFound = TimeLayout & { readonly doubts: readonly LogDoubt[]; readonly dayOrder: DayOrder };

/** Where the time of a row stands, and how it is written; null where there is none. */
export function timeOf(of: Rows, columns: readonly string[], text: string, said: LogSettings): TimeFound | null {
  const { rows, kinds, decimal } = of;
  const cell = (c: number) => rows.map((row) => row[c] ?? '');
  const asked = said.timeColumn;
  const at = (kind: CellKind) => kinds.findIndex((k, c) => k === kind && (asked === undefined || asked === c));
  const ordered = (texts: readonly string[]): Pick<TimeFound, 'dayOrder' | 'doubts'> => {
    const order = dayOrderOf(texts, '2099-12-31');
    if (said.dayOrder) return { dayOrder: said.dayOrder, doubts: [] };
    if (order === 'told' || order === 'open') {
      const halves = rows.some((row) => row.some((c) => /(?:^|\d\s?)[ap]\.?m\b/i.test(c)));
      return { dayOrder: halves ? 'monthFirst' : 'dayFirst', doubts: order === 'open' ? ['dayOrder'] : [] };
    }
    return { dayOrder: order, doubts: [] };
  };
  const plain = { dayOrder: 'dayFirst', elapsedUnit: 's', minutesFirst: false, doubts: [] } as const;
  const whole = at('dayAndClock');
  if (whole >= 0) {
    const days = cell(whole).map((c) => splitDayAndClock(c)?.[0] ?? '');
    return { ...plain, form: 'dayAndClock', column: whole, ...ordered(days) };
  }
  const clock = at('clock');
  const day = clock - 1;
  const isDay = clock > 0 && (kinds[day] === 'day' || cell(day).every((c) => /^\d{8}$/.test(c)));
  if (isDay) return { ...plain, form: 'dayThenClock', column: day, ...ordered(cell(day)) };
  // The person may name the day of the two.
  if (asked !== undefined && kinds[asked] === 'day' && kinds[asked + 1] === 'clock')
    return { ...plain, form: 'dayThenClock', column: asked, ...ordered(cell(asked)) };
  if (clock >= 0) {
    const twoParts = cell(clock).every((c) => /^\d+:\d+(?:[.,]\d+)?$/.test(c));
    const heading = loose(columns[clock] ?? '');
    const fractions = cell(clock).some((c) => /^\d+:\d+[.,]\d/.test(c));
    const told = /elapsed|dauer|duration|min(?:ute)?s?\s+s(?:ec)?|mm\s?ss/i.test(heading) || fractions;
    const minutesFirst = said.minutesFirst ?? (twoParts && told);
    const doubts: LogDoubt[] = twoParts && !told && said.minutesFirst === undefined ? ['clockParts'] : [];
    return { ...plain, form: 'clock', column: clock, minutesFirst, doubts };
  }
  return elapsedOf();

  function elapsedOf(): TimeFound | null {
    const numbers = kinds.flatMap((k, c) =>
      k === 'number' && !INDEX_WORDS.test((columns[c] ?? '').trim()) ? [c] : [],
    );
    const valuesOf = (c: number) =>
      cell(c).flatMap((t) => {
        const read = readCell(t, decimal);
        return read.ok ? [read.value] : [];
      });
    const rises = (c: number) => {
      const values = valuesOf(c);
      const back = values.filter((v, i) => i > 0 && v < (values[i - 1] ?? v)).length;
      return values.length > 1 && back <= values.length * 0.05 && (values.at(-1) ?? 0) > (values[0] ?? 0);
    };
    const isNamed = (c: number) => TIME_WORDS.test(loose(columns[c] ?? '')) && !pressureUnitIn(columns[c] ?? '');
    const column =
      asked ??
      numbers.find((c) => isNamed(c) && rises(c)) ??
      numbers.find((c) => isNamed(c) && SURELY_TIME.test(loose(columns[c] ?? ''))) ??
      // Without words the first of two columns is the time, if it only rises.
      (numbers.length > 1 && numbers[0] !== undefined && !pressureUnitIn(columns[numbers[0]] ?? '') && rises(numbers[0])
        ? numbers[0]
        : undefined);
    if (column === undefined) return null;
    const first = valuesOf(column)[0] ?? 0;
    if (first > 8e8 && first < 5e9) return { ...plain, form: 'epoch', column };
    if (first > 8e11 && first < 5e12) return { ...plain, form: 'epoch', column };
    if (
      first > 30_000 &&
      first < 80_000 &&
      cell(column).some((c) => /[.,]\d{3}/.test(c)) &&
      !elapsedUnitIn(columns[column] ?? '')
    )
      return { ...plain, form: 'dayNumber', column };
    const told =
      said.elapsedUnit ?? elapsedUnitIn(columns[column] ?? '') ?? (columns.length === 0 ? elapsedUnitIn(text) : null);
    return { ...plain, form: 'elapsed', column, elapsedUnit: told ?? 's', doubts: told ? [] : ['elapsedUnit'] };
  }
}
