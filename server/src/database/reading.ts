import type { Database } from './open.js';
import { readingStatements, type ReadingStatements } from './statements.js';

/** Everything that only reads goes over its own connection, so that no reader ever sees an unfinished act. */
export class Reading {
  sql: ReadingStatements;

  constructor(private readonly database: Database) {
    this.sql = readingStatements(database.reader);
  }

  reopened(): void {
    this.sql = readingStatements(this.database.reader);
  }
}
