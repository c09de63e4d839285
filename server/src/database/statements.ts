import type BetterSqlite3 from 'better-sqlite3';
import type {
  ChangeRow,
  CheckpointRow,
  CountedEntryRow,
  JournalEntryRow,
  LaggingSubjectRow,
  OpenImportRow,
  SetUpVersionRow,
  SubjectEntryRow,
  SubjectStateRow,
} from './entities.js';

type Sqlite = BetterSqlite3.Database;
interface Key {
  readonly happenedAt: string;
  readonly recordedAt: string;
  readonly entryId: string;
}
/** A place in the entries of one pump. */
export interface PumpKey extends Key {
  readonly pumpId: string;
}
/** A place in the entries of any subject. */
export interface SubjectKeyRow extends Key {
  readonly subjectType: string;
  readonly subjectId: string;
}
export interface PumpStateText {
  readonly pumpId: string;
  readonly foldVersion: number;
  readonly state: string;
}
/** An entry as it counts. */
export type Counted = Omit<CountedEntryRow, 'content'> & { readonly content: string };

export interface SuspectRow {
  readonly kind: 'run' | 'look' | 'bleed' | 'change';
  readonly materialId: string | null;
  readonly productId: string | null;
  /** A number in steps of D1500. */
  readonly colour: number | null;
  readonly freeWaterMl: number | null;
  readonly creamMl: number | null;
  readonly waterMl: number | null;
}

const KEY = '("happenedAt", "recordedAt", "entryId")';
const AT = '(@happenedAt, @recordedAt, @entryId)';
const SUBJECT = '"subjectType" = @subjectType AND "subjectId" = @subjectId';
const KEY_OF_S = '(s."happenedAt", s."recordedAt", s."entryId")';
const IN_ORDER = 's."happenedAt", s."recordedAt", s."entryId"';
/** Entries from what they are about; the order of the tables is ours, as the planner knows nothing of the numbers of rows. */
const ENTRIES =
  'subject_entry s CROSS JOIN counted_entry c ON c."seq" = s."seq" CROSS JOIN journal_entry j ON j."seq" = s."seq"';
const CONTENT = 'COALESCE(c."content", j."content")';
const OF_PUMP = `s."subjectType" = 'pump' AND s."subjectId" = @pumpId`;
const OF_SUBJECT = 's."subjectType" = @subjectType AND s."subjectId" = @subjectId';
const COUNTED = `c."seq", c."entryId", c."kind", c."happenedAt", c."recordedAt", c."endedAt", c."correctionId", c."contradicted", ${CONTENT} AS "content"`;
const COUNTED_FROM = `SELECT ${CONTENT} AS "content" FROM ${ENTRIES} WHERE ${OF_SUBJECT} AND ${KEY_OF_S} > ${AT} ORDER BY ${IN_ORDER}`;
/** Pumps with counted entries of some kinds whose body names a record. */
const pumpsNaming = (kinds: string, field: string): string =>
  `SELECT DISTINCT s."subjectId" AS "pumpId" FROM ${ENTRIES}
   WHERE s."subjectType" = 'pump' AND s."kind" IN (${kinds}) AND json_extract(${CONTENT}, '$.body.${field}') = ?`;

