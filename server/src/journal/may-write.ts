import type { FieldIssue } from '@winter-jar/contracts';
import {
  effectiveEntry,
  jobIdOf,
  mayTellOf,
  pumpIdsOf,
  rightOfCorrection,
  rightOfEntry,
  seesNow,
  seesStanding,
  standsOpen,
  type Entry,
  type JobStartedBody,
  type JournalEntry,
  type Right,
  type SetUpBook,
} from '@winter-jar/core';
import { pumpStateIn } from '../database/pump-state-in.js';
import type { WritingStatements } from '../database/statements.js';
import { mayDo, type Actor, type PersonActing } from './actor.js';
import { citedFiles, isOfOtherSites } from './cited-files.js';

type Asked = Pick<WritingStatements, 'countedById' | 'entryById' | 'jobsStarted' | 'subjectState' | 'citing'>;
/** Before it is written. */
interface Sent {
  /** What is sent with it. */
  readonly together: readonly JournalEntry[];
  readonly book: SetUpBook;
  readonly now: string;
}

const mayNot = (field: string, value: unknown, right: string): FieldIssue => ({ field, value, code: 'mayNot', right });

/** An entry bears the person who wrote it, whether their device says so or not. */
export const writtenBy = (actor: Actor, entry: JournalEntry): JournalEntry =>
  actor.kind === 'person' && !entry.who ? { ...entry, who: actor.personId } : entry;

function jobOf(entry: Entry, together: readonly JournalEntry[], sql: Asked): JobStartedBody | null {
  if (entry.kind === 'jobStarted') return entry.body;
  const jobId = jobIdOf(entry);
  if (jobId === null) return null;
  const kept = sql.jobsStarted.all(jobId).map((row) => JSON.parse(row.content) as JournalEntry);
  const started = [...kept, ...together].find((e) => e.kind === 'jobStarted' && jobIdOf(e) === jobId);
  return started?.kind === 'jobStarted' ? started.body : null;
}

/** What an entry is about: itself, or what it corrects; null where that is not here. */
function toldOf(entry: JournalEntry, together: readonly JournalEntry[], sql: Asked): Entry | null {
  if (entry.kind !== 'correction') return entry;
  const { targetId } = entry.body;
  const row = sql.entryById.get(targetId);
  const original = row ? (JSON.parse(row.content) as JournalEntry) : together.find((e) => e.id === targetId);
  return original && original.kind !== 'correction' ? original : null;
}

/** What an entry needs; null for a correction of what is not here. */
function rightFor(entry: JournalEntry, by: PersonActing, together: readonly JournalEntry[], sql: Asked): Right | null {
  const original = toldOf(entry, together, sql);
  if (entry.kind !== 'correction') return rightOfEntry(entry.kind, jobOf(entry, together, sql));
  if (original === null) return null;
  const { targetId } = entry.body;
  const ofKind = rightOfEntry(original.kind, jobOf(original, together, sql));
  if (ofKind !== 'log') return ofKind;
  const counted = sql.countedById.get(targetId);
  const counts = counted ? (JSON.parse(counted.content) as Entry) : null;
  return rightOfCorrection({ original, counts, by: by.personId, action: entry.body.action });
}

/**
 * Whether somebody may write an entry: as nobody else, of what stands at their sites, and what their role allows. What corrects an
 * entry that is not here is for those who may write anything anywhere: nobody knows yet whose it is.
 */
export function notTheirs(actor: Actor, entry: JournalEntry, sent: Sent, sql: Asked): FieldIssue[] {
  const { together, book } = sent;
  if (actor.kind !== 'person') return [];
  if (entry.who !== actor.personId)
    return [mayNot('who', entry.who, 'whoever is signed in: nobody writes as somebody else')];
  const told = toldOf(entry, together, sql);
  if (!isAtTheirSites(actor, entry, told, book) && !isOpenAtTheirs(actor, entry, told, sent, sql))
    return [mayNot('subjects', entry.subjects, 'what stands at a site that you see; ask somebody who sees the others')];
  const hidden = citedFiles(entry).find((fileId) => isOfOtherSites(actor.sight, fileId, book, sql));
  if (hidden !== undefined)
    return [mayNot('body', hidden, 'a photograph or a log that you see; this one is of another site')];
  const right = rightFor(entry, actor, together, sql) ?? 'write';
  if (mayDo(actor, right)) return [];
  const asked =
    entry.kind === 'correction' ? 'an entry of your own that your role may write' : 'work that your role may log';
  return [mayNot('kind', entry.kind, `${asked}; this is a technician’s`)];
}

/** A correction may say that it happened at another time, or with another container: then too all of it stands there. */
function isAtTheirSites({ sight }: PersonActing, entry: JournalEntry, told: Entry | null, book: SetUpBook): boolean {
  if (sight === null) return true;
  if (told === null) return false;
  const corrected = entry.kind === 'correction' ? effectiveEntry(told, [entry]) : null;
  return mayTellOf(sight, book, told) && (corrected === null || mayTellOf(sight, book, corrected));
}

/** What stands open at a pump goes with it, wherever it was begun: a run that is on, and corrections that wait to be settled. */
function isOpenAtTheirs({ sight }: PersonActing, entry: JournalEntry, told: Entry | null, sent: Sent, sql: Asked) {
  if (entry.kind !== 'correction') return false;
  const house = sent.book.at(sent.now);
  if (entry.body.action === 'setAside') {
    const left = (entry.body.saw ?? []).map((id) => sql.entryById.get(id));
    return (
      left.length > 0 && left.every((row) => row && seesNow(sight, house, JSON.parse(row.content) as JournalEntry))
    );
  }
  if (told === null) return false;
  return pumpIdsOf(told).some((subjectId) => {
    const state = pumpStateIn(subjectId, sql.subjectState.get({ subjectType: 'pump', subjectId }));
    return seesStanding(sight, house, 'pump', subjectId) && standsOpen(told, state);
  });
}
