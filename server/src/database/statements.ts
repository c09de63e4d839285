import type BetterSqlite3 from 'better-sqlite3';
import type {
  ChangeRow,
  CheckpointRow,
  CountedEntryRow,
  JournalEntryRow,
  LaggingPumpRow,
  OpenImportRow,
  PumpStateRow,
  SetUpVersionRow,
} from './entities.js';

type Sqlite = BetterSqlite3.Database;
export interface KeyParams {
  readonly pumpId: string;
  readonly happenedAt: string;
  readonly recordedAt: string;
  readonly entryId: string;
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

const KEY = '("happenedAt", "recordedAt", "entryId")';
const AT = '(@happenedAt, @recordedAt, @entryId)';
const COUNTED_FROM = `SELECT "content" FROM counted_entry WHERE "pumpId" = @pumpId AND ${KEY} > ${AT} ORDER BY "happenedAt", "recordedAt", "entryId"`;

/** All SQL of the product, prepared once per connection. What is special to SQLite stands in this file. */
export function writingStatements(db: Sqlite) {
  return {
    insertEntry: db.prepare<Omit<JournalEntryRow, 'seq' | 'waitsFor'>>(
      `INSERT INTO journal_entry ("id", "actId", "kind", "happenedAt", "recordedAt", "targetId", "contentHash", "content", "importId")
       VALUES (@id, @actId, @kind, @happenedAt, @recordedAt, @targetId, @contentHash, @content, @importId)
       ON CONFLICT ("id") DO NOTHING`,
    ),
    insertSubject: db.prepare<{ subjectType: string; subjectId: string; happenedAt: string; entryId: string }>(
      `INSERT INTO entry_subject ("subjectType", "subjectId", "happenedAt", "entryId") VALUES (@subjectType, @subjectId, @happenedAt, @entryId)`,
    ),
    insertCounted: db.prepare<Omit<CountedEntryRow, 'contradicted'> & { contradicted: 0 | 1 }>(
      `INSERT INTO counted_entry ("pumpId", "happenedAt", "recordedAt", "entryId", "kind", "endedAt", "correctionId", "contradicted", "content")
       VALUES (@pumpId, @happenedAt, @recordedAt, @entryId, @kind, @endedAt, @correctionId, @contradicted, @content)`,
    ),
    deleteCounted: db.prepare<[entryId: string]>(`DELETE FROM counted_entry WHERE "entryId" = ?`),
    clearCounted: db.prepare(`DELETE FROM counted_entry`),
    saveState: db.prepare<PumpStateRow>(
      `INSERT INTO pump_state ("pumpId", "foldVersion", "state") VALUES (@pumpId, @foldVersion, @state)
       ON CONFLICT ("pumpId") DO UPDATE SET "foldVersion" = excluded."foldVersion", "state" = excluded."state"`,
    ),
    deleteState: db.prepare<[pumpId: string]>(`DELETE FROM pump_state WHERE "pumpId" = ?`),
    insertCheckpoint: db.prepare<CheckpointRow>(
      `INSERT INTO checkpoint ("pumpId", "happenedAt", "recordedAt", "entryId", "endedCharge", "state")
       VALUES (@pumpId, @happenedAt, @recordedAt, @entryId, @endedCharge, @state)
       ON CONFLICT ("pumpId", "happenedAt", "recordedAt", "entryId") DO UPDATE
       SET "endedCharge" = COALESCE(excluded."endedCharge", checkpoint."endedCharge"), "state" = excluded."state"`,
    ),
    deleteCheckpointsAfter: db.prepare<KeyParams>(`DELETE FROM checkpoint WHERE "pumpId" = @pumpId AND ${KEY} > ${AT}`),
    /** Its charge may not end there any more; the refold marks it again where it does. */
    unmarkCheckpoint: db.prepare<KeyParams>(
      `UPDATE checkpoint SET "endedCharge" = NULL WHERE "pumpId" = @pumpId AND ${KEY} = ${AT}`,
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
    checkpointBefore: db.prepare<KeyParams, { state: string }>(
      `SELECT "state" FROM checkpoint WHERE "pumpId" = @pumpId AND ${KEY} < ${AT} ORDER BY "happenedAt" DESC, "recordedAt" DESC, "entryId" DESC LIMIT 1`,
    ),
    countedFrom: db.prepare<KeyParams, { content: string }>(COUNTED_FROM),
    countedNext: db.prepare<KeyParams & { limit: number }, { content: string }>(`${COUNTED_FROM} LIMIT @limit`),
    laggingPump: db.prepare<[pumpId: string], LaggingPumpRow>(`SELECT * FROM lagging_pump WHERE "pumpId" = ?`),
    anyLaggingPump: db.prepare<[], LaggingPumpRow>(`SELECT * FROM lagging_pump LIMIT 1`),
    saveLag: db.prepare<KeyParams>(
      `INSERT INTO lagging_pump ("pumpId", "happenedAt", "recordedAt", "entryId") VALUES (@pumpId, @happenedAt, @recordedAt, @entryId)
       ON CONFLICT ("pumpId") DO UPDATE SET "happenedAt" = excluded."happenedAt", "recordedAt" = excluded."recordedAt", "entryId" = excluded."entryId"`,
    ),
    deleteLag: db.prepare<[pumpId: string]>(`DELETE FROM lagging_pump WHERE "pumpId" = ?`),
    openImports: db.prepare<[], OpenImportRow>(`SELECT * FROM open_import`),
    insertImport: db.prepare<OpenImportRow>(`INSERT INTO open_import ("id", "afterSeq") VALUES (@id, @afterSeq)`),
    deleteImport: db.prepare<[id: string]>(`DELETE FROM open_import WHERE "id" = ?`),
    imported: db.prepare<OpenImportRow & { limit: number }, { id: string; content: string }>(
      `SELECT "id", "content" FROM journal_entry WHERE "seq" > @afterSeq AND "importId" = @id ORDER BY "seq" LIMIT @limit`,
    ),
    keepImported: db.prepare<[id: string]>(`UPDATE journal_entry SET "importId" = NULL WHERE "id" = ?`),
    deleteEntry: db.prepare<[id: string]>(`DELETE FROM journal_entry WHERE "id" = ?`),
    deleteSubject: db.prepare<{ subjectType: string; subjectId: string; happenedAt: string; entryId: string }>(
      `DELETE FROM entry_subject WHERE "subjectType" = @subjectType AND "subjectId" = @subjectId AND "happenedAt" = @happenedAt AND "entryId" = @entryId`,
    ),
    countedKeys: db.prepare<[entryId: string], KeyParams>(
      `SELECT "pumpId", "happenedAt", "recordedAt", "entryId" FROM counted_entry WHERE "entryId" = ?`,
    ),
    /** Pumps with entries that name a record of the set-up. */
    pumpsWithMaterial: db.prepare<[materialId: string], { pumpId: string }>(
      `SELECT DISTINCT "pumpId" FROM counted_entry WHERE "kind" = 'run' AND json_extract("content", '$.body.materialId') = ?`,
    ),
    pumpsWithJarShape: db.prepare<[jarShapeId: string], { pumpId: string }>(
      `SELECT DISTINCT "pumpId" FROM counted_entry WHERE "kind" = 'look' AND json_extract("content", '$.body.jarShapeId') = ?`,
    ),
    pumpsWithProduct: db.prepare<[productId: string], { pumpId: string }>(
      `SELECT DISTINCT "pumpId" FROM counted_entry WHERE "kind" IN ('change', 'topUp') AND json_extract("content", '$.body.productId') = ?`,
    ),
    runsFrom: db.prepare<
      { pumpId: string; from: string },
      { entryId: string; endedAt: string | null; content: string }
    >(
      `SELECT "entryId", "endedAt", "content" FROM counted_entry WHERE "pumpId" = @pumpId AND "happenedAt" >= @from AND "kind" = 'run'`,
    ),
    setEnd: db.prepare<{ pumpId: string; entryId: string; endedAt: string | null }>(
      `UPDATE counted_entry SET "endedAt" = @endedAt WHERE "pumpId" = @pumpId AND "entryId" = @entryId`,
    ),
    metersBefore: db.prepare<
      { pumpId: string; until: string; entryId: string },
      { happenedAt: string; content: string }
    >(
      `SELECT "happenedAt", "content" FROM counted_entry WHERE "pumpId" = @pumpId AND "happenedAt" <= @until
       AND "kind" IN ('meter', 'takeOver') AND "entryId" <> @entryId ORDER BY "happenedAt" DESC LIMIT 5`,
    ),
    runsBefore: db.prepare<
      { pumpId: string; until: string; entryId: string; limit: number },
      { entryId: string; happenedAt: string; endedAt: string }
    >(
      `SELECT "entryId", "happenedAt", "endedAt" FROM counted_entry
       WHERE "pumpId" = @pumpId AND "happenedAt" < @until AND "kind" = 'run' AND "entryId" <> @entryId
       ORDER BY "happenedAt" DESC LIMIT @limit`,
    ),
  };
}

export type WritingStatements = ReturnType<typeof writingStatements>;

/** Searches of the reading path; each is one indexed query. */
export function readingStatements(db: Sqlite) {
  return {
    casesOpened: db.prepare<[caseId: string], { pumpId: string; entryId: string }>(
      `SELECT c."pumpId", c."entryId" FROM entry_subject s JOIN counted_entry c ON c."entryId" = s."entryId"
       WHERE s."subjectType" = 'case' AND s."subjectId" = ? AND c."kind" = 'caseOpened'`,
    ),
    /** All that was said of cases in the yard but their tests, in the journal's order. */
    caseEntries: db.prepare<[], { pumpId: string; content: string }>(
      `SELECT c."pumpId", c."content" FROM entry_subject s JOIN counted_entry c ON c."entryId" = s."entryId"
       WHERE s."subjectType" = 'case' AND c."kind" IN ('caseOpened', 'caseClosed', 'caseChecked')
       ORDER BY c."happenedAt", c."recordedAt", c."entryId"`,
    ),
    /** Of one pump before a key: what people found, which outlasts oil changes, and the cases that dealt with it. */
    foundUntil: db.prepare<KeyParams, { content: string }>(
      `SELECT "content" FROM counted_entry WHERE "pumpId" = @pumpId AND ${KEY} <= ${AT}
       AND "kind" IN ('test', 'caseClosed', 'caseChecked')
       ORDER BY "happenedAt", "recordedAt", "entryId"`,
    ),
    countedBetween: db.prepare<{ pumpId: string; from: string; until: string }, { content: string }>(
      `SELECT "content" FROM counted_entry WHERE "pumpId" = @pumpId AND "happenedAt" >= @from AND "happenedAt" <= @until
       ORDER BY "happenedAt", "recordedAt", "entryId"`,
    ),
    /** What may speak for or against a material, of one pump, without the rest of the entries. */
    suspectRows: db.prepare<{ pumpId: string; from: string }, SuspectRow>(
      `SELECT "kind", json_extract("content", '$.body.materialId') AS "materialId",
         json_extract("content", '$.body.productId') AS "productId", json_extract("content", '$.body.colour') AS "colour",
         json_extract("content", '$.body.freeWaterMl') AS "freeWaterMl", json_extract("content", '$.body.creamMl') AS "creamMl",
         json_extract("content", '$.body.waterMl') AS "waterMl"
       FROM counted_entry WHERE "pumpId" = @pumpId AND "happenedAt" >= @from AND "kind" IN ('run', 'look', 'bleed', 'change')
         AND COALESCE(json_extract("content", '$.body.sump'), 'oil') = 'oil'
       ORDER BY "happenedAt", "recordedAt", "entryId"`,
    ),
    pumpsWithEquipment: db.prepare<[equipmentId: string], { pumpId: string }>(
      `SELECT DISTINCT c."pumpId" FROM entry_subject s JOIN counted_entry c ON c."entryId" = s."entryId"
       WHERE s."subjectType" = 'equipment' AND s."subjectId" = ?`,
    ),
    entryById: db.prepare<[id: string], JournalEntryRow>(`SELECT * FROM journal_entry WHERE "id" = ?`),
    stateOf: db.prepare<[pumpId: string], PumpStateRow>(`SELECT * FROM pump_state WHERE "pumpId" = ?`),
    states: db.prepare<[], PumpStateRow>(`SELECT * FROM pump_state`),
    outdatedStates: db.prepare<[foldVersion: number], { pumpId: string }>(
      `SELECT "pumpId" FROM pump_state WHERE "foldVersion" <> ?`,
    ),
    setUpVersions: db.prepare<[], SetUpVersionRow>(`SELECT * FROM set_up_version ORDER BY "seq"`),
    changesSince: db.prepare<[seq: number], { seq: number; kind: string; pumpIds: string | null }>(
      `SELECT "seq", "kind", "pumpIds" FROM change_log WHERE "seq" > ? ORDER BY "seq"`,
    ),
    changesKept: db.prepare<[], { first: number | null; last: number | null }>(
      `SELECT MIN("seq") AS "first", MAX("seq") AS "last" FROM change_log`,
    ),
    contents: db.prepare<[], { entries: number; lastRecordedAt: string | null }>(
      `SELECT COUNT(*) AS "entries", MAX("recordedAt") AS "lastRecordedAt" FROM journal_entry WHERE "kind" <> 'correction'`,
    ),
    /** A thousand lines of the journal at most, up to the last one that there was when reading began; not of an import that may yet be taken back. */
    journalBetween: db.prepare<{ after: number; until: number }, { seq: number; content: string }>(
      `SELECT "seq", "content" FROM journal_entry WHERE "seq" > @after AND "seq" <= @until
       AND ("importId" IS NULL OR "importId" NOT IN (SELECT "id" FROM open_import)) ORDER BY "seq" LIMIT 1000`,
    ),
    lastSeq: db.prepare<[], { seq: number | null }>(`SELECT MAX("seq") AS "seq" FROM journal_entry`),
    facts: db.prepare<[], { name: string; value: string }>(`SELECT "name", "value" FROM house_fact`),
    endedCharges: db.prepare<[pumpId: string, limit: number], { state: string }>(
      `SELECT "state" FROM checkpoint WHERE "pumpId" = ? AND "endedCharge" IS NOT NULL ORDER BY "happenedAt" DESC LIMIT ?`,
    ),
    countedFrom: db.prepare<KeyParams, { content: string }>(COUNTED_FROM),
    journalPage: db.prepare<KeyParams & { limit: number }, CountedEntryRow>(
      `SELECT * FROM counted_entry WHERE "pumpId" = @pumpId AND ${KEY} < ${AT}
       ORDER BY "happenedAt" DESC, "recordedAt" DESC, "entryId" DESC LIMIT @limit`,
    ),
    countedOfKind: db.prepare<[kind: string], { content: string }>(
      `SELECT "content" FROM counted_entry WHERE "kind" = ? ORDER BY "happenedAt", "recordedAt", "entryId", "pumpId"`,
    ),
    countedById: db.prepare<[entryId: string], CountedEntryRow>(
      `SELECT * FROM counted_entry WHERE "entryId" = ? LIMIT 1`,
    ),
    actMembers: db.prepare<[actId: string], { id: string }>(
      `SELECT e."id" FROM journal_entry e WHERE e."actId" = ? AND e."kind" <> 'correction'
       AND EXISTS (SELECT 1 FROM counted_entry c WHERE c."entryId" = e."id")`,
    ),
    correctionsOf: db.prepare<[targetId: string], { content: string }>(
      `SELECT "content" FROM journal_entry WHERE "targetId" = ?`,
    ),
  };
}

export type ReadingStatements = ReturnType<typeof readingStatements>;
