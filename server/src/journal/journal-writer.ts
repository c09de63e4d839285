import { checkEntry, type Checked, type EntryAnswer, type FieldIssue } from '@winter-jar/contracts';
import {
  effectiveEntry,
  type Correction,
  type Entry,
  type JournalEntry,
  type PumpState,
  type SetUpVersion,
} from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import type { Clock } from '../clock/clock.js';
import { EPOCH, type Database } from '../database/open.js';
import { writingStatements, type WritingStatements } from '../database/statements.js';
import { hasFile } from '../files/kept-files.js';
import type { RecordName, SetUpStore } from './set-up-store.js';
import type { Actor } from './actor.js';
import { BulkWriting } from './bulk-writing.js';
import { ChangeLog } from './change-log.js';
import { contentHash } from './content-hash.js';
import { DerivedTables, type Original } from './derived-tables.js';
import { caseIssues } from './case-rules.js';
import { questionsAbout, sampleIssues, setUpIssues } from './entry-rules.js';
import { insertEntry } from './insert-entry.js';
import { PROJECTIONS } from './projections.js';
import { SetUpWriting } from './set-up-writing.js';
import { BEFORE_ALL, Touched } from './touched.js';

const parse = <T>(text: string): T => JSON.parse(text) as T;

function citedPhoto(entry: JournalEntry): string | null {
  if (entry.kind === 'look' || entry.kind === 'test') return entry.body.photoId ?? null;
  const body = entry.kind === 'correction' ? entry.body.body : null;
  return body && 'photoId' in body ? (body.photoId ?? null) : null;
}

/** Whoever has not asked for so many changes reads everything anew. */
const CHANGES_KEPT = 20_000;

/** Thrown inside a transaction to leave nothing of an act behind. */
class ActRefused extends Error {}
class Rehearsed extends Error {}

/**
 * The one writer for writing. Each act is one transaction that opens, writes and commits in one synchronous block: no await
 * inside, so that nothing can come between, and an acknowledged entry is on the disk with its states.
 */
export class JournalWriter {
  private sql!: WritingStatements;
  private derived!: DerivedTables;
  private setUp!: SetUpWriting;
  readonly changes: ChangeLog;
  /** Entries that come as a file. */
  bulk!: BulkWriting;

  constructor(
    private readonly database: Database,
    private readonly store: SetUpStore,
    private readonly clock: Clock,
  ) {
    this.changes = new ChangeLog(writingStatements(database.writer), clock);
    this.reopened();
  }

  /** Statements belong to a connection; they are made anew when another file lies under it. */
  reopened(): void {
    this.sql = writingStatements(this.database.writer);
    this.changes.reopened(this.sql);
    this.derived = new DerivedTables(this.sql, this.store, PROJECTIONS);
    this.setUp = new SetUpWriting(this.database, this.store, this.sql, this.derived, this.changes);
    this.bulk = new BulkWriting(this.database, this.sql, this.derived, this.changes, (e) => this.entryIssues(e));
  }

  /** Writes, looks at the states that would follow, and takes everything back. */
  rehearse<A, T>(write: () => A, look: (answer: A) => T): T {
    let seen: { readonly value: T } | null = null;
    try {
      this.changes.silently(() =>
        this.database.writer.transaction(() => {
          seen = { value: look(write()) };
          throw new Rehearsed();
        })(),
      );
    } catch (error) {
      if (!(error instanceof Rehearsed)) throw error;
    } finally {
      this.store.reload(this.sql);
    }
    return (seen as unknown as { readonly value: T }).value;
  }

  /** Checks and writes entries, act by act, and answers each by itself. */
  write(actor: Actor, raw: readonly unknown[]): EntryAnswer[] {
    const answers: EntryAnswer[] = [];
    const acts = new Map<string, { entry: JournalEntry; place: number }[]>();
    raw.forEach((sent, place) => {
      const checked = this.checked(sent);
      if (checked.ok) {
        const act = acts.get(checked.value.actId) ?? [];
        acts.set(checked.value.actId, [...act, { entry: checked.value, place }]);
        return;
      }
      const id =
        typeof sent === 'object' && sent !== null && 'id' in sent && typeof sent.id === 'string' ? sent.id : null;
      answers[place] = { id, status: 'refused', issues: checked.issues };
    });
    const broken = new Set(raw.flatMap((sent, place) => (answers[place] ? [actIdOf(sent)] : [])));
    for (const [actId, members] of acts) {
      const given = broken.has(actId)
        ? members.map((m): EntryAnswer => ({ id: m.entry.id, status: 'heldBack' }))
        : this.writeAct(
            actor,
            members.map((m) => m.entry),
          );
      members.forEach((m, i) => {
        const answer = given[i];
        if (answer) answers[m.place] = answer;
      });
    }
    return answers;
  }

