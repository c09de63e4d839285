import type { FieldIssue } from '@winter-jar/contracts';
import type { SetUpVersion } from '@winter-jar/core';
import type { Database } from '../database/open.js';
import type { WritingStatements } from '../database/statements.js';
import type { RecordName, SetUpStore } from './set-up-store.js';
import type { Actor } from './actor.js';
import type { ChangeLog } from './change-log.js';
import type { DerivedTables } from './derived-tables.js';
import { bearingOf, freshIn, pumpsNamingInEntries } from './set-up-bearing.js';
import { inJournal, removalIssues, type InJournal } from './set-up-removal.js';
import { Touched } from './touched.js';

/** Thrown inside a transaction to leave nothing of a set-up behind. */
class SetUpRefused extends Error {
  constructor(readonly issues: readonly FieldIssue[]) {
    super();
  }
}

/** Which pumps' entries name records, as a worker thread has found it in the journal up to a line. */
export interface FoundNaming {
  readonly until: number;
  readonly pumpIdsOf: (record: RecordName) => readonly string[];
}

/** More than so many entries are folded anew in turns, while others read and write. */
const FOLDED_AT_ONCE = 1000;

/** How the writer writes versions of the set-up, and what it refolds after them. */
export class SetUpWriting {
  constructor(
    private readonly database: Database,
    private readonly store: SetUpStore,
    private readonly sql: WritingStatements,
    private readonly derived: DerivedTables,
    private readonly changes: ChangeLog,
  ) {}

  /**
   * Adds versions to the set-up and refolds what they touch, or lets it lag where that is much.
   * @param seenTag the store's tag that whoever writes saw; records written since then are a conflict
   * @param found searched for here and now when left out
   * @returns issues, and then nothing is written
   */
  write(
    actor: Actor,
    versions: readonly SetUpVersion[],
    seenTag: number | null = null,
    found: FoundNaming | null = null,
  ): FieldIssue[] {
    return this.inOneWrite(() => {
      const { fresh, issues } = freshIn(this.store, versions, seenTag);
      if (issues.length > 0) throw new SetUpRefused(issues);
      for (const v of fresh) this.sql.insertSetUp.run({ ...v, body: JSON.stringify(v.body) });
      this.store.reload(this.sql);
      const broken = this.store.brokenReferences();
      if (broken.length > 0) throw new SetUpRefused(broken);
      this.refoldAfterSetUp(fresh, found);
      // Names of a site or an oil stand on every page.
      if (fresh.length > 0) this.changes.note(actor, 'setUp', null);
    });
  }

  /**
   * Takes records out of the set-up that nothing names, with all their versions; a pump with its beginning.
   * @param searched what the journal has of each up to a line, as a worker thread has found it
   * @returns issues, and then nothing goes
   */
  remove(
    actor: Actor,
    records: readonly RecordName[],
    searched: { readonly until: number; readonly named: readonly InJournal[] },
  ): FieldIssue[] {
    return this.inOneWrite(() => {
      const named = records.map((record, i): InJournal => {
        const since = inJournal(this.sql, record, searched.until);
        const before = searched.named[i] ?? { entries: 0, beginning: [] };
        return {
          entries: before.entries + since.entries,
          beginning: [...before.beginning, ...since.beginning],
        };
      });
      const issues = removalIssues(this.store, records, named);
      if (issues.length > 0) throw new SetUpRefused(issues);
      const touched = new Touched();
      for (const { seq, id } of named.flatMap(({ beginning }) => beginning)) {
        touched.addAll(this.derived.uncount(seq));
        this.sql.deleteEntry.run(id);
      }
      this.derived.fold(touched);
      for (const record of records) this.sql.deleteSetUp.run(record);
      this.store.reload(this.sql);
      this.changes.note(actor, 'setUp', null);
    });
  }

  /** Whole or not at all. @returns why nothing was written */
  private inOneWrite(work: () => void): FieldIssue[] {
    const run = this.database.writer.transaction(work);
    try {
      run.immediate();
      this.changes.settle(true);
      return [];
    } catch (error) {
      this.changes.settle(false);
      this.store.reload(this.sql);
      if (error instanceof SetUpRefused) return [...error.issues];
      throw error;
    }
  }

  private refoldAfterSetUp(versions: readonly SetUpVersion[], found: FoundNaming | null): void {
    const inEntries = (record: RecordName): readonly string[] =>
      found
        ? // Whoever wrote since may have named it: folding one anew in vain changes nothing.
          [...found.pumpIdsOf(record), ...this.sql.pumpsWrittenSince.all(found.until).map((r) => r.pumpId)]
        : pumpsNamingInEntries(this.sql, record);
    const { touched, endsMove } = bearingOf(this.sql, this.store, versions, inEntries);
    for (const [pumpId, from] of endsMove) this.derived.endRunsAnew(pumpId, from);
    if (this.derived.weigh(touched, FOLDED_AT_ONCE) <= FOLDED_AT_ONCE) return this.derived.fold(touched);
    this.derived.fallBehind(touched);
    this.sql.distrustLagging.run();
  }
}
