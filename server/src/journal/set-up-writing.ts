import type { FieldIssue } from '@winter-jar/contracts';
import type { Folded, SetUpKind, SetUpVersion, SubjectRef } from '@winter-jar/core';
import type { Database } from '../database/open.js';
import type { WritingStatements } from '../database/statements.js';
import type { RecordName, SetUpStore } from './set-up-store.js';
import type { Actor } from './actor.js';
import type { ChangeLog } from './change-log.js';
import { contentHash } from './content-hash.js';
import type { DerivedTables } from './derived-tables.js';
import { BEFORE_ALL, Touched } from './touched.js';

/** Code of the issue of an edit that saw an older version. */
export const CHANGED_MEANWHILE = 'changedMeanwhile';

/** Thrown inside a transaction to leave nothing of a set-up behind. */
class SetUpRefused extends Error {
  constructor(readonly issues: readonly FieldIssue[]) {
    super();
  }
}

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
   * Adds versions to the set-up and refolds what they touch.
   * @param seenTag the store's tag that whoever writes saw; records written since then are a conflict
   * @returns issues, and then nothing is written
   */
  write(actor: Actor, versions: readonly SetUpVersion[], seenTag: number | null = null): FieldIssue[] {
    const fresh: SetUpVersion[] = [];
    const run = this.database.writer.transaction((): void => {
      const issues: FieldIssue[] = [];
      for (const v of versions) {
        const known = this.store.versions.find((k) => k.id === v.id);
        if (known && contentHash(known) !== contentHash(v)) issues.push(idTaken(v));
        if (!known && seenTag !== null && this.store.changedSince(v, seenTag)) issues.push(changedMeanwhile(v));
        if (known || issues.length > 0) continue;
        this.sql.insertSetUp.run({ ...v, body: JSON.stringify(v.body) });
        fresh.push(v);
      }
      if (issues.length > 0) throw new SetUpRefused(issues);
      this.store.reload(this.sql);
      const broken = this.store.brokenReferences();
      if (broken.length > 0) throw new SetUpRefused(broken);
      this.refoldAfterSetUp(fresh);
      // Names of a site or an oil stand on every page.
      if (fresh.length > 0) this.changes.note(actor, 'setUp', null);
    });
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

  /** Pumps whose entries a record of the set-up bears upon. */
  pumpsTouchedBy(record: RecordName): string[] {
    const { kind, subjectId } = record;
    const none = (): string[] => [];
    const naming = (statement: { all(id: string): { pumpId: string }[] }) => () =>
      statement.all(subjectId).map((r) => r.pumpId);
    /** Pumps with entries that name a record of each kind. */
    const byEntries: Readonly<Record<SetUpKind, () => string[]>> = {
      site: none,
      equipment: naming(this.sql.pumpsWithEquipment),
      pumpModel: none,
      pump: none,
      oilProduct: naming(this.sql.pumpsWithProduct),
      material: naming(this.sql.pumpsWithMaterial),
      // Whose name stands beneath an entry bears upon no state.
      person: none,
      jarShape: naming(this.sql.pumpsWithJarShape),
      houseRules: () => this.sql.pumpStates.all().map((s) => s.pumpId),
    };
    return [...new Set([...this.store.pumpsNaming(record), ...byEntries[kind]()])];
  }

  private refoldAfterSetUp(versions: readonly SetUpVersion[]): void {
    const touched = new Touched();
    const endsMove = new Map<string, string>();
    for (const version of versions) {
      const from = this.store.countsFrom(version);
      for (const pumpId of this.pumpsTouchedBy(version)) {
        this.touchFrom(touched, { type: 'pump', id: pumpId }, from);
        if (version.kind !== 'equipment') continue;
        const known = endsMove.get(pumpId);
        endsMove.set(pumpId, known === undefined || from < known ? from : known);
      }
      if (version.kind === 'equipment') this.touchFrom(touched, { type: 'equipment', id: version.subjectId }, from);
    }
    for (const [pumpId, from] of endsMove) this.derived.endRunsAnew(pumpId, from);
    this.derived.fold(touched);
  }

  /** What has entries since then is folded anew from there. */
  private touchFrom(touched: Touched, subject: SubjectRef, from: string): void {
    const stored = this.sql.subjectState.get({ subjectType: subject.type, subjectId: subject.id });
    const last = stored ? (JSON.parse(stored.state) as Folded).last : null;
    if (last && last.happenedAt >= from) touched.add(subject, { ...BEFORE_ALL, happenedAt: from });
  }
}

const idTaken = ({ id }: SetUpVersion): FieldIssue => ({
  field: 'id',
  value: id,
  code: 'idTaken',
  right: 'a new UUID: this one names another version',
});

const changedMeanwhile = ({ kind, subjectId }: SetUpVersion): FieldIssue => ({
  field: `${kind} ${subjectId}`,
  value: null,
  code: CHANGED_MEANWHILE,
  right: 'an edit of the record as it stands now: someone else changed it meanwhile',
});