  /** Shape and times, and that a photograph which is cited was kept before. */
  private checked(sent: unknown): Checked<JournalEntry> {
    const checked = checkEntry(sent, this.clock.nowMs());
    const photoId = checked.ok ? citedPhoto(checked.value) : null;
    if (photoId === null || hasFile(this.database.folder, 'photo', photoId)) return checked;
    const right = 'a photograph that was kept here before the look';
    return { ok: false, issues: [{ field: 'body.photoId', value: photoId, code: 'unknownId', right }] };
  }

  /** Writes many acts that need no answer from a person in one transaction (imports); soft questions count as answered. */
  writeTogether(actor: Actor, entries: readonly JournalEntry[]): EntryAnswer[] {
    return this.writeAct(actor, entries, 'asksNothing');
  }

  /** Adds versions to the set-up and refolds what they touch, see {@link SetUpWriting.write}. @returns issues, and then nothing is written */
  writeSetUp(actor: Actor, versions: readonly SetUpVersion[], seenTag: number | null = null): FieldIssue[] {
    return this.setUp.write(actor, versions, seenTag);
  }

  /** Pumps whose entries a record of the set-up bears upon. */
  pumpsTouchedBy(record: RecordName): string[] {
    return this.setUp.pumpsTouchedBy(record);
  }

  /** States as the writer sees them, inside a rehearsal too: of all pumps, or of some. */
  states(pumpIds?: readonly string[]): ReadonlyMap<string, PumpState> {
    const rows = pumpIds
      ? pumpIds.flatMap((id) => this.sql.subjectState.get({ subjectType: 'pump', subjectId: id }) ?? [])
      : this.sql.subjectsWithState.all().filter((row) => row.subjectType === 'pump');
    return new Map(rows.map((row) => [row.subjectId, parse<PumpState>(row.state)]));
  }

  /** Remembers a fact about the data folder, once. */
  writeFact(name: string, value: string): void {
    this.sql.insertFact.run({ name, value });
  }

  /** A file was kept; entries may cite it from now on. */
  noteFile(actor: Actor): void {
    this.database.writer.transaction(() => this.changes.note(actor, 'file', []))();
    this.changes.settle(true);
  }

  /** Rebuilds counted entries, states and checkpoints from the journal alone. */
  rebuildAll(): number {
    this.bulk.takeBackUnfinished();
    return this.database.writer.transaction(() => {
      this.sql.clearCounted.run();
      this.sql.clearSubjects.run();
      const touched = new Touched();
      const until = this.sql.lastSeq.get()?.seq ?? 0;
      for (let seq = 0, rows; (rows = this.sql.journalBetween.all({ after: seq, until })).length > 0;) {
        for (const row of rows) {
          const entry = parse<JournalEntry>(row.content);
          if (entry.kind !== 'correction') {
            touched.addAll(this.derived.count({ entry, seq: row.seq }));
          }
          seq = row.seq;
        }
      }
      for (const { subjectType, subjectId } of this.sql.subjectsWithState.all())
        touched.add({ type: subjectType, id: subjectId }, BEFORE_ALL);
      const all = touched.all.reduce((from, { subject }) => from.add(subject, BEFORE_ALL), new Touched());
      this.derived.fold(all);
      return all.pumpIds.length;
    })();
  }

  /** Before anything is served: what a crash left half-imported is taken back, and states of another fold version are rebuilt. */
  putInOrder(): number {
    this.sql.insertFact.run({ name: EPOCH, value: newId() });
    this.sql.forgetChanges.run(CHANGES_KEPT);
    this.bulk.takeBackUnfinished();
    return this.derived.anyOutdated() ? this.rebuildAll() : 0;
  }

