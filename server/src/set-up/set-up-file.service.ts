import { Inject, Injectable } from '@nestjs/common';
import {
  checkRecord,
  SET_UP_FILE_FORMAT,
  SET_UP_FILE_VERSION,
  type FieldIssue,
  type SetUpFile,
  type SetUpFilePreview,
  type SetUpFileRecord,
  type SetUpFileResult,
  type SetUpFileRow,
} from '@winter-jar/contracts';
import { SET_UP_KINDS, type HouseSetUp, type SetUpKind, type SetUpVersion } from '@winter-jar/core';
import { v7 as newId } from 'uuid';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { canonical } from '../journal/content-hash.js';
import type { Actor } from '../journal/actor.js';
import { JournalWriter } from '../journal/journal-writer.js';
import { brokenReferences, SetUpStore } from '../journal/set-up-store.js';

const ID = /^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/;
/** Records whose names a person chooses by: two of one name would be mistaken for each other. */
const NAMED: readonly SetUpKind[] = ['site', 'pumpModel', 'pump', 'oilProduct', 'person', 'jarShape'];

interface Sorted {
  readonly row: SetUpFileRow;
  readonly record: SetUpFileRecord | null;
}

/** The whole set-up as one file: out, and in again with a preview. */
@Injectable()
export class SetUpFileService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly store: SetUpStore,
    private readonly writer: JournalWriter,
  ) {}

  export(): SetUpFile {
    const exportedAt = isoNow(this.clock);
    const house = this.store.book.at(exportedAt);
    const records = SET_UP_KINDS.flatMap((kind) =>
      Object.entries<object>(house[kind]).map(([id, body]) => {
        const seen = this.store.inForce({ kind, subjectId: id }, exportedAt)?.id ?? null;
        return { kind, id, seen, body } as SetUpFileRecord;
      }),
    );
    return { format: SET_UP_FILE_FORMAT, version: SET_UP_FILE_VERSION, exportedAt, records };
  }

  preview(file: unknown): SetUpFilePreview {
    const read = this.sort(file);
    return read.ok ? { rows: read.sorted.map((s) => s.row), fileIssue: null } : { rows: [], fileIssue: read.issue };
  }

  /** Writes new and changed records in one transaction, valid from now; conflicting ones only where asked. */
  import(actor: Actor, file: unknown, takeConflicting: boolean): SetUpFileResult {
    const read = this.sort(file);
    if (!read.ok) return { rows: [], fileIssue: read.issue, written: 0 };
    const now = isoNow(this.clock);
    const wanted = takeConflicting ? ['new', 'changed', 'conflicting'] : ['new', 'changed'];
    const versions = read.sorted.flatMap(({ row, record }) =>
      record && wanted.includes(row.status)
        ? [
            {
              id: newId(),
              kind: record.kind,
              subjectId: record.id,
              validFrom: now,
              recordedAt: now,
              body: record.body,
            } as SetUpVersion,
          ]
        : [],
    );
    const rows = read.sorted.map((s) => s.row);
    const [issue] = versions.length > 0 ? this.writer.writeSetUp(actor, versions) : [];
    return issue ? { rows, fileIssue: issue, written: 0 } : { rows, fileIssue: null, written: versions.length };
  }

  private sort(file: unknown): { ok: true; sorted: Sorted[] } | { ok: false; issue: FieldIssue } {
    const issue = fileIssue(file);
    if (issue) return { ok: false, issue };
    const records = (file as { records: unknown[] }).records;
    const house = this.store.book.at(isoNow(this.clock));
    const seenKeys = new Set<string>();
    const first = records.map((raw, i) => this.sortRecord(raw, i + 1, house, seenKeys));
    return { ok: true, sorted: refuseBroken(first, house) };
  }

  private sortRecord(raw: unknown, place: number, house: HouseSetUp, seenKeys: Set<string>): Sorted {
    const given = (typeof raw === 'object' && raw !== null ? raw : {}) as Record<string, unknown>;
    const kind = SET_UP_KINDS.find((k) => k === given.kind);
    const id = typeof given.id === 'string' ? given.id : '';
    const body = (typeof given.body === 'object' && given.body !== null ? given.body : {}) as Record<string, unknown>;
    const shown = {
      place,
      kind: typeof given.kind === 'string' ? given.kind : '',
      id,
      name: nameOf(body),
      fields: [] as string[],
    };
    const refused = (issues: readonly FieldIssue[]): Sorted => ({
      row: { ...shown, status: 'refused', issues },
      record: null,
    });
    if (!kind) return refused([issueOf('kind', given.kind, 'unknownKind', `one of ${SET_UP_KINDS.join(', ')}`)]);
    if (!ID.test(id))
      return refused([issueOf('id', given.id, 'notAnId', 'letters, digits, dot, dash or underscore, at most 64')]);
    const key = `${kind}/${id}`;
    if (seenKeys.has(key)) return refused([issueOf('id', id, 'twice', `each id once per kind; ${key} came before`)]);
    seenKeys.add(key);
    const checked = checkRecord(kind, given.body, 'body');
    if (!checked.ok) return refused(checked.issues);
    const record = { kind, id, body: checked.value } as SetUpFileRecord;
    const present = house[kind][id] as Record<string, unknown> | undefined;
    if (!present) {
      const twin = NAMED.includes(kind) && idOfName(house, kind, shown.name);
      if (!twin) return { row: { ...shown, status: 'new', issues: [] }, record };
      const right = `another name: ${kind} ${twin} bears it already`;
      return {
        row: { ...shown, status: 'conflicting', issues: [issueOf('body.name', shown.name, 'sameName', right)] },
        record,
      };
    }
    const fields = differingFields(present, body);
    if (fields.length === 0) return { row: { ...shown, status: 'same', issues: [] }, record };
    const inForce = this.store.inForce({ kind, subjectId: id }, isoNow(this.clock));
    const knew = given.seen === inForce?.id;
    const issues = knew
      ? []
      : [
          issueOf(
            'seen',
            given.seen ?? null,
            'changedMeanwhile',
            'the version that is in force here: it was written after the file',
          ),
        ];
    return { row: { ...shown, fields, status: knew ? 'changed' : 'conflicting', issues }, record };
  }
}

