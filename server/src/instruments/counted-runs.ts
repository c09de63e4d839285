import type { Instrument, SeenRun } from '@winter-jar/core';
import { BODY_VERSION, type Correction, type Entry, type RunBody } from '@winter-jar/core';
import { v7 as newId } from 'uuid';

export type RunEntry = Extract<Entry, { kind: 'run' }>;

/** A run as an instrument has counted it, and the entry that stands for it. */
export interface CountedRun {
  readonly entryId: string;
  readonly startMs: number;
  readonly endMs: number | null;
}

/** What is to be done about a run that was seen. */
export type RunAct =
  | { readonly do: 'begin'; readonly body: RunBody; readonly startMs: number }
  /** The entry, this instrument’s own or a person’s, says the whole run from now on. */
  | { readonly do: 'correct'; readonly entry: RunEntry; readonly body: RunBody; readonly startMs: number }
  /** Somebody has logged the same run by hand: theirs stays. */
  | { readonly do: 'giveWay'; readonly own: RunEntry; readonly to: RunEntry }
  /** A person’s entry stands for it from now on. */
  | { readonly do: 'adopt'; readonly entry: RunEntry }
  | { readonly do: 'nothing' };

const MINUTE_MS = 60_000;
/** Times are typed to some minutes; a counted run is told to the minute. */
const SAME_MS = MINUTE_MS;
const FEWEST_SHARED_MS = 5 * MINUTE_MS;

const UNTOLD: RunBody = { materialId: null, session: 'run', ballast: 'unknown', ventedBeforeStop: 'unknown' };
const UNSEEN_END = 'Nobody listened when it ended: it ran at least so long.';

const lastMsOf = (entry: RunEntry, nowMs: number): number =>
  entry.body.stillRunning ? nowMs : Date.parse(entry.happenedAt) + (entry.body.minutes ?? 0) * MINUTE_MS;

/** Whether two stretches are the same run: they share half of the shorter, and some minutes at least. */
export function isSameRun(a: { fromMs: number; toMs: number }, b: { fromMs: number; toMs: number }): boolean {
  const shared = Math.min(a.toMs, b.toMs) - Math.max(a.fromMs, b.fromMs);
  const shorter = Math.min(a.toMs - a.fromMs, b.toMs - b.fromMs);
  return shared >= FEWEST_SHARED_MS && shared * 2 >= shorter;
}

/**
 * What is to be done about one run that an instrument has seen, so that it is in the journal once.
 * @param input.known what this instrument has said of it before; null for nothing
 * @param input.logged runs of the pump as they count, a person’s and its own
 * @param input.counted entries that this instrument has written or taken on, this one among them
 * @param input.saidByPerson whether somebody has had the last word about the times of the entry that stands for it
 */
export function actOn(input: {
  run: SeenRun;
  known: CountedRun | null;
  logged: readonly RunEntry[];
  counted: ReadonlySet<string>;
  saidByPerson: boolean;
  nowMs: number;
}): RunAct {
  const { run, known, logged, counted, nowMs } = input;
  const stretch = { fromMs: run.startMs, toMs: run.endMs ?? nowMs };
  const byHand = logged.find(
    (entry) =>
      !counted.has(entry.id) &&
      entry.body.session !== 'aborted' &&
      entry.precision === 'exact' &&
      isSameRun({ fromMs: Date.parse(entry.happenedAt), toMs: lastMsOf(entry, nowMs) }, stretch),
  );
  if (!known) return byHand ? { do: 'adopt', entry: byHand } : begun(run);
  const stands = logged.find((entry) => entry.id === known.entryId);
  // Somebody has taken it out: it was no run.
  if (!stands) return { do: 'nothing' };
  if (byHand) return { do: 'giveWay', own: stands, to: byHand };
  return asSeen(stands, run, input.saidByPerson, nowMs);
}

