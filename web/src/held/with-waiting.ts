import type {
  About,
  EntryHistory,
  JobAnswer,
  JournalLine,
  JournalPage,
  PumpPage,
  RoundAnswer,
} from '@winter-jar/contracts';
import {
  correctionsConflict,
  effectiveEntries,
  effectiveEntry,
  jobIdOf,
  pumpIdsOf,
  roundOf,
  winningCorrection,
  type Correction,
  type Entry,
  type JournalEntry,
} from '@winter-jar/core';
import { heldJournals, heldPages } from './answers.js';
import { foldOn } from './fold-on.js';
import { outbox } from './outbox.js';

/** What the server answers from memory, without a connection: the last answer with what waits on this device laid over. */
type Overlay = (held: unknown, arg: never, waiting: readonly JournalEntry[], now: string) => unknown;

const isOwnCorrection = (waiting: readonly JournalEntry[], id: string): Correction[] =>
  waiting.flatMap((e) => (e.kind === 'correction' && e.body.targetId === id ? [e] : []));

/** All pumps as they stand at this moment, not when they were fetched. */
async function round(held: RoundAnswer, _arg: unknown, waiting: readonly JournalEntry[], now: string) {
  const pages = await heldPages();
  const rows = held.rows.map((row) => {
    const page = pages.get(row.pumpId);
    return page ? foldOn(page, waiting, now).row : row;
  });
  return { ...held, ...roundOf(rows), at: now };
}

function journal(
  held: JournalPage,
  { pumpId, kinds, before }: { pumpId: string; kinds?: string; before?: string },
  waiting: readonly JournalEntry[],
): JournalPage {
  const isShown = (entry: Entry) =>
    pumpIdsOf(entry).includes(pumpId) && (!kinds || kinds.split(',').includes(entry.kind));
  const lines = held.lines.flatMap((line): JournalLine[] => {
    const said = isOwnCorrection(waiting, line.entry.id);
    const entry = said.length > 0 ? effectiveEntry(line.entry, said) : line.entry;
    return entry ? [{ ...line, entry, correctionId: said.at(-1)?.id ?? line.correctionId }] : [];
  });
  if (before !== undefined) return { ...held, lines };
  const own = effectiveEntries(waiting)
    .filter(isShown)
    .map((entry): JournalLine => {
      const correction = winningCorrection(isOwnCorrection(waiting, entry.id));
      return { entry, correctionId: correction?.id ?? null, contradicted: false };
    });
  const all = [...own, ...lines].sort((a, b) => (a.entry.happenedAt < b.entry.happenedAt ? 1 : -1));
  return { lines: all, before: null };
}

function entry(held: EntryHistory, _id: unknown, waiting: readonly JournalEntry[]): EntryHistory {
  const corrections = [...held.corrections, ...isOwnCorrection(waiting, held.original.id)];
  const counts = held.asks.length > 0 ? null : effectiveEntry(held.original, corrections);
  const members = waiting.filter((e) => e.kind !== 'correction' && e.actId === held.original.actId).map(({ id }) => id);
  return {
    ...held,
    corrections,
    counts,
    actEntryIds: [...new Set([...held.actEntryIds, ...members])],
    contradicted: correctionsConflict(corrections),
  };
}

/** All of a job is one deed: its steps, and what they left in the record. */
const ofJob = (entries: readonly Entry[], jobId: string): readonly Entry[] => {
  const actIds = new Set(entries.flatMap((e) => (jobIdOf(e) === jobId ? [e.actId] : [])));
  return entries.filter((e) => actIds.has(e.actId));
};

function job(held: JobAnswer, { jobId }: { jobId: string }, waiting: readonly JournalEntry[]): JobAnswer {
  const before = held.entries.flatMap((e) => effectiveEntry(e, isOwnCorrection(waiting, e.id)) ?? []);
  const own = effectiveEntries(waiting).filter(({ id }) => !before.some((e) => e.id === id));
  return { entries: ofJob([...before, ...own], jobId) };
}

const OVERLAYS: Readonly<Record<string, Overlay>> = {
  about: (held, _arg, _waiting, now) => ({ ...(held as About), now }),
  round: round as Overlay,
  pump: (held, _arg, waiting, now) => foldOn(held as PumpPage, waiting, now),
  journal: journal as Overlay,
  entry: entry as Overlay,
  job: job as Overlay,
};

/** What waits and would count: not what the server has refused. */
const entriesWaiting = (): JournalEntry[] =>
  outbox.all().flatMap(({ state, entries }) => (state === 'waiting' ? entries : []));

/** The last answer of an endpoint with what waits on this device. */
export async function withWaiting(endpoint: string, arg: unknown, held: unknown, now: string): Promise<unknown> {
  const overlay = OVERLAYS[endpoint];
  return overlay ? await overlay(held, arg as never, entriesWaiting(), now) : held;
}

/** What can be answered though it was never asked before: null where only the server knows. */
export async function fromOthers(endpoint: string, arg: unknown): Promise<unknown> {
  if (endpoint === 'entry') return historyOf(String(arg));
  if (endpoint === 'journal') return journalOf(arg as { pumpId: string; kinds?: string; before?: string });
  if (endpoint === 'job') return jobOf(arg as { pumpId: string; jobId: string });
  return null;
}

/** Of an entry that waits here, or that stands in a journal that was fetched and was never corrected. */
async function historyOf(id: string): Promise<EntryHistory | null> {
  const own = outbox
    .all()
    .flatMap(({ entries }) => entries)
    .find((e) => e.id === id);
  const original = own && own.kind !== 'correction' ? own : await heldEntry(id);
  if (!original) return null;
  return {
    original,
    corrections: [],
    unsettled: [],
    counts: original,
    asks: [],
    actEntryIds: [id],
    contradicted: false,
  };
}

async function heldEntry(id: string): Promise<Entry | null> {
  for (const { row } of (await heldPages()).values())
    for (const held of await heldJournals(row.pumpId)) {
      const line = (held as JournalPage).lines.find((l) => l.entry.id === id);
      // What was said of it before is not here: a word that does not know of it would contradict it.
      if (line) return line.correctionId === null ? line.entry : null;
    }
  return null;
}

/** Some kinds of entries, out of a journal of all kinds. */
async function journalOf({ pumpId, kinds, before }: { pumpId: string; kinds?: string; before?: string }) {
  if (before !== undefined) return { lines: [], before: null };
  const lines = new Map<string, JournalLine>();
  for (const held of await heldJournals(pumpId))
    for (const line of (held as JournalPage).lines) lines.set(line.entry.id, line);
  const wanted = [...lines.values()].filter(({ entry: e }) => !kinds || kinds.split(',').includes(e.kind));
  return { lines: wanted, before: null };
}

/** A job whose start is known here: what the pump's journal has of it, before what waits is laid over. */
async function jobOf({ pumpId, jobId }: { pumpId: string; jobId: string }): Promise<JobAnswer | null> {
  const { lines } = await journalOf({ pumpId });
  const known = lines.map(({ entry }) => entry).sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1));
  const entries = ofJob(known, jobId);
  const isBegun = [...entries, ...entriesWaiting()].some((e) => e.kind === 'jobStarted' && jobIdOf(e) === jobId);
  return isBegun ? { entries } : null;
}