/** All SQL of the product, prepared once per connection. What is special to SQLite stands in this file. */
export function writingStatements(db: Sqlite) {
  return {
    insertEntry: db.prepare<Omit<JournalEntryRow, 'seq' | 'waitsFor'>>(
      `INSERT INTO journal_entry ("id", "actId", "kind", "happenedAt", "recordedAt", "targetId", "contentHash", "content", "importId")
       VALUES (@id, @actId, @kind, @happenedAt, @recordedAt, @targetId, @contentHash, @content, @importId)
       ON CONFLICT ("id") DO NOTHING`,
    ),
    insertCounted: db.prepare<Omit<CountedEntryRow, 'contradicted'> & { contradicted: 0 | 1 }>(
      `INSERT INTO counted_entry ("seq", "entryId", "kind", "happenedAt", "recordedAt", "endedAt", "correctionId", "contradicted", "content")
       VALUES (@seq, @entryId, @kind, @happenedAt, @recordedAt, @endedAt, @correctionId, @contradicted, @content)`,
    ),
    insertSubject: db.prepare<SubjectEntryRow>(
      `INSERT INTO subject_entry ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId", "kind", "seq")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId, @kind, @seq)`,
    ),
    deleteCounted: db.prepare<[seq: number]>(`DELETE FROM counted_entry WHERE "seq" = ?`),
    deleteSubject: db.prepare<SubjectKeyRow>(`DELETE FROM subject_entry WHERE ${SUBJECT} AND ${KEY} = ${AT}`),
    clearCounted: db.prepare(`DELETE FROM counted_entry`),
    clearSubjects: db.prepare(`DELETE FROM subject_entry`),
    saveState: db.prepare<SubjectStateRow>(
      `INSERT INTO subject_state ("subjectType", "subjectId", "foldVersion", "state") VALUES (@subjectType, @subjectId, @foldVersion, @state)
       ON CONFLICT ("subjectType", "subjectId") DO UPDATE SET "foldVersion" = excluded."foldVersion", "state" = excluded."state"`,
    ),
    deleteState: db.prepare<{ subjectType: string; subjectId: string }>(`DELETE FROM subject_state WHERE ${SUBJECT}`),
    insertCheckpoint: db.prepare<CheckpointRow>(
      `INSERT INTO checkpoint ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId", "endedPeriod", "state")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId, @endedPeriod, @state)
       ON CONFLICT ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId") DO UPDATE
       SET "endedPeriod" = COALESCE(excluded."endedPeriod", checkpoint."endedPeriod"), "state" = excluded."state"`,
    ),
    deleteCheckpointsAfter: db.prepare<SubjectKeyRow>(`DELETE FROM checkpoint WHERE ${SUBJECT} AND ${KEY} > ${AT}`),
    /** Its period may not end there any more; the refold marks it again where it does. */
    unmarkCheckpoint: db.prepare<SubjectKeyRow>(
      `UPDATE checkpoint SET "endedPeriod" = NULL WHERE ${SUBJECT} AND ${KEY} = ${AT}`,
    ),
    insertSetUp: db.prepare<Omit<SetUpVersionRow, 'seq'>>(
      `INSERT INTO set_up_version ("id", "kind", "subjectId", "validFrom", "recordedAt", "body")
       VALUES (@id, @kind, @subjectId, @validFrom, @recordedAt, @body)`,
    ),
    insertChange: db.prepare<Omit<ChangeRow, 'seq'>>(
      `INSERT INTO change_log ("kind", "pumpIds", "actor", "at") VALUES (@kind, @pumpIds, @actor, @at)`,
    ),
    forgetChanges: db.prepare<[kept: number]>(
      `DELETE FROM change_log WHERE "seq" <= (SELECT MAX("seq") FROM change_log) - ?`,
    ),
    setFact: db.prepare<{ name: string; value: string }>(
      `INSERT INTO house_fact ("name", "value") VALUES (@name, @value) ON CONFLICT ("name") DO UPDATE SET "value" = excluded."value"`,
    ),
    insertFact: db.prepare<{ name: string; value: string }>(
      `INSERT INTO house_fact ("name", "value") VALUES (@name, @value) ON CONFLICT ("name") DO NOTHING`,
    ),
    ...readingStatements(db),
    outdatedState: db.prepare<[subjectType: string, foldVersion: number], { subjectId: string }>(
      `SELECT "subjectId" FROM subject_state WHERE "subjectType" = ? AND "foldVersion" <> ? LIMIT 1`,
    ),
    checkpointBefore: db.prepare<SubjectKeyRow, { state: string }>(
      `SELECT "state" FROM checkpoint WHERE ${SUBJECT} AND ${KEY} < ${AT} ORDER BY "happenedAt" DESC, "recordedAt" DESC, "entryId" DESC LIMIT 1`,
    ),
    countedNext: db.prepare<SubjectKeyRow & { limit: number }, { content: string }>(`${COUNTED_FROM} LIMIT @limit`),
    countedBySeq: db.prepare<[seq: number], Counted>(
      `SELECT ${COUNTED} FROM counted_entry c CROSS JOIN journal_entry j ON j."seq" = c."seq" WHERE c."seq" = ?`,
    ),
    lagging: db.prepare<{ subjectType: string; subjectId: string }, LaggingSubjectRow>(
      `SELECT * FROM lagging_subject WHERE ${SUBJECT}`,
    ),
    laggingOfType: db.prepare<[subjectType: string], LaggingSubjectRow>(
      `SELECT * FROM lagging_subject WHERE "subjectType" = ?`,
    ),
    anyLagging: db.prepare<[], LaggingSubjectRow>(`SELECT * FROM lagging_subject LIMIT 1`),
    saveLag: db.prepare<SubjectKeyRow>(
      `INSERT INTO lagging_subject ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId)
       ON CONFLICT ("subjectType", "subjectId") DO UPDATE
       SET "happenedAt" = excluded."happenedAt", "recordedAt" = excluded."recordedAt", "entryId" = excluded."entryId"`,
    ),
    deleteLag: db.prepare<{ subjectType: string; subjectId: string }>(`DELETE FROM lagging_subject WHERE ${SUBJECT}`),
    openImports: db.prepare<[], OpenImportRow>(`SELECT * FROM open_import`),
    insertImport: db.prepare<OpenImportRow>(`INSERT INTO open_import ("id", "afterSeq") VALUES (@id, @afterSeq)`),
    deleteImport: db.prepare<[id: string]>(`DELETE FROM open_import WHERE "id" = ?`),
    imported: db.prepare<OpenImportRow & { limit: number }, { seq: number; id: string }>(
      `SELECT "seq", "id" FROM journal_entry WHERE "seq" > @afterSeq AND "importId" = @id ORDER BY "seq" LIMIT @limit`,
    ),
    keepImported: db.prepare<[id: string]>(`UPDATE journal_entry SET "importId" = NULL WHERE "id" = ?`),
    deleteEntry: db.prepare<[id: string]>(`DELETE FROM journal_entry WHERE "id" = ?`),
    /** Also pumps with a run whose material nobody has said: it counts as the heaviest of them. */
    pumpsWithMaterial: db.prepare<[materialId: string], { pumpId: string }>(
      `${pumpsNaming("'run'", 'materialId')} OR (s."subjectType" = 'pump' AND s."kind" = 'run' AND json_extract(${CONTENT}, '$.body.materialId') IS NULL)`,
    ),
    pumpsWithJarShape: db.prepare<[jarShapeId: string], { pumpId: string }>(pumpsNaming("'look'", 'jarShapeId')),
    pumpsWithProduct: db.prepare<[productId: string], { pumpId: string }>(
      pumpsNaming("'change', 'topUp'", 'productId'),
    ),
    /** Exact, also while the equipment's state lags; readers take the pumps that its state knows. */
    pumpsWithEquipment: db.prepare<[equipmentId: string], { pumpId: string }>(
      `SELECT DISTINCT json_extract(p.value, '$.id') AS "pumpId" FROM ${ENTRIES}, json_each(${CONTENT}, '$.subjects') p
       WHERE s."subjectType" = 'equipment' AND s."subjectId" = ? AND json_extract(p.value, '$.type') = 'pump'`,
    ),
    runsFrom: db.prepare<{ pumpId: string; from: string }, { seq: number; endedAt: string | null; content: string }>(
      `SELECT c."seq", c."endedAt", ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE ${OF_PUMP} AND s."happenedAt" >= @from AND s."kind" = 'run'`,
    ),
    setEnd: db.prepare<{ seq: number; endedAt: string | null }>(
      `UPDATE counted_entry SET "endedAt" = @endedAt WHERE "seq" = @seq`,
    ),
    metersBefore: db.prepare<
      { pumpId: string; until: string; entryId: string },
      { happenedAt: string; content: string }
    >(
      `SELECT s."happenedAt", ${CONTENT} AS "content" FROM ${ENTRIES} WHERE ${OF_PUMP} AND s."happenedAt" <= @until
       AND s."kind" IN ('meter', 'takeOver') AND s."entryId" <> @entryId ORDER BY s."happenedAt" DESC LIMIT 5`,
    ),
    runsBefore: db.prepare<
      { pumpId: string; until: string; entryId: string; limit: number },
      { entryId: string; happenedAt: string; endedAt: string }
    >(
      `SELECT s."entryId", s."happenedAt", c."endedAt" FROM subject_entry s CROSS JOIN counted_entry c ON c."seq" = s."seq"
       WHERE ${OF_PUMP} AND s."happenedAt" < @until AND s."kind" = 'run' AND s."entryId" <> @entryId
       ORDER BY s."happenedAt" DESC LIMIT @limit`,
    ),
  };
}

