import type { JournalEntry } from '@winter-jar/core';
import { checkEntry, type Checked } from './check-entry.js';
import { EARLIEST } from './instant.js';

const UUID = /"[0-9A-Fa-f]{8}(-[0-9A-Fa-f]{4}){3}-[0-9A-Fa-f]{12}"/g;

/** Ids were taken in any case before: what is taken in whole gets them in lower case together. */
export function idsInOneSpelling(raw: unknown): unknown {
  const text = JSON.stringify(raw) ?? '';
  return /"[0-9a-f-]*[A-F][0-9A-Fa-f-]*"/.test(text) ? JSON.parse(text.replace(UUID, (id) => id.toLowerCase())) : raw;
}

const isInstant = (value: unknown): value is string => typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value);
const isKnownZone = (value: unknown): boolean => {
  try {
    return typeof value === 'string' && new Intl.DateTimeFormat('en', { timeZone: value }) !== null;
  } catch {
    return false;
  }
};

const INSTANTS = ['happenedAt', 'recordedAt', 'validFrom', 'overhauledAt'];

/** An entry, a version of a record or its body as it would be written today: days before 1950 and zones of another spelling were taken before. */
export function asOfToday(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return raw;
  const given = idsInOneSpelling(raw) as Record<string, unknown>;
  const instants = INSTANTS.filter((key) => isInstant(given[key]) && given[key] < EARLIEST);
  return {
    ...given,
    ...Object.fromEntries(instants.map((key) => [key, EARLIEST])),
    ...(isKnownZone(given.zone) ? { zone: 'UTC' } : {}),
    ...('validFrom' in given ? { body: asOfToday(given.body) } : {}),
  };
}

/** Checks an entry that was accepted once: by today's rules, but for those that were looser when it was. `nowMs` as in checkEntry. */
export function checkStored(raw: unknown, nowMs: number): Checked<JournalEntry> {
  const today = checkEntry(raw, nowMs);
  if (today.ok) return today;
  const then = checkEntry(asOfToday(raw), nowMs);
  return then.ok ? { ok: true, value: raw as JournalEntry } : then;
}