  private writeAct(
    actor: Actor,
    entries: readonly JournalEntry[],
    asking: 'asks' | 'asksNothing' = 'asks',
  ): EntryAnswer[] {
    const answers: (EntryAnswer | null)[] = entries.map(() => null);
    const transaction = this.database.writer.transaction(() => {
      const touched = new Touched();
      entries.forEach((entry, i) => {
        answers[i] = this.accept(entry, entries, touched, asking);
      });
      if (answers.some((a) => a && a.status !== 'written' && a.status !== 'alreadyWritten')) throw new ActRefused();
      this.derived.fold(touched);
      if (answers.some((a) => a?.status === 'written')) this.changes.note(actor, 'entries', touched.pumpIds);
    });
    try {
      transaction.immediate();
      this.changes.settle(true);
    } catch (error) {
      this.changes.settle(false);
      if (!(error instanceof ActRefused)) throw error;
      return entries.map((entry, i) => {
        const answer = answers[i];
        return answer && answer.status !== 'written' ? answer : { id: entry.id, status: 'heldBack' };
      });
    }
    return answers.filter((a) => a !== null);
  }

  private accept(
    entry: JournalEntry,
    act: readonly JournalEntry[],
    touched: Touched,
    asking: 'asks' | 'asksNothing',
  ): EntryAnswer {
    const { id } = entry;
    const hash = contentHash(entry);
    const stored = this.sql.entryById.get(id);
    if (stored?.contentHash === hash) {
      // Acknowledged from now on, whatever becomes of an import that brought it.
      if (stored.importId !== null) this.sql.keepImported.run(id);
      return { id, status: 'alreadyWritten', seq: stored.seq };
    }
    if (stored) return { id, status: 'conflict', stored: parse(stored.content), sent: entry };
    const issues = entry.kind === 'correction' ? this.correctionIssues(entry, act) : this.entryIssues(entry);
    if (issues.length > 0) return { id, status: 'refused', issues };
    if (entry.kind !== 'correction' && asking === 'asks') {
      const questions = questionsAbout(entry, this.store.book, this.sql);
      if (questions.length > 0) return { id, status: 'asked', questions };
    }
    const seq = insertEntry(this.sql, entry, { contentHash: hash, content: JSON.stringify(entry) }, null);
    if (seq === null) throw new Error(`${id}: taken within one act`);
    if (entry.kind !== 'correction') touched.addAll(this.derived.count({ entry, seq }));
    else {
      const original = this.originalOf(entry);
      if (original) touched.addAll(this.derived.countAnew(original));
    }
    return { id, status: 'written', seq };
  }

  private originalOf(correction: Correction): Original | null {
    const row = this.sql.entryById.get(correction.body.targetId);
    return row ? { entry: parse<Entry>(row.content), seq: row.seq } : null;
  }

  private entryIssues(sent: Entry): FieldIssue[] {
    const entry = effectiveEntry(sent, []) ?? sent;
    return [...setUpIssues(entry, this.store.book), ...sampleIssues(entry, this.sql), ...caseIssues(entry, this.sql)];
  }

  /** A correction whose target is not here yet waits, so only what can be known is checked. */
  private correctionIssues(correction: Correction, act: readonly JournalEntry[]): FieldIssue[] {
    const { targetId, action } = correction.body;
    const original = this.originalOf(correction)?.entry;
    if (!original) return [];
    if ((original as JournalEntry).kind === 'correction') {
      return [
        {
          field: 'body.targetId',
          value: targetId,
          code: 'namesACorrection',
          right: 'the id of the original entry, not of a correction',
        },
      ];
    }
    if (action === 'void') {
      const voided = act.flatMap((e) => (e.kind === 'correction' && e.body.action === 'void' ? [e.body.targetId] : []));
      const rest = this.sql.actMembers.all(original.actId).filter((m) => !voided.includes(m.id));
      if (rest.length === 0) return [];
      const right = `the other entries of this deed undone with it: ${rest.map((r) => r.id).join(', ')}`;
      return [{ field: 'body.targetId', value: targetId, code: 'restOfAct', right }];
    }
    const corrected = effectiveEntry(original, [correction]);
    if (!corrected) return [];
    const checked = checkEntry(corrected, this.clock.nowMs());
    const issues = checked.ok ? this.entryIssues(corrected) : checked.issues;
    return issues.map((i) => ({ ...i, field: `body.${i.field}` }));
  }
}

function actIdOf(sent: unknown): unknown {
  return typeof sent === 'object' && sent !== null && 'actId' in sent ? sent.actId : undefined;
}
