import { hash } from 'node:crypto';
import { checkEntry, type FieldIssue } from '@winter-jar/contracts';
import { BODY_VERSION, type Entry, type EntryKind, type HouseSetUp, type Subject } from '@winter-jar/core';
import { v7 } from 'uuid';
import { cellReader, writeTable, type CellReader, type Columns, type Row } from './csv-table.js';

/** One kind of entry as a CSV file: a row per entry. A new log is one more object of this form. docs/formats.md describes them. */
export interface EntryLog<K extends EntryKind> {
  readonly kind: K;
  readonly columns: Columns;
  /** The column that says when it happened. */
  readonly when: { readonly column: string; readonly missing: string };
  /** Columns of body fields, by their path. */
  readonly columnOf: Readonly<Record<string, string>>;
  /** What beside pump and time tells two rows apart that come without an id. */
  readonly tellsApart: readonly string[];
  /** Its rows are of containers, not of a pump: the subjects are those that {@link readSubjects} finds. */
  readonly ofContainers?: true;
  /** False where the remark is the body itself. */
  readonly hasRemark?: boolean;
  /** Reads a body; what is wrong goes to the reader. Null when it cannot be made. */
  readBody(cells: CellReader, house: HouseSetUp, happenedAt: string | null): object | null;
  /** Subjects besides the pump of the row. */
  readSubjects?(cells: CellReader, house: HouseSetUp, pumpId: string | null): Subject[];
  /** The body's cells, and those of the other subjects. */
  write(entry: Extract<Entry, { kind: K }>): Readonly<Record<string, string | number | null | undefined>>;
}

/** Names beside ids, for people who read an export; reading passes them over. */
const NAMES_BESIDE = {
  pump_name: { id: 'pump', records: 'pump' },
  equipment_name: { id: 'equipment', records: 'equipment' },
  material_name: { id: 'material', records: 'material' },
  product_name: { id: 'product', records: 'oilProduct' },
} as const;

export const NAME_COLUMNS = Object.keys(NAMES_BESIDE);

/** Columns that every log has. */
export const SHARED_COLUMNS = {
  first: ['id', 'pump', 'pump_name'],
  last: ['remark', 'who', 'recorded_at', 'act_id'],
} as const;
const SHARED_COLUMN_OF: Readonly<Record<string, string>> = { 'body.remark': 'remark', actId: 'act_id' };

/**
 * The id of a row that comes without one: the same row gets the same id, however often it is read. It sorts by the row's moment, as
 * the ids that clients make do, so that neighbours in time lie side by side on the disk.
 */
function idOfRow(happenedAt: string, telling: readonly unknown[]): string {
  const random = hash('sha256', JSON.stringify(telling), 'buffer').subarray(0, 16);
  return v7({ msecs: Math.max(0, Date.parse(happenedAt)), seq: random.readUInt32BE(0), random });
}

/** A file as it comes in: rows of one log, or each row of its own. */
export interface LogFile {
  readonly columns: Columns;
  /** The column that says when it happened. */
  readonly when: string;
  /** Kinds that a row can name where they differ. */
  readonly kinds?: readonly string[];
  logOf(row: Row): EntryLog<EntryKind> | null;
  /** The row in the columns of its log. */
  asRowOf(log: EntryLog<EntryKind>, row: Row): Row;
}

export const fileOf = (log: EntryLog<EntryKind>): LogFile => ({
  columns: log.columns,
  when: log.when.column,
  logOf: () => log,
  asRowOf: (_, row) => row,
});

export type ReadRow =
  { readonly ok: true; readonly entry: Entry } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

export interface LogReader {
  readonly house: HouseSetUp;
  /** Clock of the reader, for rows that lie in the future or say not when they were recorded. */
  readonly nowMs: number;
}

