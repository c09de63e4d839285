import type { FieldIssue } from '@winter-jar/contracts';
import type { Entry } from '@winter-jar/core';
import type { Database } from '../database/open.js';
import type { WritingStatements } from '../database/statements.js';
import { SERVER, type Actor } from './actor.js';
import type { ChangeLog } from './change-log.js';
import type { DerivedTables } from './derived-tables.js';
import type { EntryChecks } from './entry-checks.js';
import { insertEntry, type EntryText } from './insert-entry.js';
import type { Arrived, Settling } from './settling.js';
import { Touched } from './touched.js';

/** An entry of an import, checked before, with its texts. */
export interface StagedEntry extends EntryText {
  readonly entry: Entry;
}

/** What became of a staged entry. */
export type BulkAnswer =
  | { readonly status: 'written' | 'alreadyWritten' }
  | { readonly status: 'refused'; readonly issues: readonly FieldIssue[] };

const IMPORTED_PER_TURN = 300;
/**
 * How the writer writes many entries that came as a file: in turns of one short transaction each, so that others write in between,
 * and so that all of it can be taken back until it is closed. Soft questions count as answered.
 */
export class BulkWriting {
  constructor(
    private readonly database: Database,
    private readonly sql: WritingStatements,
    private readonly derived: DerivedTables,
    private readonly changes: ChangeLog,
    private readonly checks: EntryChecks,
    private readonly settling: Settling,
  ) {}

  /** @returns where the journal stands before it */
  open(importId: string): number {
    const afterSeq = this.sql.lastSeq.get()?.seq ?? 0;
    this.sql.insertImport.run({ id: importId, afterSeq });
    return afterSeq;
  }

  /** A closed import is to be taken back. @returns whether it can: none of its entries was corrected since */
  reopen(importId: string, afterSeq: number): boolean {
    const open = { id: importId, afterSeq };
    if ((this.sql.correctedOfImport.get(open)?.n ?? 0) > 0) return false;
    this.sql.insertImport.run(open);
    return true;
  }

  /** One turn, in any order; the quicker the closer its entries lie in time. States follow with {@link catchUp}. */
  write(actor: Actor, importId: string, staged: readonly StagedEntry[]): BulkAnswer[] {
    return this.inOneTurn(() => {
      const changed = new Touched();
      const arrived: Arrived[] = [];
      const answers = staged.map((one) => this.writeOne(importId, one, changed, arrived));
      changed.addAll(this.settling.arrived(arrived));
      this.derived.fallBehind(changed);
      if (changed.all.length > 0) this.changes.note(actor, 'entries', changed.pumpIds);
      return answers;
    });
  }

  /** One turn of folding what lags behind. @returns how many entries were folded; null when nothing lagged */
  catchUp(): number | null {
    return this.inOneTurn(() => {
      const turn = this.derived.catchUp();
      if (!turn) return null;
      // A state moves when the last of it is folded in.
      const pumpIds = turn.caughtUp.filter((s) => s.type === 'pump').map((s) => s.id);
      if (turn.caughtUp.length > 0) this.changes.note(SERVER, 'entries', pumpIds);
      return turn.folded;
    });
  }

  /** From here on it stays. */
  close(importId: string): void {
    this.sql.deleteImport.run(importId);
  }

  /** One turn of taking back what an open import wrote. @returns whether more is left */
  takeBack(importId: string): boolean {
    return this.inOneTurn(() => {
      const open = this.sql.openImports.all().find((one) => one.id === importId);
      const rows = open ? this.sql.imported.all({ ...open, limit: IMPORTED_PER_TURN }) : [];
      for (const { seq, id } of rows) {
        this.derived.fallBehind(this.derived.uncount(seq));
        this.sql.deleteEntry.run(id);
        this.settling.left(id);
      }
      if (rows.length === IMPORTED_PER_TURN) return true;
      this.sql.deleteImport.run(importId);
      this.changes.note(SERVER, 'takenBack', null);
      return false;
    });
  }

  /** Takes back what a crash left open, before anything is served. */
  takeBackUnfinished(): void {
    for (const { id } of this.sql.openImports.all()) while (this.takeBack(id));
  }

  private writeOne(
    importId: string,
    { entry, contentHash, content }: StagedEntry,
    changed: Touched,
    arrived: Arrived[],
  ): BulkAnswer {
    const issues = this.checks.ofEntry(entry);
    if (issues.length > 0) return { status: 'refused', issues };
    const seq = insertEntry(this.sql, entry, { contentHash, content }, importId);
    if (seq === null) {
      const same = this.sql.entryById.get(entry.id)?.contentHash === contentHash;
      return same ? { status: 'alreadyWritten' } : { status: 'refused', issues: [takenBy(entry.id)] };
    }
    changed.addAll(this.derived.count({ entry, seq }));
    arrived.push({ entry, seq });
    return { status: 'written' };
  }

  /** Whole or not at all, but not yet forced to the disk: only closing an import acknowledges it, and that forces all. */
  private inOneTurn<T>(work: () => T): T {
    const { writer } = this.database;
    writer.pragma('synchronous = NORMAL');
    try {
      const done = writer.transaction(work).immediate();
      this.changes.settle(true);
      return done;
    } finally {
      this.changes.settle(false);
      writer.pragma('synchronous = FULL');
    }
  }
}

/** The issue of an entry whose id another content bears. */
export const takenBy = (id: string): FieldIssue => ({
  field: 'id',
  value: id,
  code: 'conflict',
  right: 'the content that is stored under this id; correct it in the journal instead',
});
