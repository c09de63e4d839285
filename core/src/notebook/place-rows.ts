import { TZDate } from '@date-fns/tz';
import { localDay } from '../journal/index.js';
import type { NotebookRow, UnplacedRow } from './notebook.js';

/** What is known only to the day begins at six in the morning of that day. */
const DAY_STARTS = 6 * 60;
const MINUTE_MS = 60_000;

/** A day and minutes after midnight as the clock on the wall shows them in a zone, in ms since 1970. */
export function instantOf(day: string, minutes: number, zone: string): number {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new TZDate(year, month - 1, date, Math.floor(minutes / 60), minutes % 60, zone).getTime();
}

export const nextDay = (day: string): string => iso(Date.parse(`${day}T00:00:00Z`) + 86_400_000).slice(0, 10);

const iso = (ms: number): string => new Date(ms).toISOString();

/**
 * Gives each entry its moment. Those of which only the day is known come one after another as they stand in the sheet, the first at
 * six in the morning; a sheet that has the latest on top is read from below.
 */
export function placeRows(rows: readonly UnplacedRow[], nowMs: number): NotebookRow[] {
  const freeFrom = new Map<string, number>();
  const placed = new Map<UnplacedRow, NotebookRow>();
  for (const row of latestOnTop(rows) ? fromBelow(rows) : rows) {
    const { zone, day, from, afterThat = false, ...kept } = row;
    const length = (row.minutes ?? 1) * MINUTE_MS;
    const early = instantOf(day, from ?? DAY_STARTS, zone);
    const free = freeFrom.get(row.pumpId) ?? 0;
    const isFreeThatDay = localDay({ at: iso(free), zone }) === localDay({ at: iso(early), zone });
    let at = afterThat || (from === null && isFreeThatDay) ? Math.max(free, early) : early;
    // What is over today did not end later than now.
    if (from === null && at <= nowMs) at = Math.min(at, nowMs - length);
    freeFrom.set(row.pumpId, Math.max(free, at + length));
    placed.set(row, { ...kept, at: iso(at), dayOnly: from === null });
  }
  return rows.flatMap((row) => placed.get(row) ?? []);
}

function latestOnTop(rows: readonly UnplacedRow[]): boolean {
  const steps = rows.map(({ day }, i) => day.localeCompare(rows[i - 1]?.day ?? day));
  return steps.filter((step) => step < 0).length > steps.filter((step) => step > 0).length;
}

/** From the last line up; what one line makes stays in its order. */
function fromBelow(rows: readonly UnplacedRow[]): UnplacedRow[] {
  const byLine = new Map<number, UnplacedRow[]>();
  for (const row of rows) byLine.set(row.line, [...(byLine.get(row.line) ?? []), row]);
  return [...byLine.values()].reverse().flat();
}
