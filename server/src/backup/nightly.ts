import { stampOf } from '../clock/clock.js';

const NAME = /^winter-jar-(\d{4})(\d\d)(\d\d)-(\d\d)(\d\d)(\d\d)\.tar\.gz$/;
const DAY_MS = 86_400_000;
/** All of them so many days, then one a week, then one a month, then none. */
const DAYS = { all: 8, weekly: 62, monthly: 400 };

export const nightlyName = (at: string): string => `winter-jar-${stampOf(at)}.tar.gz`;

function madeMs(name: string): number | null {
  const match = NAME.exec(name);
  if (!match) return null;
  const [, year, month, day, hour, minute, second] = match.map(Number) as [number, ...number[]];
  return Date.UTC(year ?? 0, (month ?? 1) - 1, day, hour, minute, second);
}

/** What one stands for: of those that stand for the same the first is kept. Null: for nothing any more. */
function standsFor(ms: number, nowMs: number): string | null {
  const days = (nowMs - ms) / DAY_MS;
  if (days < DAYS.all) return `at ${ms}`;
  if (days < DAYS.weekly) return `week ${Math.floor(ms / (7 * DAY_MS))}`;
  return days < DAYS.monthly ? `month ${new Date(ms).toISOString().slice(0, 7)}` : null;
}

/**
 * Backups of a folder that are not needed any more. The newest always stays, and so does whatever bears another name.
 * @param names of the files there
 */
export function superseded(names: readonly string[], now: string): string[] {
  const nowMs = Date.parse(now);
  const made = names
    .map((name) => ({ name, ms: madeMs(name) }))
    .filter((one): one is { name: string; ms: number } => one.ms !== null)
    .sort((a, b) => a.ms - b.ms);
  const kept = new Set<string>();
  return made.slice(0, -1).flatMap(({ name, ms }) => {
    const what = standsFor(ms, nowMs);
    if (what === null || kept.has(what)) return [name];
    kept.add(what);
    return [];
  });
}
