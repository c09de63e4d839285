import { SUMPS, type FieldIssue } from '@winter-jar/contracts';
import { sumpId, type SetUpKind, type SetUpVersion, type SubjectRef } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';
import { contentHash } from './content-hash.js';
import type { RecordName, SetUpStore } from './set-up-store.js';
import { BEFORE_ALL, Touched } from './touched.js';

/** Code of the issue of an edit that saw an older version. */
export const CHANGED_MEANWHILE = 'changedMeanwhile';

/** Versions that are not in the store yet, or why they cannot be. */
export function freshIn(
  store: SetUpStore,
  versions: readonly SetUpVersion[],
  seenTag: number | null,
): { fresh: SetUpVersion[]; issues: FieldIssue[] } {
  const fresh: SetUpVersion[] = [];
  const issues: FieldIssue[] = [];
  for (const v of versions) {
    const known = [...store.versions, ...fresh].find((k) => k.id === v.id);
    if (known && contentHash(known) !== contentHash(v)) issues.push(idTaken(v));
    else if (!known && seenTag !== null && store.changedSince(v, seenTag)) issues.push(changedMeanwhile(v));
    else if (!known) fresh.push(v);
  }
  return { fresh, issues };
}

/** They say what a pump's hold-up and its service are, and so what the oil in it is. */
const OF_ITS_OIL: readonly SetUpKind[] = ['pump', 'pumpModel', 'equipment'];

/** What versions of the set-up bear upon. */
export interface Bearing {
  readonly touched: Touched;
  /** From when ends of runs follow anew from their equipment, by pump. */
  readonly endsMove: ReadonlyMap<string, string>;
}

/** Who names such a record stands in the entries alone: every one of them is looked at, 3 s for 600,000. */
const SEARCHED = {
  material: (sql: ReadingStatements) => sql.pumpsWithMaterial,
  jarShape: (sql: ReadingStatements) => sql.pumpsWithJarShape,
  oilProduct: (sql: ReadingStatements) => sql.pumpsWithProduct,
};
type SearchedKind = keyof typeof SEARCHED;

export const isSearchedFor = ({ kind }: RecordName): boolean => kind in SEARCHED;

/** Pumps whose entries name a record. */
export const pumpsNamingInEntries = (sql: ReadingStatements, record: RecordName): string[] =>
  isSearchedFor(record)
    ? SEARCHED[record.kind as SearchedKind](sql)
        .all(record.subjectId)
        .map((r) => r.pumpId)
    : [];

/** Pumps that a record of the set-up bears upon. @param inEntries those whose entries name it */
export function pumpsBorneUpon(
  sql: ReadingStatements,
  store: SetUpStore,
  record: RecordName,
  inEntries: (record: RecordName) => readonly string[] = (one) => pumpsNamingInEntries(sql, one),
): string[] {
  const { kind, subjectId } = record;
  const more: Readonly<Partial<Record<SetUpKind, () => string[]>>> = {
    equipment: () => sql.pumpsWithEquipment.all(subjectId).map((r) => r.pumpId),
    houseRules: () => sql.pumpStates.all().map((s) => s.pumpId),
  };
  return [...new Set([...store.pumpsNaming(record), ...(more[kind]?.() ?? inEntries(record))])];
}

/**
 * What is to be folded anew once versions are in the store: only what has entries since they count.
 * @param store with the versions in it
 */
export function bearingOf(
  sql: ReadingStatements,
  store: SetUpStore,
  versions: readonly SetUpVersion[],
  inEntries?: (record: RecordName) => readonly string[],
): Bearing {
  const touched = new Touched();
  const endsMove = new Map<string, string>();
  for (const version of versions) {
    const from = store.countsFrom(version);
    const since = new Set(sql.subjectsSince.all(from).map((s) => `${s.subjectType}:${s.subjectId}`));
    const touch = (subject: SubjectRef) => {
      if (since.has(`${subject.type}:${subject.id}`)) touched.add(subject, { ...BEFORE_ALL, happenedAt: from });
    };
    // A change from now on bears upon nothing that was: nobody is searched for in the entries.
    const pumpIds = pumpsBorneUpon(sql, store, version, since.size === 0 ? () => [] : inEntries);
    for (const id of pumpIds) {
      touch({ type: 'pump', id });
      if (OF_ITS_OIL.includes(version.kind)) for (const sump of SUMPS) touch({ type: 'sump', id: sumpId(id, sump) });
      if (version.kind !== 'equipment') continue;
      const known = endsMove.get(id);
      endsMove.set(id, known === undefined || from < known ? from : known);
    }
    if (version.kind === 'equipment') touch({ type: 'equipment', id: version.subjectId });
  }
  return { touched, endsMove };
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
