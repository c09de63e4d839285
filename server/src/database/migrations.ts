import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Written by TypeORM's schema builder; constraint names are its own, so that the drift test stays quiet. */
class Foundation1 implements MigrationInterface {
  readonly name = 'Foundation1794000000000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      'CREATE TABLE "journal_entry" ("seq" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "id" text NOT NULL, "actId" text NOT NULL, "kind" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "targetId" text, "contentHash" text NOT NULL, "content" text NOT NULL, CONSTRAINT "UQ_69167f660c807d2aa178f0bd7e6" UNIQUE ("id"))',
      'CREATE INDEX "IDX_8bdee659c0a29044618fc618fd" ON "journal_entry" ("targetId")',
      'CREATE INDEX "IDX_eafdf9da6c20e2830c1666db35" ON "journal_entry" ("actId")',
      'CREATE TABLE "entry_subject" ("subjectType" text NOT NULL, "subjectId" text NOT NULL, "happenedAt" text NOT NULL, "entryId" text NOT NULL, PRIMARY KEY ("subjectType", "subjectId", "happenedAt", "entryId"))',
      'CREATE TABLE "counted_entry" ("pumpId" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "entryId" text NOT NULL, "kind" text NOT NULL, "endedAt" text, "correctionId" text, "contradicted" boolean NOT NULL, "content" text NOT NULL, PRIMARY KEY ("pumpId", "happenedAt", "recordedAt", "entryId"))',
      'CREATE INDEX "IDX_e6336b8e4bc999c6ea802b2c6d" ON "counted_entry" ("entryId")',
      'CREATE TABLE "pump_state" ("pumpId" text PRIMARY KEY NOT NULL, "foldVersion" integer NOT NULL, "state" text NOT NULL)',
      'CREATE TABLE "checkpoint" ("pumpId" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "entryId" text NOT NULL, "endedCharge" integer, "state" text NOT NULL, PRIMARY KEY ("pumpId", "happenedAt", "recordedAt", "entryId"))',
      'CREATE TABLE "set_up_version" ("seq" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "id" text NOT NULL, "kind" text NOT NULL, "subjectId" text NOT NULL, "validFrom" text NOT NULL, "recordedAt" text NOT NULL, "body" text NOT NULL, CONSTRAINT "UQ_20f284bc2fcf1d2fad9f671cb01" UNIQUE ("id"))',
      'CREATE INDEX "IDX_979715904c37db8ba7fc228838" ON "set_up_version" ("kind", "subjectId")',
      'CREATE TABLE "house_fact" ("name" text PRIMARY KEY NOT NULL, "value" text NOT NULL)',
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of [
      'house_fact',
      'set_up_version',
      'checkpoint',
      'pump_state',
      'counted_entry',
      'entry_subject',
      'journal_entry',
    ]) {
      await runner.query(`DROP TABLE "${table}"`);
    }
  }
}

/** Imports that are written in short turns. */
class ImportsInTurns2 implements MigrationInterface {
  readonly name = 'ImportsInTurns1795651200000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      'ALTER TABLE "journal_entry" ADD COLUMN "importId" text',
      'CREATE TABLE "open_import" ("id" text PRIMARY KEY NOT NULL, "afterSeq" integer NOT NULL)',
      'CREATE TABLE "lagging_pump" ("pumpId" text PRIMARY KEY NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "entryId" text NOT NULL)',
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "lagging_pump"');
    await runner.query('DROP TABLE "open_import"');
    await runner.query('ALTER TABLE "journal_entry" DROP COLUMN "importId"');
  }
}

/** One sequence of all changes, and room for entries that do not count yet. */
class ChangesInOneSequence3 implements MigrationInterface {
  readonly name = 'ChangesInOneSequence1795996800000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      'ALTER TABLE "journal_entry" ADD COLUMN "waitsFor" text',
      'CREATE TABLE "change_log" ("seq" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "kind" text NOT NULL, "pumpIds" text, "actor" text NOT NULL, "at" text NOT NULL)',
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "change_log"');
    await runner.query('ALTER TABLE "journal_entry" DROP COLUMN "waitsFor"');
  }
}

