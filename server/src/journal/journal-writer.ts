// Longer than other files: the one door for writing, with all that goes through it.
import type { Checked, EntryAnswer, FieldIssue, Unsettled } from '@winter-jar/contracts';
import {
  BODY_VERSION,
  pumpIdsOf,
  subjectKey,
  type JournalEntry,
  type PumpState,
  type SetUpVersion,
  type SubjectRef,
} from '@winter-jar/core';
import { Logger } from '@nestjs/common';
import { v7 as newId } from 'uuid';
import { isoNow, type Clock } from '../clock/clock.js';
import { EPOCH, type Database } from '../database/open.js';
import { pumpStateIn } from '../database/pump-state-in.js';
import { writingStatements, type WritingStatements } from '../database/statements.js';
import { isDiskFull } from '../files/disk-full.js';
import type { InJournal } from './set-up-removal.js';
import type { RecordName, SetUpStore } from './set-up-store.js';
import type { Actor } from './actor.js';
import { BulkWriting } from './bulk-writing.js';
import { ChangeLog } from './change-log.js';
import { contentHash } from './content-hash.js';
import { deedsIn } from './deeds.js';
import { DerivedTables } from './derived-tables.js';
import { EntryChecks } from './entry-checks.js';
import { questionsAbout } from './entry-questions.js';
import { insertEntry } from './insert-entry.js';
import { notTheirs, writtenBy } from './may-write.js';
import { PROJECTIONS } from './projections.js';
import { SetUpWriting, type FoundNaming } from './set-up-writing.js';
import { isTaken, Settling, type Arrived, type Source } from './settling.js';
import { Touched } from './touched.js';
import { WaitedEntries } from './waited-entries.js';

const parse = <T>(text: string): T => JSON.parse(text) as T;

/** The fact that says as which version of bodies the entries are counted. */
const BODIES = 'bodyVersion';
/** Whoever has not asked for so many changes reads everything anew. */
const CHANGES_KEPT = 20_000;

