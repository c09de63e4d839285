import type { FieldIssue } from '@winter-jar/contracts';
import { setUpBook, type HouseSetUp, type SetUpBook, type SetUpKind, type SetUpVersion } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';

export interface RecordName {
  readonly kind: SetUpKind;
  readonly subjectId: string;
}

/** After all versions that there are. */
export const END_OF_TIME = '9999';

/** Fields by which records name one another. */
const REFERENCES: Readonly<Partial<Record<SetUpKind, Readonly<Record<string, SetUpKind>>>>> = {
  equipment: { siteId: 'site' },
  pumpModel: { usualProductId: 'oilProduct' },
  container: { siteId: 'site' },
  instrument: { equipmentId: 'equipment', pumpId: 'pump' },
  pump: { modelId: 'pumpModel', siteId: 'site', equipmentId: 'equipment', oilProductId: 'oilProduct' },
};

/** Field by which a pump names a record of each kind; null for what no pump names. */
const NAMED_BY_PUMPS: Readonly<Record<SetUpKind, 'modelId' | 'siteId' | 'equipmentId' | 'oilProductId' | null>> = {
  site: 'siteId',
  equipment: 'equipmentId',
  pumpModel: 'modelId',
  pump: null,
  oilProduct: 'oilProductId',
  material: null,
  person: null,
  jarShape: null,
  container: null,
  filterMedia: null,
  instrument: null,
  houseRules: null,
};

/** References of one record that lead nowhere in a house. */
export function brokenReferences({ kind, subjectId }: RecordName, body: object, house: HouseSetUp): FieldIssue[] {
  return Object.entries(REFERENCES[kind] ?? {}).flatMap(([field, target]): FieldIssue[] => {
    const named = (body as Record<string, unknown>)[field];
    if (named === null || named === undefined || house[target][named as string]) return [];
    return [
      {
        field: `${kind} ${subjectId}: ${field}`,
        value: named,
        code: 'unknownId',
        right: `the id of a record of kind ${target} in the set-up`,
      },
    ];
  });
}

/** The set-up in memory: its versions and the book made of them. Reloaded inside the writing transaction. */
export class SetUpStore {
  versions: readonly SetUpVersion[] = [];
  book: SetUpBook = setUpBook([]);
  /** Number of the last version written: what a reader saw, and sends back with an edit. */
  tag = 0;
  private seqs: readonly number[] = [];

  reload(sql: Pick<ReadingStatements, 'setUpVersions'>): void {
    const rows = sql.setUpVersions.all();
    this.put(
      rows.map(({ seq: _seq, body, ...row }) => ({ ...row, body: JSON.parse(body) as unknown }) as SetUpVersion),
      rows.map((r) => r.seq),
    );
  }

  /** The set-up as it would be with more versions; written nowhere. */
  with(versions: readonly SetUpVersion[]): SetUpStore {
    const more = new SetUpStore();
    more.put([...this.versions, ...versions], [...this.seqs, ...versions.map((_, i) => this.tag + i + 1)]);
    return more;
  }

  private put(versions: readonly SetUpVersion[], seqs: readonly number[]): void {
    this.versions = versions;
    this.seqs = seqs;
    this.tag = seqs.at(-1) ?? 0;
    this.book = setUpBook(versions);
  }

  versionsOf({ kind, subjectId }: RecordName): SetUpVersion[] {
    return this.versions.filter((v) => v.kind === kind && v.subjectId === subjectId);
  }

  /** Was a record written after what a reader with this tag saw? */
  changedSince(record: RecordName, tag: number): boolean {
    return this.versions.some(
      (v, i) => v.kind === record.kind && v.subjectId === record.subjectId && (this.seqs[i] ?? 0) > tag,
    );
  }

  /** The version in force at an instant. */
  inForce(record: RecordName, instant: string): SetUpVersion | null {
    const body = this.book.at(instant)[record.kind][record.subjectId];
    return this.versionsOf(record).find((v) => v.body === body) ?? null;
  }

  /** The instant from which a version changes what entries mean; the first of a record also stands for all before it. */
  countsFrom(version: SetUpVersion): string {
    // Before the first house rules our defaults stand.
    if (version.kind === 'houseRules') return version.validFrom;
    const others = this.versionsOf(version).filter((v) => v.id !== version.id);
    return others.every((v) => v.validFrom >= version.validFrom) ? '' : version.validFrom;
  }

  /** Records that name a record that is not there, at the end of all versions. */
  brokenReferences(): FieldIssue[] {
    const house = this.book.at(END_OF_TIME);
    return (Object.keys(REFERENCES) as SetUpKind[]).flatMap((kind) =>
      Object.entries(house[kind]).flatMap(([subjectId, body]) =>
        brokenReferences({ kind, subjectId }, body as object, house),
      ),
    );
  }

  /** Records of which any version names this one. */
  naming({ kind, subjectId }: RecordName): RecordName[] {
    const found = new Map<string, RecordName>();
    for (const v of this.versions) {
      const names = Object.entries(REFERENCES[v.kind] ?? {}).some(
        ([field, target]) => target === kind && (v.body as unknown as Record<string, unknown>)[field] === subjectId,
      );
      if (names) found.set(`${v.kind} ${v.subjectId}`, { kind: v.kind, subjectId: v.subjectId });
    }
    return [...found.values()];
  }

  /** What people call a record. */
  nameOf({ kind, subjectId }: RecordName): string {
    const body = this.book.at(END_OF_TIME)[kind][subjectId];
    return body && 'name' in body ? body.name : subjectId;
  }

  /** Pumps that a record bears upon by the set-up alone, in any of its versions. */
  pumpsNaming({ kind, subjectId }: RecordName): string[] {
    const pumps = this.versions.filter((v): v is Extract<SetUpVersion, { kind: 'pump' }> => v.kind === 'pump');
    if (kind === 'pump') return [subjectId];
    const field = NAMED_BY_PUMPS[kind];
    if (!field) return [];
    return [...new Set(pumps.filter((v) => v.body[field] === subjectId).map((v) => v.subjectId))];
  }
}