/**
 * States of other subjects than pumps, and each entry's text once. What was folded of pumps stays as it is; equipments begin to lag
 * from their first entry, and catch up when the folder is opened.
 */
class SubjectsOfAnyType4 implements MigrationInterface {
  readonly name = 'SubjectsOfAnyType1796083200000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      'ALTER TABLE "counted_entry" RENAME TO "counted_before"',
      'ALTER TABLE "checkpoint" RENAME TO "checkpoint_before"',
      'CREATE TABLE "counted_entry" ("seq" integer PRIMARY KEY NOT NULL, "entryId" text NOT NULL, "kind" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "endedAt" text, "correctionId" text, "contradicted" boolean NOT NULL, "content" text)',
      'CREATE TABLE "subject_entry" ("subjectType" text NOT NULL, "subjectId" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "entryId" text NOT NULL, "kind" text NOT NULL, "seq" integer NOT NULL, PRIMARY KEY ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId")) WITHOUT ROWID',
      'CREATE TABLE "subject_state" ("subjectType" text NOT NULL, "subjectId" text NOT NULL, "foldVersion" integer NOT NULL, "state" text NOT NULL, PRIMARY KEY ("subjectType", "subjectId"))',
      'CREATE TABLE "checkpoint" ("subjectType" text NOT NULL, "subjectId" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "entryId" text NOT NULL, "endedPeriod" integer, "state" text NOT NULL, PRIMARY KEY ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId"))',
      'CREATE TABLE "lagging_subject" ("subjectType" text NOT NULL, "subjectId" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL, "entryId" text NOT NULL, PRIMARY KEY ("subjectType", "subjectId"))',
      // An entry of two pumps stood there twice.
      `INSERT OR IGNORE INTO "counted_entry" SELECT j."seq", c."entryId", c."kind", c."happenedAt", c."recordedAt", c."endedAt", c."correctionId",
         c."contradicted", CASE WHEN c."correctionId" IS NULL THEN NULL ELSE c."content" END
       FROM "counted_before" c JOIN "journal_entry" j ON j."id" = c."entryId"`,
      `INSERT OR IGNORE INTO "subject_entry" SELECT json_extract(s.value, '$.type'), json_extract(s.value, '$.id'),
         c."happenedAt", c."recordedAt", c."entryId", c."kind", c."seq"
       FROM "counted_entry" c JOIN "journal_entry" j ON j."seq" = c."seq", json_each(COALESCE(c."content", j."content"), '$.subjects') s`,
      `INSERT INTO "subject_state" SELECT 'pump', "pumpId", "foldVersion", "state" FROM "pump_state"`,
      `INSERT INTO "checkpoint" SELECT 'pump', "pumpId", "happenedAt", "recordedAt", "entryId", "endedCharge", "state" FROM "checkpoint_before"`,
      `INSERT INTO "lagging_subject" SELECT 'pump', "pumpId", "happenedAt", "recordedAt", "entryId" FROM "lagging_pump"`,
      `INSERT INTO "lagging_subject" SELECT DISTINCT "subjectType", "subjectId", '', '', '' FROM "subject_entry" WHERE "subjectType" = 'equipment'`,
      ...['counted_before', 'checkpoint_before', 'pump_state', 'lagging_pump', 'entry_subject'].map(
        (table) => `DROP TABLE "${table}"`,
      ),
    ];
    for (const statement of statements) await runner.query(statement);
  }

  down(): Promise<void> {
    return Promise.reject(
      new Error('A folder of this version is not read by the one before it: restore a backup of then.'),
    );
  }
}

