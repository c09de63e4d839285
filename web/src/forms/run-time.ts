import { TZDate } from '@date-fns/tz';
import type { Precision } from '@winter-jar/core';
import { fromLocalField } from '../words/dates.js';

/** How the time of a run is told. */
export type TimeMode = 'endedNow' | 'times' | 'day' | 'started';

export interface RunTime {
  readonly happenedAt: string;
  readonly precision: Precision;
  readonly minutes: number | null;
}

/** A run known only to the day counts from six in the morning of that day. */
const DAY_START_HOUR = 6;

export function timeOfDayRun(day: string, zone: string): string | null {
  const start = fromLocalField(`${day}T00:00`, zone);
  if (!start) return null;
  const date = new TZDate(start, zone);
  date.setHours(DAY_START_HOUR);
  return new Date(date.getTime()).toISOString();
}

/** Start and length of a run from what the form says; the words name the field that is wrong. */
export function runTime(input: {
  mode: TimeMode;
  minutes: number | null;
  start: string;
  end: string;
  day: string;
  zone: string;
  nowMs: number;
}): { ok: true; time: RunTime } | { ok: false; field: 'start' | 'end' | 'day'; words: string } {
  const { mode, minutes, zone, nowMs } = input;
  if (mode === 'endedNow') {
    const happenedAt = new Date(nowMs - (minutes ?? 0) * 60_000).toISOString();
    return { ok: true, time: { happenedAt, precision: 'exact', minutes } };
  }
  if (mode === 'started') {
    const start = fromLocalField(input.start, zone);
    if (!start) return { ok: false, field: 'start', words: 'Say when the run started.' };
    if (Date.parse(start) > nowMs + 600_000)
      return { ok: false, field: 'start', words: 'This start has not come yet. Right would be now or earlier.' };
    return { ok: true, time: { happenedAt: start, precision: 'exact', minutes: null } };
  }
  if (mode === 'day') {
    const happenedAt = timeOfDayRun(input.day, zone);
    if (!happenedAt) return { ok: false, field: 'day', words: 'Say on which day.' };
    if (Date.parse(happenedAt) > nowMs)
      return { ok: false, field: 'day', words: 'This day has not come yet. Right would be today or earlier.' };
    return { ok: true, time: { happenedAt, precision: 'day', minutes } };
  }
  const start = fromLocalField(input.start, zone);
  const end = fromLocalField(input.end, zone);
  if (!start) return { ok: false, field: 'start', words: 'Say when the run started.' };
  if (!end) return { ok: false, field: 'end', words: 'Say when the run ended.' };
  const span = Math.round((Date.parse(end) - Date.parse(start)) / 60_000);
  if (span <= 0)
    return {
      ok: false,
      field: 'end',
      words: `The end is not after the start. Right would be later than ${input.start.replace('T', ' ')}.`,
    };
  if (Date.parse(end) > nowMs + 600_000)
    return { ok: false, field: 'end', words: 'The end has not come yet. Log a run when it ends.' };
  return { ok: true, time: { happenedAt: start, precision: 'exact', minutes: span } };
}