/** What is written together. */
interface Act {
  readonly entries: readonly JournalEntry[];
  readonly source: Source;
  readonly unsettled: ReadonlyMap<string, Unsettled>;
}

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
  private checks!: EntryChecks;
  private settling!: Settling;
  private waited!: WaitedEntries;
  readonly changes: ChangeLog;
  private readonly logger = new Logger('Journal');
  /** Entries that come as a file. */
  bulk!: BulkWriting;
  private readonly whenLagging: (() => void)[] = [];

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
    this.checks = new EntryChecks(this.database.folder, this.sql, this.store, this.clock);
    this.settling = new Settling(this.sql, this.checks, this.derived);
    this.waited = new WaitedEntries(this.sql, this.store, this.derived);
    this.bulk = new BulkWriting(this.database, this.sql, this.derived, this.changes, this.checks, this.settling);
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

  /** Checks and writes entries, act by act, and answers each by itself. @param source 'waited': nobody is there to be asked */
  write(actor: Actor, raw: readonly unknown[], source: 'person' | 'waited' = 'person'): EntryAnswer[] {
    const checked = raw.map((sent) => this.sentBy(actor, sent));
    const sentWith = checked.flatMap((c) => (c.ok ? [c.value] : []));
    const { deeds, refused: answers } = deedsIn(raw, (_sent, place) => {
      const one = checked[place] as Checked<JournalEntry>;
      const issues = one.ok
        ? notTheirs(actor, one.value, { together: sentWith, book: this.store.book, now: isoNow(this.clock) }, this.sql)
        : [];
      return issues.length > 0 ? { ok: false, issues } : one;
    });
    for (const { members, isBroken } of deeds) {
      const entries = members.map((m) => m.entry);
      const given = isBroken
        ? entries.map(({ id }): EntryAnswer => ({ id, status: 'heldBack' }))
        : this.writeOne(actor, entries, { source, acts: deeds.length });
      members.forEach(({ place }, i) => {
        const answer = given[i];
        if (answer) answers[place] = answer;
      });
    }
    return answers;
  }

  private sentBy(actor: Actor, sent: unknown): Checked<JournalEntry> {
    const checked = this.checks.ofSent(sent);
    return checked.ok ? { ok: true, value: writtenBy(actor, checked.value) } : checked;
  }

  /** One act of several: where the server fails at it, the others are still what they are. */
  private writeOne(
    actor: Actor,
    entries: readonly JournalEntry[],
    { source, acts }: { readonly source: Source; readonly acts: number },
  ): EntryAnswer[] {
    try {
      return this.writeAct(actor, entries, source);
    } catch (error) {
      if (acts === 1) throw error;
      this.logger.error(error);
      const right = isDiskFull(error)
        ? 'room on the server’s disk: it is full, and nothing of this deed was kept'
        : 'nothing that you did: the server failed at this deed, and nothing of it was written';
      return entries.map((entry) => ({ id: entry.id, status: 'failed', right }));
    }
  }

  /**
   * Writes many acts of a file in one transaction; soft questions count as answered.
   * @param unsettled what did not count where the file comes from, by its id
   */
  writeTogether(
    actor: Actor,
    entries: readonly JournalEntry[],
    unsettled: ReadonlyMap<string, Unsettled> = new Map(),
  ): EntryAnswer[] {
    return this.writeAct(actor, entries, 'file', unsettled);
  }

  /** Adds versions to the set-up and refolds what they touch, see {@link SetUpWriting.write}. @returns issues, and then nothing is written */
  writeSetUp(
    actor: Actor,
    versions: readonly SetUpVersion[],
    seenTag: number | null = null,
    found: FoundNaming | null = null,
  ): FieldIssue[] {
    const issues = this.setUp.write(actor, versions, seenTag, found);
    if (this.lagging > 0) for (const hear of this.whenLagging) hear();
    return issues;
  }

  /** Takes records out of the set-up, see {@link SetUpWriting.remove}. @returns issues, and then nothing goes */
  removeSetUp(
    actor: Actor,
    records: readonly RecordName[],
    searched: { readonly until: number; readonly named: readonly InJournal[] },
  ): FieldIssue[] {
    return this.setUp.remove(actor, records, searched);
  }

  /** Whoever makes anew what a change of the set-up left lagging. */
  onLagging(hear: () => void): void {
    this.whenLagging.push(hear);
  }

  /** States of some pumps as the writer sees them, inside a rehearsal too. */
  states(pumpIds: readonly string[]): ReadonlyMap<string, PumpState> {
    const rows = pumpIds.flatMap((id) => this.sql.subjectState.get({ subjectType: 'pump', subjectId: id }) ?? []);
    return new Map(rows.map((row) => [row.subjectId, pumpStateIn(row.subjectId, row)]));
  }

  /** Corrections that do not count, by pump, as the writer sees them. */
  unsettledByPump(): ReadonlyMap<string, number> {
    return new Map(this.sql.unsettledByPump.all().map(({ pumpId, n }) => [pumpId, n]));
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
  rebuildAll(progress: (share: number) => void = () => undefined): number {
    this.bulk.takeBackUnfinished();
    return this.database.writer.transaction(() => {
      for (const clear of this.sql.clearDerived) clear.run();
      const subjects = new Map<string, SubjectRef>();
      const until = this.sql.lastSeq.get()?.seq ?? 0;
      for (let seq = 0, rows; (rows = this.sql.journalBetween.all({ after: seq, until })).length > 0;) {
        for (const row of rows) {
          const entry = parse<JournalEntry>(row.content);
          if (entry.kind !== 'correction')
            for (const { subject } of this.derived.count({ entry, seq: row.seq }).all)
              subjects.set(subjectKey(subject), subject);
          seq = row.seq;
        }
        progress(seq / until / 2);
      }
      this.derived.lagFromStart(subjects.values());
      const all = this.lagging;
      // In turns, one subject after another: all entries at once would not fit into memory.
      while (this.derived.catchUp()) progress(1 - this.lagging / all / 2);
      return [...subjects.values()].filter(({ type }) => type === 'pump').length;
    })();
  }

  /**
   * Before anything is served: what a crash left half-imported is taken back. States of another fold version lag from then on, and
   * are made anew by {@link BulkWriting.catchUp} while others read and write.
   */
  putInOrder(): void {
    this.sql.insertFact.run({ name: EPOCH, value: newId() });
    this.sql.forgetChanges.run(CHANGES_KEPT);
    this.bulk.takeBackUnfinished();
    // An entry is counted as it is read now: where that changes, all of them are counted anew first.
    const read = this.sql.fact.get(BODIES)?.value ?? '1';
    if (read !== String(BODY_VERSION)) {
      this.rebuildAll();
      this.sql.setFact.run({ name: BODIES, value: String(BODY_VERSION) });
    } else
      this.database.writer.transaction(() => {
        this.derived.lagWhereOutdated();
        this.sql.distrustLagging.run();
      })();
  }

  /** Subjects whose states have yet to be made anew. */
  get lagging(): number {
    return this.sql.countLagging.get()?.n ?? 0;
  }

  private writeAct(
    actor: Actor,
    entries: readonly JournalEntry[],
    source: Source,
    unsettled: ReadonlyMap<string, Unsettled> = new Map(),
  ): EntryAnswer[] {
    const answers: (EntryAnswer | null)[] = entries.map(() => null);
    const transaction = this.database.writer.transaction(() => {
      const touched = new Touched();
      entries.forEach((entry, i) => {
        answers[i] = this.accept(entry, { entries, source, unsettled }, touched);
      });
      if (answers.some((a) => a && !isTaken(a))) throw new ActRefused();
      const arrived = entries.flatMap((entry, i): Arrived[] => {
        const answer = answers[i];
        return answer?.status === 'written' || answer?.status === 'kept' ? [{ entry, seq: answer.seq }] : [];
      });
      touched.addAll(this.settling.arrived(arrived));
      this.derived.fold(touched);
      this.waited.settle(arrived, source);
      answers.forEach((answer, i) => {
        if (answer?.status === 'kept' || (answer?.status === 'written' && source === 'waited'))
          answers[i] = this.settling.settled(answer);
      });
      const pumpIds = [...touched.pumpIds, ...arrived.flatMap((a) => pumpIdsOf(a.entry))];
      if (arrived.length > 0) this.changes.note(actor, 'entries', [...new Set(pumpIds)]);
    });
    try {
      transaction.immediate();
      this.changes.settle(true);
    } catch (error) {
      this.changes.settle(false);
      if (!(error instanceof ActRefused)) throw error;
      return entries.map((entry, i) => {
        const answer = answers[i];
        return answer && answer.status !== 'written' && answer.status !== 'kept'
          ? answer
          : { id: entry.id, status: 'heldBack' };
      });
    }
    return answers.filter((a) => a !== null);
  }

  private accept(entry: JournalEntry, act: Act, touched: Touched): EntryAnswer {
    const { id } = entry;
    const hash = contentHash(entry);
    const stored = this.sql.entryById.get(id);
    if (stored?.contentHash === hash) {
      // Acknowledged from now on, whatever becomes of an import that brought it.
      if (stored.importId !== null) this.sql.keepImported.run(id);
      return { id, status: 'alreadyWritten', seq: stored.seq };
    }
    if (stored) return { id, status: 'conflict', stored: parse(stored.content), sent: entry };
    const found =
      entry.kind === 'correction'
        ? this.settling.stateOf(entry, act.entries, act.source)
        : { issues: this.checks.ofEntry(entry), unsettled: null };
    if ('issues' in found && found.issues.length > 0) return { id, status: 'refused', issues: found.issues };
    if (entry.kind !== 'correction' && act.source === 'person') {
      const questions = questionsAbout(entry, this.store.book, this.sql);
      if (questions.length > 0) return { id, status: 'asked', questions };
    }
    const seq = insertEntry(this.sql, entry, { contentHash: hash, content: JSON.stringify(entry) }, null);
    if (seq === null) throw new Error(`${id}: taken within one act`);
    const unsettled = act.unsettled.get(id) ?? ('unsettled' in found ? found.unsettled : null);
    if (unsettled) {
      this.settling.put(id, unsettled);
      return { id, status: 'kept', seq, unsettled };
    }
    if (entry.kind !== 'correction') {
      touched.addAll(this.derived.count({ entry, seq }));
      return { id, status: 'written', seq };
    }
    this.settling.decide(entry);
    const original = this.checks.originalOf(entry);
    if (original && original.entry.kind !== 'correction')
      touched.addAll(this.derived.countAnew({ entry: original.entry, seq: original.seq }));
    return { id, status: 'written', seq };
  }
}
