import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Written by TypeORM's schema builder; constraint names are its own, so that the drift test stays quiet. */
class People1 implements MigrationInterface {
  readonly name = 'People1796169600000';

  async up(runner: QueryRunner): Promise<void> {
    const statements = [
      'CREATE TABLE "account" ("personId" text PRIMARY KEY NOT NULL, "name" text NOT NULL, "foldedName" text NOT NULL, "role" text NOT NULL, "passwordHash" text, "createdAt" text NOT NULL, CONSTRAINT "UQ_db34db06fe14d50cd51f094077b" UNIQUE ("foldedName"))',
      'CREATE TABLE "session" ("tokenHash" text PRIMARY KEY NOT NULL, "id" text NOT NULL, "personId" text NOT NULL, "kind" text NOT NULL, "name" text NOT NULL, "address" text NOT NULL, "createdAt" text NOT NULL, "lastUsedAt" text NOT NULL, CONSTRAINT "UQ_f55da76ac1c3ac420f444d2ff11" UNIQUE ("id"))',
      'CREATE TABLE "one_time_code" ("codeHash" text PRIMARY KEY NOT NULL, "purpose" text NOT NULL, "personId" text, "expiresAt" text NOT NULL)',
      'CREATE TABLE "door_event" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "at" text NOT NULL, "what" text NOT NULL, "by" text, "about" text, "address" text NOT NULL, "detail" text)',
      'CREATE INDEX "IDX_843908d9266c08be576706a0ea" ON "door_event" ("at")',
      'CREATE TABLE "house_name" ("name" text PRIMARY KEY NOT NULL)',
    ];
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['house_name', 'door_event', 'one_time_code', 'session', 'account'])
      await runner.query(`DROP TABLE "${table}"`);
  }
}

const ADDED = [
  ['account', 'siteIds'],
  ['account', 'pinHash'],
  ['session', 'siteId'],
  ['one_time_code', 'siteId'],
] as const;

/** People who are bound to some sites, and tablets that everybody of a site shares. */
class People2 implements MigrationInterface {
  readonly name = 'People21796256000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const [table, column] of ADDED) await runner.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" text`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table, column] of ADDED) await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
  }
}

export const PEOPLE_MIGRATIONS = [People1, People2];