const issueOf = (field: string, value: unknown, code: string, right: string): FieldIssue => ({
  field,
  value: value ?? null,
  code,
  right,
});

function fileIssue(file: unknown): FieldIssue | null {
  const given = (typeof file === 'object' && file !== null ? file : {}) as Record<string, unknown>;
  if (given.format !== SET_UP_FILE_FORMAT)
    return issueOf('format', given.format, 'otherFormat', `a set-up file; its format is "${SET_UP_FILE_FORMAT}"`);
  if (given.version !== SET_UP_FILE_VERSION)
    return issueOf('version', given.version, 'otherVersion', `version ${SET_UP_FILE_VERSION}, the only one read here`);
  if (!Array.isArray(given.records)) return issueOf('records', null, 'notAList', 'a list of records');
  return null;
}

const nameOf = (body: Record<string, unknown>): string => (typeof body.name === 'string' ? body.name : '');

function idOfName(house: HouseSetUp, kind: SetUpKind, name: string): string | undefined {
  const wanted = name.trim().toLowerCase();
  return Object.entries(house[kind]).find(
    ([, body]) =>
      nameOf(body as never)
        .trim()
        .toLowerCase() === wanted,
  )?.[0];
}

/** Missing and null say the same: inherited, or not known. */
function differingFields(present: Record<string, unknown>, given: Record<string, unknown>): string[] {
  const keys = new Set([...Object.keys(present), ...Object.keys(given)]);
  return [...keys].filter((k) => canonical(present[k] ?? null) !== canonical(given[k] ?? null));
}

/** A record that names a refused or missing one is refused too, and so on until all that are left fit together. */
function refuseBroken(sorted: readonly Sorted[], house: HouseSetUp): Sorted[] {
  let rest = [...sorted];
  for (;;) {
    const merged = Object.fromEntries(SET_UP_KINDS.map((k) => [k, { ...house[k] }])) as Record<
      SetUpKind,
      Record<string, unknown>
    >;
    for (const { record } of rest) if (record) merged[record.kind][record.id] = record.body;
    const next = rest.map((one): Sorted => {
      if (!one.record) return one;
      const issues = brokenReferences(
        { kind: one.record.kind, subjectId: one.record.id },
        one.record.body,
        merged as never,
      );
      return issues.length > 0 ? { row: { ...one.row, status: 'refused', issues }, record: null } : one;
    });
    if (next.every((one, i) => one === rest[i])) return next;
    rest = next;
  }
}