/** Reads one row of a log; what is wrong is named by its column. */
export function readRow<K extends EntryKind>(log: EntryLog<K>, row: Row, { house, nowMs }: LogReader): ReadRow {
  const cells = cellReader(row, log.columns);
  const { text, issues } = cells;
  const pumpId = log.ofContainers ? null : cells.known('pump', text('pump'), house.pump, 'a pump');
  if (text(log.when.column) === '') cells.refuse(log.when.column, '', 'missing', log.when.missing);
  const more = log.readSubjects?.(cells, house, pumpId) ?? [];
  const happenedAt = cells.instant(log.when.column);
  const body = log.readBody(cells, house, happenedAt);
  if (issues.length > 0 || (!pumpId && !log.ofContainers) || !happenedAt || !body) return { ok: false, issues };
  const subjects: Subject[] = [...(pumpId ? [{ type: 'pump' as const, id: pumpId }] : []), ...more];
  const about = log.ofContainers ? 'container' : 'pump';
  const named = subjects.filter((s) => s.type === about).map((s) => s.id);
  const told = log.tellsApart.map((key) => (body as Record<string, unknown>)[key] ?? null);
  const id = text('id') || idOfRow(happenedAt, [named, happenedAt, ...told]);
  const remark = text('remark');
  const checked = checkEntry(
    {
      id,
      actId: text('act_id') || id,
      kind: log.kind,
      subjects,
      happenedAt,
      zone: zoneOf(house, named[0] ?? '', about),
      precision: text('precision') || 'exact',
      recordedAt: cells.instant('recorded_at') ?? new Date(nowMs).toISOString(),
      who: text('who') || null,
      device: `${log.kind} log file`,
      acknowledged: [],
      bodyVersion: BODY_VERSION,
      body: { ...body, ...(remark && log.hasRemark !== false ? { remark } : {}) },
    },
    nowMs,
  );
  if (issues.length > 0) return { ok: false, issues };
  return checked.ok
    ? { ok: true, entry: checked.value as Entry }
    : { ok: false, issues: checked.issues.map((issue) => inColumns(log, issue)) };
}

/** Of the site where it stands. */
function zoneOf(house: HouseSetUp, id: string, about: 'pump' | 'container'): string {
  const siteId = house[about][id]?.siteId ?? '';
  return house.site[siteId]?.zone ?? '';
}

/** An issue's field by the name of its column. */
export function inColumns<K extends EntryKind>(log: EntryLog<K>, issue: FieldIssue): FieldIssue {
  const column = log.columnOf[issue.field] ?? SHARED_COLUMN_OF[issue.field];
  return { ...issue, field: issue.field === 'happenedAt' ? log.when.column : (column ?? issue.field) };
}

type Cells = Readonly<Record<string, string | number | null | undefined>>;

function withNames(cells: Cells, house: HouseSetUp): Cells {
  const names = Object.entries(NAMES_BESIDE).map(([column, { id, records }]) => [
    column,
    house[records][String(cells[id] ?? '')]?.name,
  ]);
  return { ...cells, ...(Object.fromEntries(names) as Cells) };
}

/**
 * Entries of its kind as a CSV file that {@link readRow} reads back to the same entries, in parts.
 * @param house whose names stand beside the ids
 */
export function writeLog<K extends EntryKind>(
  log: EntryLog<K>,
  entries: Iterable<Extract<Entry, { kind: K }>>,
  house: HouseSetUp,
): Iterable<string> {
  function* rows() {
    for (const entry of entries) {
      const cells = {
        id: entry.id,
        ...(log.ofContainers ? {} : { pump: entry.subjects.find((s) => s.type === 'pump')?.id }),
        [log.when.column]: entry.happenedAt,
        precision: entry.precision,
        who: entry.who,
        recorded_at: entry.recordedAt,
        act_id: entry.actId === entry.id ? null : entry.actId,
        remark: 'remark' in entry.body ? entry.body.remark : null,
        ...log.write(entry),
      };
      yield withNames(cells, house);
    }
  }
  return writeTable(log.columns, rows());
}