export type WritingStatements = ReturnType<typeof writingStatements>;

/** What a folder holds, in tables that every version of it has had: a backup of an older one is asked before it is migrated. */
export function contentStatements(db: Sqlite) {
  return {
    setUpVersions: db.prepare<[], SetUpVersionRow>(`SELECT * FROM set_up_version ORDER BY "seq"`),
    contents: db.prepare<[], { entries: number; lastRecordedAt: string | null }>(
      `SELECT COUNT(*) AS "entries", MAX("recordedAt") AS "lastRecordedAt" FROM journal_entry WHERE "kind" <> 'correction'`,
    ),
  };
}

/** Searches of the reading path; each is one indexed query. */
export function readingStatements(db: Sqlite) {
  return {
    ...contentStatements(db),
    casesOpened: db.prepare<[caseId: string], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE s."subjectType" = 'case' AND s."subjectId" = ? AND s."kind" = 'caseOpened'`,
    ),
    /** What may speak for or against a material, of one pump, without the rest of the entries. */
    suspectRows: db.prepare<{ pumpId: string; from: string }, SuspectRow>(
      `SELECT "kind", json_extract("content", '$.body.materialId') AS "materialId",
         json_extract("content", '$.body.productId') AS "productId", json_extract("content", '$.body.colour') AS "colour",
         json_extract("content", '$.body.freeWaterMl') AS "freeWaterMl", json_extract("content", '$.body.creamMl') AS "creamMl",
         json_extract("content", '$.body.waterMl') AS "waterMl"
       FROM (SELECT s."kind", ${IN_ORDER}, ${CONTENT} AS "content" FROM ${ENTRIES}
         WHERE ${OF_PUMP} AND s."happenedAt" >= @from AND s."kind" IN ('run', 'look', 'bleed', 'change'))
       WHERE COALESCE(json_extract("content", '$.body.sump'), 'oil') = 'oil'
       ORDER BY "happenedAt", "recordedAt", "entryId"`,
    ),
    entryById: db.prepare<[id: string], JournalEntryRow>(`SELECT * FROM journal_entry WHERE "id" = ?`),
    subjectState: db.prepare<{ subjectType: string; subjectId: string }, SubjectStateRow>(
      `SELECT * FROM subject_state WHERE ${SUBJECT}`,
    ),
    subjectsWithState: db.prepare<[], SubjectStateRow>(`SELECT * FROM subject_state`),
    pumpStates: db.prepare<[], PumpStateText>(
      `SELECT "subjectId" AS "pumpId", "foldVersion", "state" FROM subject_state WHERE "subjectType" = 'pump'`,
    ),
    /** A thousand lines of the journal at most, up to the last one that there was when reading began; not of an import that may yet be taken back. */
    journalBetween: db.prepare<{ after: number; until: number }, { seq: number; content: string }>(
      `SELECT "seq", "content" FROM journal_entry WHERE "seq" > @after AND "seq" <= @until
       AND ("importId" IS NULL OR "importId" NOT IN (SELECT "id" FROM open_import)) ORDER BY "seq" LIMIT 1000`,
    ),
    lastSeq: db.prepare<[], { seq: number | null }>(`SELECT MAX("seq") AS "seq" FROM journal_entry`),
    countedFrom: db.prepare<SubjectKeyRow, { content: string }>(COUNTED_FROM),
    countedById: db.prepare<[entryId: string], Counted>(
      `SELECT ${COUNTED} FROM journal_entry j CROSS JOIN counted_entry c ON c."seq" = j."seq" WHERE j."id" = ?`,
    ),
    actMembers: db.prepare<[actId: string], { id: string }>(
      `SELECT e."id" FROM journal_entry e WHERE e."actId" = ? AND e."kind" <> 'correction'
       AND EXISTS (SELECT 1 FROM counted_entry c WHERE c."seq" = e."seq")`,
    ),
    correctionsOf: db.prepare<[targetId: string], { content: string }>(
      `SELECT "content" FROM journal_entry WHERE "targetId" = ?`,
    ),
  };
}

export type ReadingStatements = ReturnType<typeof readingStatements>;
