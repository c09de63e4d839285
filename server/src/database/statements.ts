// Longer than other files: all SQL of the measured path in one view.
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

export interface ChangedPumps {
  /** A list as JSON; null for all pumps. */
  readonly pumpIds: string | null;
}
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

/** How a correction is stored that somebody decided about. */
export const ASIDE_TEXT = '{"state":"aside"}';

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

/**
 * The measured path, in statements that are prepared once per connection: what runs inside the writer's transaction, for every row
 * of an import, or for the Round and a pump's page. All else is read by records.ts. What is special to SQLite stands in this file.
 */
export function writingStatements(db: Sqlite) {
  return {
    /** Every accepted entry; 100,000 in an import. Its id decides whether it is new. */
    insertEntry: db.prepare<Omit<JournalEntryRow, 'seq' | 'unsettled'>>(
      `INSERT INTO journal_entry ("id", "actId", "kind", "happenedAt", "recordedAt", "targetId", "contentHash", "content", "importId")
       VALUES (@id, @actId, @kind, @happenedAt, @recordedAt, @targetId, @contentHash, @content, @importId)
       ON CONFLICT ("id") DO NOTHING`,
    ),
    /** With every entry that counts, in the same transaction. */
    insertCounted: db.prepare<Omit<CountedEntryRow, 'contradicted'> & { contradicted: 0 | 1 }>(
      `INSERT INTO counted_entry ("seq", "entryId", "kind", "happenedAt", "recordedAt", "endedAt", "correctionId", "contradicted", "content")
       VALUES (@seq, @entryId, @kind, @happenedAt, @recordedAt, @endedAt, @correctionId, @contradicted, @content)`,
    ),
    /** Once for each subject of every entry. */
    insertSubject: db.prepare<SubjectEntryRow>(
      `INSERT INTO subject_entry ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId", "kind", "seq")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId, @kind, @seq)`,
    ),
    /** Before a corrected entry counts anew. */
    deleteCounted: db.prepare<[seq: number]>(`DELETE FROM counted_entry WHERE "seq" = ?`),
    /** With the one above, for each subject. */
    deleteSubject: db.prepare<SubjectKeyRow>(`DELETE FROM subject_entry WHERE ${SUBJECT} AND ${KEY} = ${AT}`),
    /** Before everything is rebuilt: all that follows from the journal. */
    clearDerived: ['counted_entry', 'subject_entry', 'subject_state', 'checkpoint', 'lagging_subject'].map((table) =>
      db.prepare(`DELETE FROM "${table}"`),
    ),
    /** At the end of every act, for each subject it touched. */
    saveState: db.prepare<SubjectStateRow>(
      `INSERT INTO subject_state ("subjectType", "subjectId", "foldVersion", "state") VALUES (@subjectType, @subjectId, @foldVersion, @state)
       ON CONFLICT ("subjectType", "subjectId") DO UPDATE SET "foldVersion" = excluded."foldVersion", "state" = excluded."state"`,
    ),
    /** Where the last entry of a subject was taken back. */
    deleteState: db.prepare<{ subjectType: string; subjectId: string }>(`DELETE FROM subject_state WHERE ${SUBJECT}`),
    /** Every 200 entries of a fold, and at each period's end. */
    insertCheckpoint: db.prepare<CheckpointRow>(
      `INSERT INTO checkpoint ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId", "endedPeriod", "state")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId, @endedPeriod, @state)
       ON CONFLICT ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId") DO UPDATE
       SET "endedPeriod" = COALESCE(excluded."endedPeriod", checkpoint."endedPeriod"), "state" = excluded."state"`,
    ),
    /** Before every refold: what was kept after its start holds no more. */
    deleteCheckpointsAfter: db.prepare<SubjectKeyRow>(`DELETE FROM checkpoint WHERE ${SUBJECT} AND ${KEY} > ${AT}`),
    /** Its period may not end there any more; the refold marks it again where it does. */
    unmarkCheckpoint: db.prepare<SubjectKeyRow>(
      `UPDATE checkpoint SET "endedPeriod" = NULL WHERE ${SUBJECT} AND ${KEY} = ${AT}`,
    ),
    /** Inside the transaction that refolds what a version touches. */
    insertSetUp: db.prepare<Omit<SetUpVersionRow, 'seq'>>(
      `INSERT INTO set_up_version ("id", "kind", "subjectId", "validFrom", "recordedAt", "body")
       VALUES (@id, @kind, @subjectId, @validFrom, @recordedAt, @body)`,
    ),
    /** With a record that nothing names. */
    deleteSetUp: db.prepare<{ kind: string; subjectId: string }>(
      `DELETE FROM set_up_version WHERE "kind" = @kind AND "subjectId" = @subjectId`,
    ),
    /** With an entry that shows a file. One that is taken back with its import leaves it behind, and then it says nothing. */
    insertCitation: db.prepare<{ fileId: string; entryId: string }>(
      `INSERT INTO file_citation ("fileId", "entryId") VALUES (@fileId, @entryId) ON CONFLICT DO NOTHING`,
    ),
    /** With every write, in its transaction: what changed has one sequence. */
    insertChange: db.prepare<Omit<ChangeRow, 'seq'>>(
      `INSERT INTO change_log ("kind", "pumpIds", "actor", "at") VALUES (@kind, @pumpIds, @actor, @at)`,
    ),
    /** With the one above, so that the sequence stays short. */
    forgetChanges: db.prepare<[kept: number]>(
      `DELETE FROM change_log WHERE "seq" <= (SELECT MAX("seq") FROM change_log) - ?`,
    ),
    /** The epoch, inside a transaction. */
    setFact: db.prepare<{ name: string; value: string }>(
      `INSERT INTO house_fact ("name", "value") VALUES (@name, @value) ON CONFLICT ("name") DO UPDATE SET "value" = excluded."value"`,
    ),
    /** Facts that are written once, before anything is served. */
    insertFact: db.prepare<{ name: string; value: string }>(
      `INSERT INTO house_fact ("name", "value") VALUES (@name, @value) ON CONFLICT ("name") DO NOTHING`,
    ),
    ...readingStatements(db),
    /** After every act and every turn of an import: does anything wait at all? */
    anyUnsettled: db.prepare<[], { id: string }>(
      `SELECT "id" FROM journal_entry WHERE "unsettled" IS NOT NULL LIMIT 1`,
    ),
    /** What is said of an entry and does not count. */
    unsettledOf: db.prepare<[targetId: string], { id: string; content: string; unsettled: string }>(
      `SELECT "id", "content", "unsettled" FROM journal_entry WHERE "targetId" = ? AND "unsettled" IS NOT NULL`,
    ),
    /** With a correction that comes before its entry, and when that comes. */
    setUnsettled: db.prepare<{ id: string; unsettled: string | null }>(
      `UPDATE journal_entry SET "unsettled" = @unsettled WHERE "id" = @id`,
    ),
    /** With every entry that waited on a device for a connection. */
    insertWaited: db.prepare<SubjectKeyRow>(
      `INSERT OR IGNORE INTO waited_entry ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId)`,
    ),
    /** With every correction: was its entry one of them? */
    isWaited: db.prepare<[entryId: string], { entryId: string }>(
      `SELECT "entryId" FROM waited_entry WHERE "entryId" = ? LIMIT 1`,
    ),
    /** Somebody has decided about it. */
    deleteWaited: db.prepare<[entryId: string]>(`DELETE FROM waited_entry WHERE "entryId" = ?`),
    /** When one comes: those after it. */
    waitedFrom: db.prepare<SubjectKeyRow & { limit: number }, { actId: string }>(
      `SELECT DISTINCT j."actId" FROM waited_entry w CROSS JOIN journal_entry j ON j."id" = w."entryId"
       WHERE w."subjectType" = @subjectType AND w."subjectId" = @subjectId
       AND (w."happenedAt", w."recordedAt", w."entryId") >= (@happenedAt, @recordedAt, @entryId) LIMIT @limit`,
    ),
    /** The same: all of a deed that nobody has decided about. */
    waitedOfDeed: db.prepare<[actId: string], { seq: number; content: string }>(
      `SELECT "seq", "content" FROM journal_entry WHERE "actId" = ? AND "kind" <> 'correction'
       AND "id" IN (SELECT "entryId" FROM waited_entry) ORDER BY "seq"`,
    ),
    /** Before a change is written: has somebody else logged one on that day? */
    changesBetween: db.prepare<{ pumpId: string; from: string; until: string }, { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES} WHERE ${OF_PUMP} AND s."kind" = 'change'
       AND s."happenedAt" >= @from AND s."happenedAt" < @until ORDER BY s."happenedAt"`,
    ),
    /** Asked at every start, before anything is served. */
    outdatedStates: db.prepare<[subjectType: string, foldVersion: number], { subjectId: string }>(
      `SELECT "subjectId" FROM subject_state WHERE "subjectType" = ? AND "foldVersion" <> ?`,
    ),
    /** The same: as which version of bodies are they counted? */
    fact: db.prepare<[name: string], { value: string }>(`SELECT "value" FROM house_fact WHERE "name" = ?`),
    /** A turn of catching up after an import. */
    countedNext: db.prepare<SubjectKeyRow & { limit: number }, { content: string }>(`${COUNTED_FROM} LIMIT @limit`),
    /** As it stood before a correction or an undo. */
    countedBySeq: db.prepare<[seq: number], Counted>(
      `SELECT ${COUNTED} FROM counted_entry c CROSS JOIN journal_entry j ON j."seq" = c."seq" WHERE c."seq" = ?`,
    ),
    /** Asked by every write: a subject that lags is not folded yet. */
    lagging: db.prepare<{ subjectType: string; subjectId: string }, LaggingSubjectRow>(
      `SELECT * FROM lagging_subject WHERE ${SUBJECT}`,
    ),
    /** The same for subjects that are folded together. */
    laggingOfType: db.prepare<[subjectType: string], LaggingSubjectRow>(
      `SELECT * FROM lagging_subject WHERE "subjectType" = ?`,
    ),
    /** At a start: what lags then may hold what was taken back, so nobody is to trust it. */
    distrustLagging: db.prepare(
      `UPDATE subject_state SET "foldVersion" = 0, "state" = json_set("state", '$.foldVersion', 0)
       WHERE json_valid("state") AND ("subjectType", "subjectId") IN (SELECT "subjectType", "subjectId" FROM lagging_subject)`,
    ),
    /** How far making anew has come. */
    countLagging: db.prepare<[], { n: number }>(`SELECT COUNT(*) AS "n" FROM lagging_subject`),
    /** The next turn of catching up. */
    anyLagging: db.prepare<[], LaggingSubjectRow>(`SELECT * FROM lagging_subject LIMIT 1`),
    /** Before a turn of catching up: is there anything that ties one sump to another? */
    anyContainer: db.prepare<[], { seq: number }>(
      `SELECT "seq" FROM subject_entry WHERE "subjectType" = 'container' LIMIT 1`,
    ),
    /** The next turn of what is folded together: whatever moves oil, from a place in the journal's order on. */
    storeEntriesFrom: db.prepare<
      { happenedAt: string; recordedAt: string; entryId: string; limit: number },
      { content: string }
    >(
      `SELECT ${CONTENT} AS "content" FROM
         (SELECT DISTINCT "seq", "happenedAt", "recordedAt", "entryId" FROM subject_entry WHERE "subjectType" IN ('container', 'sump')
          AND ("happenedAt", "recordedAt", "entryId") >= (@happenedAt, @recordedAt, @entryId) ORDER BY 2, 3, 4 LIMIT @limit) s
       CROSS JOIN counted_entry c ON c."seq" = s."seq" CROSS JOIN journal_entry j ON j."seq" = s."seq" ORDER BY ${IN_ORDER}`,
    ),
    /** Where an import has come to, for each subject. */
    saveLag: db.prepare<SubjectKeyRow>(
      `INSERT INTO lagging_subject ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId")
       VALUES (@subjectType, @subjectId, @happenedAt, @recordedAt, @entryId)
       ON CONFLICT ("subjectType", "subjectId") DO UPDATE
       SET "happenedAt" = excluded."happenedAt", "recordedAt" = excluded."recordedAt", "entryId" = excluded."entryId"`,
    ),
    /** When a subject has caught up. */
    deleteLag: db.prepare<{ subjectType: string; subjectId: string }>(`DELETE FROM lagging_subject WHERE ${SUBJECT}`),
    /** Asked at every start, and by each turn of taking back. */
    openImports: db.prepare<[], OpenImportRow>(`SELECT * FROM open_import`),
    /** Before the first row is written. */
    insertImport: db.prepare<OpenImportRow>(`INSERT INTO open_import ("id", "afterSeq") VALUES (@id, @afterSeq)`),
    /** With the last one: from here on it stays. */
    deleteImport: db.prepare<[id: string]>(`DELETE FROM open_import WHERE "id" = ?`),
    /** A turn of taking an import back. */
    imported: db.prepare<OpenImportRow & { limit: number }, { seq: number; id: string }>(
      `SELECT "seq", "id" FROM journal_entry WHERE "seq" > @afterSeq AND "importId" = @id ORDER BY "seq" LIMIT @limit`,
    ),
    /** Before an import that is done is taken back. */
    correctedOfImport: db.prepare<OpenImportRow, { n: number }>(
      `SELECT COUNT(*) AS "n" FROM journal_entry c JOIN journal_entry e ON e."id" = c."targetId"
       WHERE e."seq" > @afterSeq AND e."importId" = @id`,
    ),
    /** An entry that somebody acknowledged stays, whatever becomes of its import. */
    keepImported: db.prepare<[id: string]>(`UPDATE journal_entry SET "importId" = NULL WHERE "id" = ?`),
    /** While an import is taken back, and with a pump of which nothing but its beginning was ever written. */
    deleteEntry: db.prepare<[id: string]>(`DELETE FROM journal_entry WHERE "id" = ?`),
    /** Ends of runs follow from the equipment's cycle time when it is corrected. */
    runsFrom: db.prepare<{ pumpId: string; from: string }, { seq: number; endedAt: string | null; content: string }>(
      `SELECT c."seq", c."endedAt", ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE ${OF_PUMP} AND s."happenedAt" >= @from AND s."kind" = 'run'`,
    ),
    /** With the one above. */
    setEnd: db.prepare<{ seq: number; endedAt: string | null }>(
      `UPDATE counted_entry SET "endedAt" = @endedAt WHERE "seq" = @seq`,
    ),
    /** Before a meter is written: does it go backwards? */
    metersBefore: db.prepare<
      { pumpId: string; until: string; entryId: string },
      { happenedAt: string; content: string }
    >(
      `SELECT s."happenedAt", ${CONTENT} AS "content" FROM ${ENTRIES} WHERE ${OF_PUMP} AND s."happenedAt" <= @until
       AND s."kind" IN ('meter', 'takeOver') AND s."entryId" <> @entryId ORDER BY s."happenedAt" DESC LIMIT 5`,
    ),
    /** Before a run is written: was the pump taken over after it began? */
    takeOverAfter: db.prepare<{ pumpId: string; from: string }, { entryId: string }>(
      `SELECT s."entryId" FROM subject_entry s WHERE ${OF_PUMP} AND s."happenedAt" > @from AND s."kind" = 'takeOver' LIMIT 1`,
    ),
    /** Before a run is written: does it overlap another? */
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
    /** The set-up in memory, also inside a rehearsal; and of a backup that is checked. */
    setUpVersions: db.prepare<[], SetUpVersionRow>(`SELECT * FROM set_up_version ORDER BY "seq"`),
    /** Every entry is looked at, whether it counts or not: before a record of the set-up goes. */
    entriesNaming: db.prepare<{ after: number; quoted: string }, { seq: number; content: string }>(
      `SELECT "seq", "content" FROM journal_entry WHERE "seq" > @after AND instr("content", @quoted) > 0 ORDER BY "seq"`,
    ),
    /** What a backup holds, before its tables are migrated. */
    contents: db.prepare<[], { entries: number; lastRecordedAt: string | null }>(
      `SELECT COUNT(*) AS "entries", MAX("recordedAt") AS "lastRecordedAt" FROM journal_entry WHERE "kind" <> 'correction'`,
    ),
  };
}

/** Searches of the reading path; each is one indexed query. */
export function readingStatements(db: Sqlite) {
  return {
    ...contentStatements(db),
    /** Before anything of a case is written: is it open? */
    casesOpened: db.prepare<[caseId: string], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE s."subjectType" = 'case' AND s."subjectId" = ? AND s."kind" = 'caseOpened'`,
    ),
    /** Before anything of a job is written: was it started? */
    jobsStarted: db.prepare<[jobId: string], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE s."subjectType" = 'job' AND s."subjectId" = ? AND s."kind" = 'jobStarted'`,
    ),
    /** How long services took: what began and ended each, the newest first. */
    lastJobs: db.prepare<[most: number], { jobId: string; content: string }>(
      `SELECT s."subjectId" AS "jobId", ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE s."subjectType" = 'job' AND s."kind" IN ('jobStarted', 'jobEnded')
       ORDER BY s."happenedAt" DESC LIMIT ?`,
    ),
    /** What may speak for or against a material, of one pump, without the rest of the entries. Each kind is asked only for its own fields: most are runs. */
    suspectRows: db.prepare<{ pumpId: string; from: string }, SuspectRow>(
      `SELECT s."kind",
         CASE s."kind" WHEN 'run' THEN json_extract(${CONTENT}, '$.body.materialId') END AS "materialId",
         CASE s."kind" WHEN 'change' THEN json_extract(${CONTENT}, '$.body.productId') END AS "productId",
         CASE s."kind" WHEN 'bleed' THEN json_extract(${CONTENT}, '$.body.waterMl') END AS "waterMl",
         CASE s."kind" WHEN 'look' THEN json_extract(${CONTENT}, '$.body.colour') END AS "colour",
         CASE s."kind" WHEN 'look' THEN json_extract(${CONTENT}, '$.body.freeWaterMl') END AS "freeWaterMl",
         CASE s."kind" WHEN 'look' THEN json_extract(${CONTENT}, '$.body.creamMl') END AS "creamMl"
       FROM ${ENTRIES}
       WHERE ${OF_PUMP} AND s."happenedAt" >= @from AND s."kind" IN ('run', 'look', 'bleed', 'change')
         AND (s."kind" = 'run' OR json_extract(${CONTENT}, '$.body.sump') = 'oil')
       ORDER BY ${IN_ORDER}`,
    ),
    /** Numbers of changes have no gaps but at their beginning, where the oldest are forgotten. */
    lastChange: db.prepare<[], { seq: number | null }>(`SELECT MAX("seq") AS "seq" FROM change_log`),
    changesAfter: db.prepare<[seq: number], ChangedPumps>(`SELECT "pumpIds" FROM change_log WHERE "seq" > ?`),
    /** Where every refold starts. */
    checkpointBefore: db.prepare<SubjectKeyRow, { state: string }>(
      `SELECT "state" FROM checkpoint WHERE ${SUBJECT} AND ${KEY} < ${AT} ORDER BY "happenedAt" DESC, "recordedAt" DESC, "entryId" DESC LIMIT 1`,
    ),
    /** Also pumps with a run whose material nobody has said: it counts as the heaviest of them. */
    pumpsWithMaterial: db.prepare<[materialId: string], { pumpId: string }>(
      `${pumpsNaming("'run'", 'materialId')} OR (s."subjectType" = 'pump' AND s."kind" = 'run' AND json_extract(${CONTENT}, '$.body.materialId') IS NULL)`,
    ),
    /** Which pumps a set-up record bears upon: inside the transaction that refolds them. */
    pumpsWithJarShape: db.prepare<[jarShapeId: string], { pumpId: string }>(pumpsNaming("'look'", 'jarShapeId')),
    /** The same for an oil. */
    pumpsWithProduct: db.prepare<[productId: string], { pumpId: string }>(
      pumpsNaming("'change', 'topUp'", 'productId'),
    ),
    /** Exact, also while the equipment's state lags; readers take the pumps that its state knows. */
    pumpsWithEquipment: db.prepare<[equipmentId: string], { pumpId: string }>(
      `SELECT DISTINCT json_extract(p.value, '$.id') AS "pumpId" FROM ${ENTRIES}, json_each(${CONTENT}, '$.subjects') p
       WHERE s."subjectType" = 'equipment' AND s."subjectId" = ? AND json_extract(p.value, '$.type') = 'pump'`,
    ),
    /** What a version of the set-up can bear upon at all: subjects with entries since it counts. */
    subjectsSince: db.prepare<[from: string], { subjectType: string; subjectId: string }>(
      `SELECT "subjectType", "subjectId" FROM subject_state WHERE json_extract("state", '$.last.happenedAt') >= ?`,
    ),
    /** Whom a search in another thread may have missed. */
    pumpsWrittenSince: db.prepare<[seq: number], { pumpId: string }>(
      `SELECT DISTINCT json_extract(p.value, '$.id') AS "pumpId" FROM journal_entry, json_each("content", '$.subjects') p
       WHERE "seq" > ? AND json_extract(p.value, '$.type') = 'pump'`,
    ),
    /** Is it much to fold anew? Counted no further than asked. */
    countedAtMost: db.prepare<SubjectKeyRow & { limit: number }, { n: number }>(
      `SELECT COUNT(*) AS "n" FROM (SELECT 1 FROM subject_entry WHERE ${SUBJECT} AND ${KEY} > ${AT} LIMIT @limit)`,
    ),
    /** Every write and every row of an import: is it here already, and the same? */
    /** Before a file is shown to whoever is bound to some sites. */
    citing: db.prepare<[fileId: string], { content: string }>(
      `SELECT j."content" FROM file_citation f CROSS JOIN journal_entry j ON j."id" = f."entryId" WHERE f."fileId" = ?`,
    ),
    entryById: db.prepare<[id: string], JournalEntryRow>(`SELECT * FROM journal_entry WHERE "id" = ?`),
    /** The pump's page, the preview and every fold. */
    subjectState: db.prepare<{ subjectType: string; subjectId: string }, SubjectStateRow>(
      `SELECT * FROM subject_state WHERE ${SUBJECT}`,
    ),
    /** Rebuilding everything, and rehearsing a change that touches all. */
    subjectsWithState: db.prepare<[], SubjectStateRow>(`SELECT * FROM subject_state`),
    /** The shelf: all containers and sumps in one read. */
    storeStates: db.prepare<[], SubjectStateRow>(
      `SELECT * FROM subject_state WHERE "subjectType" IN ('container', 'sump')`,
    ),
    /** What ran in a pump while an oil was in it, each material once. */
    materialsBetween: db.prepare<
      { pumpId: string; from: string; until: string },
      { materialId: string | null; runs: number }
    >(
      `SELECT json_extract(${CONTENT}, '$.body.materialId') AS "materialId", COUNT(*) AS "runs" FROM ${ENTRIES}
       WHERE ${OF_PUMP} AND s."happenedAt" >= @from AND s."happenedAt" < @until AND s."kind" = 'run' GROUP BY 1`,
    ),
    /** The reports on it. */
    reportsBetween: db.prepare<{ pumpId: string; from: string; until: string }, { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE ${OF_PUMP} AND s."happenedAt" >= @from AND s."kind" = 'labResult'
       AND json_extract(${CONTENT}, '$.body.sampleId') IN (
         SELECT d."entryId" FROM subject_entry d WHERE d."subjectType" = 'pump' AND d."subjectId" = @pumpId
         AND d."happenedAt" >= @from AND d."happenedAt" < @until AND d."kind" = 'labSample')
       ORDER BY ${IN_ORDER}`,
    ),
    /** When the oil before was filled in, where the oil's own story does not say it. */
    changeBefore: db.prepare<{ pumpId: string; until: string }, { happenedAt: string }>(
      `SELECT s."happenedAt" FROM subject_entry s WHERE ${OF_PUMP} AND s."happenedAt" < @until AND s."kind" = 'change'
       ORDER BY s."happenedAt" DESC LIMIT 1`,
    ),
    /** How jars of this yard settled: what was read of those that stood on the shelf. */
    jarLooks: db.prepare<[most: number], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE s."subjectType" = 'container' AND s."kind" = 'look' ORDER BY s."happenedAt" DESC LIMIT ?`,
    ),
    /** Every movement of oil, in the order of the journal: for a trace, and for stock and costs. */
    storeEntries: db.prepare<[], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM
         (SELECT DISTINCT "seq", "happenedAt", "recordedAt", "entryId" FROM subject_entry WHERE "subjectType" IN ('container', 'sump')) s
       CROSS JOIN counted_entry c ON c."seq" = s."seq" CROSS JOIN journal_entry j ON j."seq" = s."seq" ORDER BY ${IN_ORDER}`,
    ),
    /** For each run what its oil costs. */
    runsBetween: db.prepare<{ from: string; until: string }, { pumpId: string; runs: number }>(
      `SELECT "subjectId" AS "pumpId", COUNT(*) AS "runs" FROM subject_entry
       WHERE "subjectType" = 'pump' AND "kind" = 'run' AND "happenedAt" >= @from AND "happenedAt" < @until GROUP BY 1`,
    ),
    /** What left the house by a carrier. */
    collections: db.prepare<[most: number], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM ${ENTRIES}
       WHERE s."subjectType" = 'container' AND s."kind" = 'transfer'
       AND json_extract(${CONTENT}, '$.body.outside') = 'carrier' ORDER BY s."happenedAt" DESC LIMIT ?`,
    ),
    /** The Round: all pumps in one read. */
    pumpStates: db.prepare<[], PumpStateText>(
      `SELECT "subjectId" AS "pumpId", "foldVersion", "state" FROM subject_state WHERE "subjectType" = 'pump'`,
    ),
    /** With the Round: does somebody have to decide? */
    countUnsettled: db.prepare<[], { n: number }>(
      `SELECT COUNT(*) AS "n" FROM journal_entry WHERE "unsettled" IS NOT NULL AND "unsettled" <> '${ASIDE_TEXT}'`,
    ),
    /** The same, pump by pump: beside its verdict. */
    unsettledByPump: db.prepare<[], { pumpId: string; n: number }>(
      `SELECT json_extract(p.value, '$.id') AS "pumpId", COUNT(*) AS "n" FROM journal_entry, json_each("content", '$.subjects') p
       WHERE "unsettled" IS NOT NULL AND "unsettled" <> '${ASIDE_TEXT}' AND json_extract(p.value, '$.type') = 'pump' GROUP BY 1`,
    ),
    /** Rebuilding everything: a thousand lines of the journal, up to the last one that there was when it began; not of an import that may yet be taken back, nor what is to be settled. */
    journalBetween: db.prepare<{ after: number; until: number }, { seq: number; content: string }>(
      `SELECT "seq", "content" FROM journal_entry WHERE "seq" > @after AND "seq" <= @until
       AND ("unsettled" IS NULL OR "targetId" IS NOT NULL)
       AND ("importId" IS NULL OR "importId" NOT IN (SELECT "id" FROM open_import)) ORDER BY "seq" LIMIT 1000`,
    ),
    /** Every line of the journal but those of an import that may yet be taken back; drawn one by one into a file. */
    journalLines: db.prepare<[], { seq: number; content: string; unsettled: string | null }>(
      `SELECT "seq", "content", "unsettled" FROM journal_entry
       WHERE "importId" IS NULL OR "importId" NOT IN (SELECT "id" FROM open_import) ORDER BY "seq"`,
    ),
    /** All entries of a kind as they count, by the moment when they happened; drawn one by one into a file. */
    countedOfKind: db.prepare<[kind: string], { content: string }>(
      `SELECT ${CONTENT} AS "content" FROM counted_entry c CROSS JOIN journal_entry j ON j."seq" = c."seq"
       WHERE c."kind" = ? ORDER BY c."happenedAt", c."recordedAt", c."entryId"`,
    ),
    /** How far such a file is. */
    countOfKind: db.prepare<[kind: string], { n: number }>(
      `SELECT COUNT(*) AS "n" FROM counted_entry WHERE "kind" = ?`,
    ),
    /** Where an import begins, and how far a file of the journal is. */
    lastSeq: db.prepare<[], { seq: number | null }>(`SELECT MAX("seq") AS "seq" FROM journal_entry`),
    /** A refold, and the last charges of a pump with tens of thousands of entries. */
    countedFrom: db.prepare<SubjectKeyRow, { content: string }>(COUNTED_FROM),
    /** Rows of an import that are here already. */
    countedById: db.prepare<[entryId: string], Counted>(
      `SELECT ${COUNTED} FROM journal_entry j CROSS JOIN counted_entry c ON c."seq" = j."seq" WHERE j."id" = ?`,
    ),
    /** Before a part of a deed is undone: the rest has to go with it. */
    actMembers: db.prepare<[actId: string], { id: string }>(
      `SELECT e."id" FROM journal_entry e WHERE e."actId" = ? AND e."kind" <> 'correction'
       AND EXISTS (SELECT 1 FROM counted_entry c WHERE c."seq" = e."seq")`,
    ),
    /** With every entry that counts: has something been said about it? */
    /** What a log holds: every entry of its kind is counted. */
    countedByMonth: db.prepare<[kind: string], { pumpId: string; month: string; n: number }>(
      `SELECT "subjectId" AS "pumpId", substr("happenedAt", 1, 7) AS "month", COUNT(*) AS "n" FROM subject_entry
       WHERE "subjectType" IN ('pump', 'container') AND "kind" = ? AND ("subjectType" = 'container') = ("kind" IN ('transfer', 'stocktake')) GROUP BY "subjectId", "month"`,
    ),
    /** Corrections are few among entries: their index finds what was taken back. */
    takenBack: db.prepare<
      { subjectType: string; subjectId: string; limit: number },
      { correction: string; content: string }
    >(
      `SELECT v."content" AS "correction", j."content" FROM journal_entry v JOIN journal_entry j ON j."id" = v."targetId"
       WHERE v."targetId" IS NOT NULL AND v."unsettled" IS NULL AND json_extract(v."content", '$.body.action') = 'void'
       AND NOT EXISTS (SELECT 1 FROM counted_entry c WHERE c."seq" = j."seq")
       AND EXISTS (SELECT 1 FROM json_each(j."content", '$.subjects') s
                   WHERE json_extract(s.value, '$.type') = @subjectType AND json_extract(s.value, '$.id') = @subjectId)
       GROUP BY j."id" HAVING v."recordedAt" = MAX(v."recordedAt") ORDER BY v."recordedAt" DESC LIMIT @limit`,
    ),
    correctionsOf: db.prepare<[targetId: string], { content: string }>(
      `SELECT "content" FROM journal_entry WHERE "targetId" = ? AND "unsettled" IS NULL`,
    ),
  };
}

export type ReadingStatements = ReturnType<typeof readingStatements>;