/** One state of each entry. Corrections whose entry is not here were kept without a word of it. */
class StateOfAnEntry5 implements MigrationInterface {
  readonly name = 'StateOfAnEntry1796169600000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      'ALTER TABLE "journal_entry" RENAME COLUMN "waitsFor" TO "unsettled"',
      `UPDATE "journal_entry" SET "unsettled" = '{"state":"waits"}' WHERE "targetId" IS NOT NULL AND "targetId" NOT IN (SELECT "id" FROM "journal_entry")`,
      'CREATE INDEX "IDX_6bc5814268b08319b406b1b546" ON "journal_entry" ("recordedAt") WHERE "unsettled" IS NOT NULL',
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "IDX_6bc5814268b08319b406b1b546"');
    await runner.query('ALTER TABLE "journal_entry" RENAME COLUMN "unsettled" TO "waitsFor"');
  }
}

/** What moves oil into or out of a pump is about its sump too. Sumps begin to lag from their first entry, and catch up while it is served. */
class SumpsAsSubjects6 implements MigrationInterface {
  readonly name = 'SumpsAsSubjects1796256000000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      `INSERT OR IGNORE INTO "subject_entry" SELECT 'sump', s."subjectId" || '/' || json_extract(COALESCE(c."content", j."content"), '$.body.sump'),
         s."happenedAt", s."recordedAt", s."entryId", s."kind", s."seq"
       FROM "subject_entry" s JOIN "counted_entry" c ON c."seq" = s."seq" JOIN "journal_entry" j ON j."seq" = s."seq"
       WHERE s."subjectType" = 'pump' AND s."kind" IN ('change', 'topUp', 'bleed', 'labSample')`,
      `INSERT OR IGNORE INTO "lagging_subject" SELECT DISTINCT "subjectType", "subjectId", '', '', '' FROM "subject_entry" WHERE "subjectType" = 'sump'`,
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['subject_entry', 'subject_state', 'checkpoint', 'lagging_subject'])
      await runner.query(`DELETE FROM "${table}" WHERE "subjectType" = 'sump'`);
  }
}

/** Which entries show a file: whoever is bound to some sites is shown those of their entries alone. */
class FileCitations7 implements MigrationInterface {
  readonly name = 'FileCitations1796342400000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      'CREATE TABLE "file_citation" ("fileId" text NOT NULL, "entryId" text NOT NULL, PRIMARY KEY ("fileId", "entryId"))',
    );
    for (const [word, path] of [
      ['photoId', '$.body.photoId'],
      ['photoId', '$.body.body.photoId'],
      ['logId', '$.body.log.logId'],
      ['logId', '$.body.body.log.logId'],
    ] as const)
      await runner.query(
        `INSERT OR IGNORE INTO "file_citation" SELECT json_extract("content", '${path}'), "id" FROM "journal_entry"
         WHERE "content" LIKE '%"${word}":"%' AND json_extract("content", '${path}') IS NOT NULL`,
      );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "file_citation"');
  }
}

/** What waited on a device for a connection, and may have to be settled with what other devices bring. */
class WaitedEntries8 implements MigrationInterface {
  readonly name = 'WaitedEntries1796428800000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "waited_entry" ("subjectType" text NOT NULL, "subjectId" text NOT NULL, "happenedAt" text NOT NULL, "recordedAt" text NOT NULL,
       "entryId" text NOT NULL, PRIMARY KEY ("subjectType", "subjectId", "happenedAt", "recordedAt", "entryId"))`,
    );
    await runner.query('CREATE INDEX "IDX_ee2f00a2e1b44025e324b1badf" ON "waited_entry" ("entryId")');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "waited_entry"');
  }
}

export const MIGRATIONS = [
  Foundation1,
  ImportsInTurns2,
  ChangesInOneSequence3,
  SubjectsOfAnyType4,
  StateOfAnEntry5,
  SumpsAsSubjects6,
  FileCitations7,
  WaitedEntries8,
];
