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

export const MIGRATIONS = [Foundation1, ImportsInTurns2, ChangesInOneSequence3];