const begun = (run: SeenRun): RunAct => ({
  do: 'begin',
  startMs: run.startMs,
  body: run.endMs === null ? { ...UNTOLD, stillRunning: true } : endedBody(UNTOLD, run, run.startMs, run.endMs),
});

function endedBody(told: RunBody, run: SeenRun, startMs: number, endMs: number): RunBody {
  const minutes = Math.max(1, Math.round((endMs - startMs) / MINUTE_MS));
  const cycles = run.cycles ?? told.cycles ?? null;
  return { ...told, minutes, cycles, remark: told.remark ?? (run.endSeen ? null : UNSEEN_END) };
}

function asSeen(entry: RunEntry, run: SeenRun, saidByPerson: boolean, nowMs: number): RunAct {
  const { body } = entry;
  if (run.endMs === null) return { do: 'nothing' };
  if (!body.stillRunning && saidByPerson) return { do: 'nothing' };
  const loggedStart = Date.parse(entry.happenedAt);
  const loggedEnd = lastMsOf(entry, nowMs);
  // Where nobody listened, what was logged says more.
  const startMs = run.startSeen || loggedStart > run.startMs ? run.startMs : loggedStart;
  const endMs = run.endSeen || body.stillRunning ? run.endMs : Math.max(run.endMs, loggedEnd);
  const same =
    !body.stillRunning && Math.abs(startMs - loggedStart) <= SAME_MS && Math.abs(endMs - loggedEnd) <= SAME_MS;
  if (same) return { do: 'nothing' };
  const { stillRunning: _ended, ...told } = body;
  return { do: 'correct', entry, startMs, body: endedBody(told, run, startMs, endMs) };
}

/** As whom it speaks: a stand-in is called one wherever its word stands. */
export const saidBy = ({ name, simulated }: Pick<Instrument, 'name' | 'simulated'>): string =>
  simulated ? `${name.slice(0, 52)} (simulated)` : name;

/** What every entry of an instrument says of itself. */
const byInstrument = (instrument: Instrument, at: string) => ({
  recordedAt: at,
  who: null,
  device: saidBy(instrument),
  acknowledged: [],
  bodyVersion: BODY_VERSION,
});

export function runEntry(of: {
  instrument: Instrument;
  pumpId: string;
  equipmentId: string;
  zone: string;
  act: Extract<RunAct, { do: 'begin' }>;
  now: string;
}): RunEntry {
  const { instrument, pumpId, equipmentId, zone, act, now } = of;
  return {
    ...byInstrument(instrument, now),
    id: newId(),
    actId: newId(),
    kind: 'run',
    subjects: [
      { type: 'pump', id: pumpId },
      { type: 'equipment', id: equipmentId },
    ],
    happenedAt: new Date(act.startMs).toISOString(),
    zone,
    precision: 'exact',
    body: act.body,
  };
}

/** @param corrections all that have a say about it */
export function correctionOf(of: {
  instrument: Instrument;
  entry: RunEntry;
  corrections: readonly Correction[];
  said: { readonly body: RunBody; readonly startMs: number } | null;
  now: string;
}): Correction {
  const { instrument, entry, corrections, said, now } = of;
  const inOrder = [...corrections].sort((a, b) => (a.recordedAt < b.recordedAt ? -1 : 1));
  const last = inOrder.at(-1);
  // After the one that it saw, also where that came from a clock that is ahead.
  const recordedAt = last && last.recordedAt >= now ? new Date(Date.parse(last.recordedAt) + 1).toISOString() : now;
  return {
    ...byInstrument(instrument, recordedAt),
    id: newId(),
    actId: newId(),
    kind: 'correction',
    subjects: entry.subjects,
    happenedAt: now,
    zone: entry.zone,
    precision: 'exact',
    body: {
      targetId: entry.id,
      supersedes: last?.id ?? null,
      saw: corrections.map((c) => c.id),
      ...(said
        ? { action: 'replace', body: said.body, happenedAt: new Date(said.startMs).toISOString() }
        : { action: 'void' }),
    },
  };
}
