import type { ElapsedUnit } from '../journal/index.js';
import { readDay, type DayOrder } from '../notebook/index.js';
import { clockSeconds, offsetBehind } from './log-clock.js';

/** How the time of a row is written. */
export const STAMP_FORMS = ['dayAndClock', 'dayThenClock', 'clock', 'elapsed', 'epoch', 'dayNumber'] as const;
export type StampForm = (typeof STAMP_FORMS)[number];

const ELAPSED_S: Readonly<Record<ElapsedUnit, number>> = { ms: 0.001, s: 1, min: 60, h: 3600, d: 86_400 };

/** Two digits of a year are of this century. */
const LAST_DAY = '2099-12-31';
const DAY_S = 86_400;

/** Where the clock begins behind a day in one cell. */
const CLOCK_BEHIND = /[T,;\s]+(?=\d{1,2}:\d)/;

/** No time is written longer; what is longer would be searched for one for seconds. */
const LONGEST_STAMP = 60;

export function splitDayAndClock(cell: string): readonly [day: string, clock: string] | null {
  if (cell.length > LONGEST_STAMP) return null;
  const at = CLOCK_BEHIND.exec(cell);
  return at ? [cell.slice(0, at.index), cell.slice(at.index + at[0].length)] : null;
}

/** Whole seconds since 1970 at the beginning of a day as it is written; NaN where it is none. */
export function daySeconds(text: string, order: DayOrder): number {
  const { read, rest } = readDay(text, LAST_DAY);
  if (rest !== '' || read.kind === 'notADay') return NaN;
  const day = read.kind === 'day' ? read.day : order === 'dayFirst' ? read.dayFirst : read.monthFirst;
  return Date.parse(`${day}T00:00:00.000Z`) / 1000;
}

/** Days of a log are few: each spelling is read once. */
function dayReader(order: DayOrder): (text: string) => number {
  let lastText = '';
  let last = NaN;
  return (text) => {
    if (text !== lastText) {
      lastText = text;
      last = daySeconds(text, order);
    }
    return last;
  };
}

export interface StampReader {
  /** Seconds since 1970 as the clock on the wall showed them, or since the log began; NaN where the cells hold no time. */
  readonly seconds: (cell: string, next: string) => number;
  /** Seconds east of Greenwich of the stamps, once one was read; null where they do not say. */
  readonly offsetS: () => number | null;
}

/** Between the days of a spreadsheet (1900 system, day 25569) and 1970. */
const DAY_NUMBER_1970 = 25_569;

/** Reads the time cells of rows, one after the other. */
export function stampReader(input: {
  form: StampForm;
  dayOrder: DayOrder;
  elapsedUnit: ElapsedUnit;
  minutesFirst: boolean;
  number: (cell: string) => number;
}): StampReader {
  const { form, dayOrder, elapsedUnit, minutesFirst, number } = input;
  const day = dayReader(dayOrder);
  let offsetS: number | null = null;
  let dayText = '';
  let behind = 0;

  function clock(text: string, from = 0): number {
    const plain = clockSeconds(text, from, minutesFirst);
    if (!Number.isNaN(plain)) return plain;
    const zoned = offsetBehind(text.slice(from));
    if (!zoned) return NaN;
    offsetS ??= zoned.offsetS;
    // Every later stamp is told on the clock of the first one, whatever its own offset.
    return clockSeconds(zoned.clock) - zoned.offsetS + offsetS;
  }

  function dayAndClock(cell: string): number {
    if (dayText === '' || !cell.startsWith(dayText)) {
      const split = splitDayAndClock(cell);
      if (!split) {
        const alone = day(cell);
        return alone;
      }
      dayText = cell.slice(0, cell.length - split[1].length);
      behind = day(split[0]);
    }
    return behind + clock(cell, dayText.length);
  }

  // Of a clock alone the days are counted by its midnights.
  let lastClock = -Infinity;
  let midnights = 0;
  function clockAlone(cell: string): number {
    const seconds = clock(cell);
    if (Number.isNaN(seconds)) return NaN;
    if (!minutesFirst && seconds < lastClock - DAY_S / 2) midnights += DAY_S;
    lastClock = seconds;
    return seconds + midnights;
  }

  const readers: Readonly<Record<StampForm, (cell: string, next: string) => number>> = {
    dayAndClock,
    dayThenClock: (cell, next) => day(cell) + clock(next),
    clock: clockAlone,
    elapsed: (cell) => number(cell) * ELAPSED_S[elapsedUnit],
    epoch(cell) {
      const value = number(cell);
      return value > 1e11 ? value / 1000 : value;
    },
    dayNumber: (cell) => (number(cell) - DAY_NUMBER_1970) * DAY_S,
  };
  if (form === 'epoch') offsetS = 0;
  return { seconds: readers[form], offsetS: () => offsetS };
}
